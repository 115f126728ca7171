# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # What is declared of whole tables as rules: conditions, and columns that are unique together. What can't be said
      # is told as a note, word for word.
      class ProposedRules
        # A list of texts that a column may have.
        LIST = /\A(\w+) in \(("(?:[^"]|"")*"(?:, "(?:[^"]|"")*")*)\)\z/

        # @param parts [Array<Interchange::Collection::Part>]
        # @param proposed [Array<Collections::Proposed>] with their links
        def initialize(workspace, parts, proposed)
          @workspace = workspace
          @parts = parts
          @proposed = proposed
        end

        # @return [void]
        def call
          @proposed.each do |table|
            declared = @parts[table.number].declared or next
            declared.unique.each { |columns| together(table, columns) }
            checks(table, declared)
          end
        end

        private

        def together(table, columns)
          part = @parts[table.number]
          first, *others = columns.map { |name| table.fields.find { |field| field.column == part.heading(name) } }
          return if first.nil? || others.include?(nil)

          words = "unique together: #{[first, *others].map(&:label).join(", ")}"
          table.rules << rule(first, {"kind" => "unique", "with" => others.map(&:key)}, words)
        end

        def checks(table, declared)
          return if declared.checks.empty?

          keys = declared.columns.filter_map { |column|
            field = table.fields.find { |each| @parts[table.number].declared_as(each.column).equal?(column) }
            # A link is compared with links alone.
            [column.name, field.key] if field && !field.link?
          }.to_h
          reading = Interchange::Sql::Condition.new(declared, keys, table.fields.to_h { |each| [each.key, each.type] })
          declared.checks.each { |text| check(table, text, reading) }
        end

        def check(table, text, reading)
          formula, used = reading.call(text)
          field = used && table.fields.find { |each| each.key == used.last }
          return if field && choices(field, formula)

          words = field && sentence(table, field, {"kind" => "check", "formula" => formula})
          unless words
            return table.notes << Core::Messages["imports.proposed_rules.check_is_not_taken", condition: text[0, 300]]
          end

          parts = {"kind" => "check", "formula" => formula}
          return field.rules += [NewTable::Suggestion.new(parts: parts, words: words)] if used.one?

          table.rules << rule(field, parts, words)
        end

        def choices(field, formula)
          list = formula.match(LIST) or return false
          return false unless field.meaning.one_line? || field.meaning.listed?

          values = NewTable.choices(list[2].scan(/"((?:[^"]|"")*)"/).flatten.map { |value| value.gsub('""', '"') })
          return false unless values

          field.type = "choice"
          field.choices = values
          field.rules = field.rules.select { |each| %w[required unique default].include?(each.parts["kind"]) }
          true
        end

        def rule(field, parts, words) =
          NewTable::Suggestion.new(parts: {**parts, "field" => field.key}, words: words)

        # @return [String, nil] what a rule says, nil where the language does not take it so
        def sentence(table, field, parts)
          plain = table.fields.map do |each|
            {"label" => each.label, "key" => each.key, "type" => plain_type(each), "choices" => each.choices,
             "rules" => each.equal?(field) ? [parts] : []}
          end
          change = Core::Design::Changes::AddTables.new(
            tables: [{"label" => table.label, "key" => table.key, "fields" => plain}]
          )
          made = change.added_to(change.apply(@workspace.project)).first
          made.rules.first.sentence(made)
        rescue Core::Invalid
          nil
        end

        def plain_type(field) = field.link? ? "text" : field.type
      end
    end
  end
end
