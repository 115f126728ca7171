# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # How each field stands to whoever fills in a form: shown, open, required,
      # read-only. Asked of an outcome, by the table's rules and, where a form is
      # filled in, by that form's own statements, which add to them.
      class FieldStates
        # Of one field.
        State = Struct.new(:shown, :enabled, :required, :read_only, keyword_init: true)

        # @param plan [Plan]
        # @param outcome [Outcome]
        # @param person [#role, nil] whoever acts
        # @param more [Array<Kinds::State::Compiled>] what a form says besides
        def initialize(plan, outcome, person, more = [])
          @plan = plan
          @more = more
          @outcome = outcome
          @person = person
        end

        # @return [Hash{String=>State}] by field key
        def all
          rules = (@plan.states + @more).group_by { |rule| rule.field.key }
          @plan.fields.to_h { |key, field| [key, state(field, rules.fetch(key, []))] }
        end

        private

        def state(field, rules)
          State.new(
            shown: holds?(rules, "shown"),
            enabled: holds?(rules, "enabled"),
            required: required?(field, rules),
            read_only:
              @plan.rule_owned?(field.key) || !field.allows?(@person&.role, :edit) ||
                rules.any? { |rule| rule.rule.state == "read_only" && met?(rule) } || locked?(field)
          )
        end

        # Several statements must all hold.
        def holds?(rules, state) = rules.all? { |rule| rule.rule.state != state || met?(rule) }

        def required?(field, rules)
          return false if @plan.rule_owned?(field.key)

          rules.any? { |rule| rule.rule.state == "required" && met?(rule) } ||
            @plan
              .required
              .fetch(field.key, [])
              .any? { |test| test.formula.nil? || test.formula.call(evaluation) == true }
        end

        # A lock looks at the record as it is stored.
        def locked?(field)
          return false if evaluation.new?

          @plan.locks.any? do |test|
            test.fields.include?(field) && (test.role.nil? || @person&.role != test.role) &&
              test.formula.call(evaluation.before) == true
          end
        end

        def met?(rule) = rule.met?(evaluation)
        def evaluation = @outcome.evaluation
      end
    end
  end
end
