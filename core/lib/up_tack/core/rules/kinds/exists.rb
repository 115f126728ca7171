# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a value that no record of another table has in a certain field:
        # what a link does for its own table, for codes that are typed.
        class Exists < Validation
          kind "exists",
            label: "Must exist in table",
            about: "The value must exist in a field of another table.",
            editor: :own,
            needs: [%w[target], %w[target_field]]
          part "target", :table
          part "target_field", :table_field
          shown_by :looked_up
          effect :exists

          def looks_up? = true

          def self.suits?(field, _table) = !field.link? && !field.long?

          def reach(_table) = 2
          def reads(_table) = [field]

          def words(table)
            other = target(table)
            Wording["%{field} in %{other}", field: other.field(@parts["target_field"]).label, other: other.label]
          end

          def sentence(table) = Messages[
            "rules.exists.must_be_there", field: table.field(field).label, words: words(table)
          ]

          def references(table)
            super +
              [
                Expression::Reference.new(
                  table: @parts["target"],
                  key: @parts["target_field"],
                  steps: [],
                  before: false
                )
              ]
          end

          def renamed(table, of:, key:, to:)
            attributes = super
            return attributes unless of == @parts["target"]

            attributes["target"] = to if key.nil?
            attributes["target_field"] = to if key == @parts["target_field"]
            attributes
          end

          def test(table) = Test.new(field: table.field(field), target: @parts["target"], key: @parts["target_field"])

          # Whether a record has the value.
          Test = Struct.new(:field, :target, :key, keyword_init: true) do
            include Judging

            def call(evaluation)
              value = evaluation.value(field.key)
              return Verdict.new(:skipped, Wording.blank(field)) if value.nil?

              found = evaluation.context.records.having(target, {key => value}, regard_case: false).first
              return Verdict.new(:refused, Wording["no record has it"]) unless found

              Verdict.new(:passed, Wording["record #%{number} has it", number: found])
            end
          end

          private

          def target(table) = table.neighbours.tables[@parts["target"].to_s]

          def own_problems(table)
            other = target(table)
            return [problem("target", Messages["rules.exists.pick_table_in"])] unless other

            there = other.field(@parts["target_field"].to_s)
            unless there && other.kept?(there.key)
              return [
                problem("target_field", Messages["rules.exists.pick_field_of", table: other.label])
              ]
            end
            return [] if there.kind == table.field(field).kind

            [
              problem(
                "target_field",
                Messages["rules.exists.is_of_another_type_than", other: there.label, field: table.field(field).label]
              )
            ]
          rescue Expression::Invalid
            [] # A calculation is broken, of which its own rule tells.
          end
        end
      end
    end
  end
end
