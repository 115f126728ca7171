# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a record whose value, alone or together with other fields, another
        # record has already. Blanks are apart: a blank equals no other, unless the
        # builder says that it does. With a condition only the records that meet it
        # are compared with one another.
        class Unique < Validation
          kind "unique", label: "Unique", about: "No other record has the same value."
          part "with", :fields, label: "Together with"
          part "case", :flag, label: "Case-sensitive"
          part "blanks", :choice, label: "Treat blanks as duplicates", choices: [["apart"], ["equal"]]
          part "when", :condition, label: "Only compare records that meet a condition"
          histories :unique
          effect :unique

          def constraint(_table)
            return unless without_exception? && keys == [field] && !blanks_equal?

            {unique: case? ? :exactly : :folded}
          end

          def compares_records? = true
          BLANKS = %w[apart equal].freeze

          def self.suits?(field, table) = table.kept?(field.key)

          # @return [Array<String>] keys of the fields that must not repeat together
          def keys = [field, *@parts["with"]].uniq

          def case? = @parts["case"] == true
          def blanks_equal? = @parts["blanks"] == "equal"
          def reach(_table) = 2
          def reads(table) = [*keys, *condition_reads(table)].uniq
          def fields(_table) = keys
          def words(table) = "#{Wording["unique"]}#{together(table)}#{while_words(table)}"

          def sentence(table)
            labels = Masks::Phrases.to_sentence(keys.map { |key| table.field(key).label })
            labels = Wording["%{labels} together", labels: labels] if keys.length > 1
            Messages["common.no_two_records_have_same", field: labels, folded: while_words(table)]
          end

          def test(table)
            Test.new(
              table: table,
              keys: keys,
              regard_case: case?,
              blanks_equal: blanks_equal?,
              formula: condition(table)
            )
          end

          # Whether no other record has the same values.
          Test =
            Struct.new(:table, :keys, :regard_case, :blanks_equal, :formula, keyword_init: true) do
              include Judging

              def call(evaluation)
                values = keys.to_h { |key| [key, evaluation.value(key)] }
                return Verdict.new(:skipped, Wording.blank(table.field(values.key(nil)))) if apart?(values)
                return Verdict.new(:skipped, Wording["it is not compared now"]) unless counts?(evaluation)

                other =
                  evaluation
                    .context
                    .records
                    .having(table.key, values, regard_case: regard_case)
                    .find { |id| id != evaluation.id && counted?(evaluation, id) }
                return Verdict.new(:passed, Wording["no other record has it"]) unless other

                title = evaluation.context.records.title(table.key, other) || Wording["another record"]
                Verdict.new(:refused, Wording["%{title} (#%{number}) has it", title: title, number: other])
              end

              # @return [Object, nil] what records share when they are the same; nil for one that is not compared
              def signature(evaluation)
                values = keys.map { |key| evaluation.value(key) }
                return if (!blanks_equal && values.include?(nil)) || !counts?(evaluation)

                values.map! { |value| (value.is_a?(String) && !regard_case) ? Unicode.folded(value) : value }
              end

              private

              def apart?(values) = !blanks_equal && values.values.any?(&:nil?)

              def counts?(evaluation) = formula.nil? || formula.call(evaluation) == true

              def counted?(evaluation, id)
                return true unless formula

                values = evaluation.context.records.find(table.key, id)
                values &&
                  counts?(
                    Expression::Evaluation.new(
                      values: values,
                      old: values,
                      context: evaluation.context,
                      is_new: false,
                      id: id
                    )
                  )
              end
            end

          private

          def together(table)
            others = keys.drop(1).map { |key| table.field(key).label }
            others.empty? ? "" : Wording[" together with %{fields}", fields: Masks::Phrases.to_sentence(others)]
          end

          def own_problems(table)
            unless [nil, *BLANKS].include?(@parts["blanks"])
              return [problem("blanks", Messages["rules.unique.blanks_are_kept_apart_or_taken"])]
            end

            loose = keys.find { |key| !table.kept?(key) }
            if loose
              [
                problem(
                  "field",
                  Messages["rules.unique.is_never_kept_so_its_values_cant", field: table.field(loose).label]
                )
              ]
            else
              []
            end
          rescue Expression::Invalid
            [] # A calculation is broken, of which its own rule tells.
          end
        end
      end
    end
  end
end
