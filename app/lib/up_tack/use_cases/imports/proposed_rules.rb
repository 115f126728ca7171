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
          first, *others = columns.map { |name| table.fields.find { |field| field.column == name } }
          return if first.nil? || others.include?(nil)

          words = "unique together: #{[first, *others].map(&:label).join(", ")}"
          table.rules << rule(first, {"kind" => "unique", "with" => others.map(&:key)}, words)
        end

        def checks(table, declared)
          return if declared.checks.empty?

          keys = declared.columns.filter_map { |column|
            field = table.fields.find { |each| each.column == column.name }
            # A link is compared with links alone.
            [column.name, field.key] if field && field.type != "link"
          }.to_h
          reading = Interchange::Sql::Condition.new(declared, keys, table.fields.to_h { |each| [each.key, each.type] })
          declared.checks.each { |text| check(table, text, reading) }
        end

        def check(table, text, reading)
          formula, used = reading.call(text)
          field = used && table.fields.find { |each| each.key == used.last }
          return if field && choices(field, formula)

          added = field && rule(field, {"kind" => "check", "formula" => formula}, formula)
          return table.rules << added if added && sound?(table, added)

          table.notes << Core::Messages["imports.proposed_rules.check_is_not_taken", condition: text[0, 300]]
        end

        def choices(field, formula)
          list = formula.match(LIST) or return false
          return false unless %w[text choice].include?(field.type)

          values = list[2].scan(/"((?:[^"]|"")*)"/).flatten.map { |value| value.gsub('""', '"') }
          field.type = "choice"
          field.choices = values
          field.rules = field.rules.select { |each| %w[required unique default].include?(each.parts["kind"]) }
          true
        end

        def rule(field, parts, words) =
          NewTable::Suggestion.new(parts: {**parts, "field" => field.key}, words: words)

        # Whether the language takes it so.
        def sound?(table, rule)
          plain = table.fields.map do |field|
            own = (field.key == rule.parts["field"]) ? [rule.parts.except("field")] : []
            {"label" => field.label, "key" => field.key, "type" => plain_type(field), "choices" => field.choices,
             "rules" => own}
          end
          given = {"label" => table.label, "key" => table.key, "fields" => plain}
          Core::Design::Changes::AddTables.new(tables: [given]).apply(@workspace.project)
          true
        rescue Core::Invalid
          false
        end

        def plain_type(field) = (field.type == "link") ? "text" : field.type
      end
    end
  end
end
