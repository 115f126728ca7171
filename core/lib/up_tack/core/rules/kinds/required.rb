# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a record in which the field is blank: always, or while a
        # condition holds.
        class Required < Validation
          kind "required", label: "Required",
            about: "The field can't be blank, always or while a condition is met.", editor: :own
          part "when", :condition
          shown_by :required

          def looks_at_value? = false
          def constraint(_table) = ({required: true} if without_exception?)
          def requires? = true
          FILLED = Verdict.new(:passed, ->(_) { Wording["it has a value"] }).freeze
          private_constant :FILLED

          def fills_always? = always? && !warning? && !lets_old?

          def reads(table) = [field, *condition_reads(table)].uniq
          def fields(table) = reads(table)
          def words(table) = "#{Wording["required"]}#{while_words(table)}"

          def sentence(table) = Messages[
            "rules.required.must_be_filled", field: table.field(field).label, while_words: while_words(table)
          ]

          def test(table)
            condition = condition(table)
            Test.new(field: table.field(field), formula: condition)
          end

          # Whether the field is filled where it must be.
          Test =
            Struct.new(:field, :formula, keyword_init: true) do
              include Judging

              def call(evaluation)
                return FILLED unless evaluation.value(field.key).nil?
                return Verdict.new(:refused, Wording["it is blank"]) unless formula
                if formula.call(evaluation)
                  return Verdict.new(
                    :refused,
                    ->(seen) {
                      Expression::Explanation.explain([formula], seen) { |lines|
                        Wording["it is blank, and %{first}", first: lines.first]
                      }
                    }
                  )
                end

                Verdict.new(:passed, Wording["it may be blank now"])
              end
            end

          private

          def own_problems(table)
            if @parts["when"] ||
                table.rules.none? { |other|
                  other.is_a?(Required) && other.field == field && other.id != id && other.always?
                }
              return []
            end

            [problem("field", Messages["rules.required.already_must_be_filled", field: table.field(field).label])]
          end

          protected

          def always? = @parts["when"].nil?
        end
      end
    end
  end
end
