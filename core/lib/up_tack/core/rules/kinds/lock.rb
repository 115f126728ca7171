# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # While a condition holds of the record as it is stored, the listed fields
        # can't be changed: by anybody, or by all but one role. A lock of the whole
        # record holds for every field, those added later too, and against deleting it.
        class Lock < Validation
          kind "lock",
            label: "Lock",
            about: "A record, or some of its fields, can no longer be changed.",
            editor: :own,
            begins: {"when" => "", "whole" => true},
            needs: [%w[when]]
          effect :lock
          part "when", :condition
          part "whole", :flag
          part "locked", :fields
          part "except_role", :choice, choices: [[nil, "nobody"], ["builder", "builders"], ["clerk", "clerks"]]
          shown_by :locked
          histories :locked

          def looks_at_value? = false
          def locks? = true

          # It is about records that exist, and a warning would lock nothing.
          def self.lenient? = false

          def self.suits?(field, table) = !table.rule_owned?(field.key)

          def reach(_table) = 2
          def reads(table) = locked(table)

          # Stamps and the like are not changed by people.
          def awaits(_table) = []
          def fields(table) = whole? ? [field] : locked(table)
          def whole? = @parts["whole"] == true

          # @return [Array<String>] keys of the fields that can't be changed
          def locked(table)
            return [field, *@parts["locked"]].uniq unless whole?

            table.fields.map(&:key).reject { |key| table.worked_out?(key) || table.rule_owned?(key) }
          end

          def words(table) = "#{"all " if whole?}locked#{while_words(table)}#{except}"

          def sentence(table)
            return "The whole record can't be changed or deleted#{while_words(table)}#{except}." if whole?

            labels = Masks::Phrases.list(locked(table).map { |key| table.field(key).label })
            "#{labels} can't be changed#{while_words(table)}#{except}."
          end

          def test(table) =
            Test.new(
              fields: locked(table).map { |key| table.field(key) },
              formula: condition(table),
              role: @parts["except_role"]
            )

          # @param evaluation [Expression::Evaluation] of the record as it is stored
          # @return [String, nil] why it can't be deleted now
          def against_deletion(table, evaluation)
            return unless whole?
            return if @parts["except_role"] && evaluation.context.person.role == @parts["except_role"]

            @parts["message"] || sentence(table) if condition(table).call(evaluation) == true
          end

          # Whether none of the fields is changed that must stay.
          Test =
            Struct.new(:fields, :formula, :role, keyword_init: true) do
              def call(evaluation)
                return Verdict.new(:skipped, "the record is new") if evaluation.new?

                changed = fields.find { |field| evaluation.value(field.key) != evaluation.old[field.key] }
                return Verdict.new(:passed, "none of them is changed") unless changed
                return Verdict.new(:passed, "a #{role} may") if role && evaluation.context.person.role == role
                return Verdict.new(:passed, "it is not locked") unless formula.call(evaluation.before) == true

                Verdict.new(
                  :refused,
                  ->(seen) do
                    Expression::Explanation.of([formula], seen.before) do |lines|
                      "#{changed.label} is changed, and #{lines.first}"
                    end
                  end
                )
              end
            end

          private

          def except = @parts["except_role"] ? ", but by a #{@parts["except_role"]}" : ""

          def own_problems(table)
            found = []
            found << problem("when", "Say while what the fields are locked.") unless @parts["when"]
            unless [nil, *Access::ROLES].include?(@parts["except_role"])
              found << problem("except_role", "There are the roles #{Access::ROLES.join(", ")}.")
            end
            found << problem("severity", "A lock can't be passed with a reason; name the role that may.") if warning?
            loose = locked(table).find { |key| table.worked_out?(key) }
            if loose
              found << problem("field", "#{table.field(loose).label} is worked out; lock what it is worked out from.")
            end
            found
          end
        end
      end
    end
  end
end
