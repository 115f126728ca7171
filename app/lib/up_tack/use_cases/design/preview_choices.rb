# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # Says what follows when choices get other names, or become one with others, before it is done.
      class PreviewChoices
        # Choices of one field. place:: of the field; merged:: whether it becomes one with a choice that
        #   there is already; count:: of the records that have it
        Renaming = Struct.new(:place, :before, :after, :merged, :count, keyword_init: true)
        # A text that has an old name in it and stays as it is.
        Staying = Struct.new(:place, :text, keyword_init: true)
        # follows:: Core::Design::ProjectDiff::ChangeSerializer of rules, forms, proofs and kept views
        Foreseen = Struct.new(:renamed, :follows, :stays, keyword_init: true)

        # What of a design is shown to people and names nothing.
        TEXTS = %w[message name note label hint title].freeze

        def initialize(workspace)
          @workspace = workspace
        end

        # @param change [Core::Design::Changes::ChangeField, Core::Design::Changes::SaveList]
        # @return [Foreseen]
        # @raise [Core::Invalid]
        def call(change)
          now = @workspace.project
          later = Core::Bench::RetoldProofs.after(change, now)
          Services::ChoicesInUse.new(@workspace).check(now, later, renamed: change.renamed_choices)
          follows =
            Core::Design::ProjectDiff
              .new(now, later)
              .differences
              .reject { |each| %w[field list table].include?(each.what) }
          names = change.renamed_choices.values.reduce({}, :merge)
          Foreseen.new(
            renamed: renamings(now, change.renamed_choices),
            follows: follows,
            stays: names.empty? ? [] : stays(later, names.keys - names.values)
          )
        end

        private

        def renamings(project, by_field)
          by_field.flat_map do |id, names|
            table = project.tables.find { |each| each.fields.any? { |field| field.id == id } }
            field = table.fields.find { |each| each.id == id }
            counts =
              if table.kept?(field.key)
                Store::RecordTable.model(table.key).where(field.key => names.keys).group(field.key).count
              else
                {}
              end
            names.map do |before, after|
              merged = names.values.count(after) > 1 || (field.choices.include?(after) && !names.key?(after))
              Renaming.new(
                place: "#{field.label} of #{table.label}",
                before: before,
                after: after,
                merged: merged,
                count: counts.fetch(before, 0)
              )
            end
          end
        end

        def stays(project, names)
          return [] if names.empty?

          named = /(?<![[:word:]])(?:#{Regexp.union(names).source})(?![[:word:]])/i
          project.tables.flat_map do |table|
            parts =
              table.rules.map do |rule|
                ["#{table.field(rule.field).label} of #{table.label}", rule.attributes, rule.formula_parts.values]
              end
            parts +=
              table.forms.map do |form|
                ["Form #{form.name} of #{table.label}", form.attributes, form.formulas(table).values.map(&:first)]
              end
            parts.flat_map do |place, attributes, formulas|
              (texts(attributes).grep(named) + formulas.select { |text| loose?(text, table, names) }).uniq.map do |text|
                Staying.new(place: place, text: text)
              end
            end
          end
        end

        def texts(attributes)
          case attributes
          when Hash
            attributes.flat_map { |part, value| (TEXTS.include?(part) && value.is_a?(String)) ? [value] : texts(value) }
          when Array
            attributes.flat_map { |each| texts(each) }
          else
            []
          end
        end

        # Whether a name stands in a formula as a text that is compared with no choice.
        def loose?(text, table, names)
          tree = Core::Expression.parse(text)
          choices = Core::Expression::ChoiceTexts.new(table.scope).find(tree).map(&:from)
          folded = names.map { |name| Core::Unicode.folded(name) }
          found = false
          tree.walk do |node|
            found ||=
              node.is_a?(Core::Expression::Nodes::Literal) && node.value.is_a?(String) &&
              !choices.include?(node.from) && folded.include?(Core::Unicode.folded(node.value))
          end
          found
        rescue Core::Expression::Invalid
          false
        end
      end
    end
  end
end
