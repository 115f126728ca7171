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
            about: "Prevents changes to a record or some of its fields.",
            editor: :own,
            begins: {"when" => "", "whole" => true},
            needs: [%w[when]]
          effect :lock
          guide "state-and-lock"
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

          def words(table) =
            "#{whole? ? Wording["all locked"] : Wording["locked"]}#{while_words(table)}#{except}"

          def sentence(table)
            if whole?
              return (
                Messages[
                  "rules.lock.whole_record_cant_be_changed_or_deleted",
                  while_words: while_words(table),
                  except: except
                ]
              )
            end

            labels = Masks::Phrases.to_sentence(locked(table).map { |key| table.field(key).label })
            Messages["rules.lock.cant_be_changed", labels: labels, while_words: while_words(table), except: except]
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
                return Verdict.new(:skipped, Wording["the record is new"]) if evaluation.new?

                changed = fields.find { |field| evaluation.value(field.key) != evaluation.old[field.key] }
                return Verdict.new(:passed, Wording["none of its fields changed"]) unless changed
                if role && evaluation.context.person.role == role
                  return Verdict.new(:passed,
                    Wording["a %{role} may edit it", role: Wording[role]])
                end
                return Verdict.new(:passed, "it is not locked") unless formula.call(evaluation.before) == true

                Verdict.new(
                  :refused,
                  ->(seen) do
                    Expression::Explanation.explain([formula], seen.before) do |lines|
                      Wording["%{changed} is changed, and %{first}", changed: changed.label, first: lines.first]
                    end
                  end
                )
              end
            end

          private

          def except
            @parts["except_role"] ? Wording[", except by a %{role}", role: Wording[@parts["except_role"]]] : ""
          end

          def own_problems(table)
            found = []
            found << problem("when", Messages["rules.lock.say_while_what_fields_are_locked"]) unless @parts["when"]
            unless [nil, *Access::ROLES].include?(@parts["except_role"])
              found << problem("except_role", Messages["common.there_are_roles", roles: Access::ROLES.join(", ")])
            end
            found << problem("severity", Messages["rules.lock.lock_cant_be_passed_with_reason"]) if warning?
            loose = locked(table).find { |key| table.worked_out?(key) }
            if loose
              found << problem("field", Messages["rules.lock.is_worked_out", field: table.field(loose).label])
            end
            found
          end
        end
      end
    end
  end
end
