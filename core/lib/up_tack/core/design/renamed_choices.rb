# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Choices that get another name, or are merged into others, and everything in a design that
      # names them: rules, decision tables, forms, proofs and kept views.
      class RenamedChoices
        # @return [Hash{Array(String, String)=>Hash{String=>String}}] new names by old ones, by table and
        #   key of the field
        attr_reader :names

        # @param names [Hash] as `names` gives it
        def initialize(names)
          @names = names
          @folded = names.transform_values { |each| each.transform_keys { |name| Unicode.folded(name) } }
        end

        # @param project [Project]
        # @param list [String] id of a list
        # @param renamed [Hash{String=>String}]
        # @return [RenamedChoices] in all fields that use a list
        def self.in_list(project, list, renamed)
          new(
            project
              .tables
              .flat_map do |table|
                table.fields.select { |field| field.list == list }.map { |field| [[table.key, field.key], renamed] }
              end
              .to_h
          )
        end

        # @return [Hash{String=>Hash{String=>String}}] by id of the field, as a revision keeps them
        def by_id(project) = names.to_h { |(table, field), renamed| [project.table(table).field(field).id, renamed] }

        # @param table [String] key
        # @param field [String] key
        # @param text [String] that stands for a choice of the field
        # @return [String] its name from now on
        def name(table, field, text) = @folded[[table, field]]&.fetch(Unicode.folded(text), nil) || text

        # @param project [Project] before
        # @param attributes [Hash] its plain form, which is changed
        def carry(project, attributes)
          project
            .tables
            .zip(attributes["tables"]) do |table, into|
              into["rules"] = table.rules.map { |rule| rule.with_choices(table, self) }
              if table.filters.any?
                into["filters"] = table.filters.map do |filter|
                  filter.attributes.merge("formula" => formula(filter.formula, table))
                end
              end
              into["forms"] = table.forms.map { |form| form(form, table) } if table.forms.any?
              if table.proofs.any?
                into["proofs"] = table.proofs.map do |proof|
                  ProofChoices.new(self, project, table).rename(proof)
                end
              end
            end
        end

        # @param text [String, nil] a formula of the table, without mistakes
        # @param given_to [String, nil] key of the field that takes what it gives
        # @return [String, nil] the formula with the new names
        def formula(text, table, given_to: nil)
          return text if text.to_s.strip.empty?

          taker = [table.key, given_to] if given_to && table.field(given_to)&.listed?
          Expression::ChoiceTexts.new(table.scope).find(Expression.parse(text), given_to: taker).reverse_each do |found|
            name = literal(found) or next
            text = text[0...found.from] + Rules::Literals.write(name) + text[found.to..]
          end
          text
        end

        # @param tree [Expression::Nodes::Node] what a column of a decision table looks at
        # @return [Proc] from a value there to the one it has from now on
        def column(tree, table)
          fields = Expression::ChoiceTexts.new(table.scope).sources(tree)
          ->(value) { value.is_a?(String) ? agreed(fields, value) || value : value }
        end

        private

        # A text that may stand for choices of several fields is only rewritten where all of them say the same.
        def agreed(fields, value)
          named = fields.map { |table, field| name(table, field, value) }.uniq
          named.first if named.length == 1 && named.first != value
        end

        def literal(found) = agreed(found.fields, found.value)

        def form(form, table)
          attributes = Marshal.load(Marshal.dump(form.attributes))
          form.formulas(table).each do |part, (text, _)|
            taker = part.end_with?(".default") ? attributes.dig(*FormRewriter.path(part)[0...-1])["field"] : nil
            FormRewriter.put(attributes, part, formula(text, table, given_to: taker))
          end
          attributes
        end
      end
    end
  end
end
