# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # How a field would stand in the records that exist, and which of them go
      # against it as they are.
      class StatePreview < EffectPreview
        # @return [String] "refused", "passed" or "unjudged", for one to which the statement does not apply
        def verdict(id, values) = judged(id, values, @rule.met?(evaluation(id, values)))

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          evaluation = evaluation(id, values)
          met = @rule.met?(evaluation)
          {
            verdict: judged(id, values, met),
            stored: shown(stored(id, values)),
            result: words(met),
            how: @rule.condition.with_values(evaluation)
          }
        end

        private

        def formulas = [@rule.condition]

        def judged(id, values, met)
          blank = stored(id, values).nil?
          case @rule.rule.state
          when "required" then if met
                                 blank ? "refused" : "passed"
                               else
                                 "unjudged"
                               end
          when "read_only" then met ? "passed" : "unjudged"
          else (met || blank) ? "passed" : "refused"
          end
        end

        # Where the condition is met, and where it is not.
        WORDS = {
          "shown" => ["visible", "not visible"],
          "enabled" => ["editable", "not editable"],
          "required" => ["required", "may be blank"],
          "read_only" => ["read-only", "editable"]
        }.freeze

        def words(met)
          Core::Wording[WORDS.fetch(@rule.rule.state)[met ? 0 : 1]]
        end
      end
    end
  end
end
