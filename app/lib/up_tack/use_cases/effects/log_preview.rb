# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What a stamp or tally would write on records that exist, from what the
      # change log knows of them. It fills only what is blank.
      class LogPreview < EffectPreview
        # All columns: a record's story is read backwards from all that it holds.
        def columns = nil

        def prepare(batch)
          super
          @known = Recalculation::BackfillFromLog.new(@workspace, @design).values([@rule], batch)
        end

        # @return [String] "changes", "same" or "blank"; "idle" where its condition does not hold
        def verdict(id, values)
          return "same" unless stored(id, values).nil?
          return "changes" unless known(id).nil?

          holds?(id, values) ? "blank" : "idle"
        end

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          stored = stored(id, values)
          {
            verdict: verdict(id, values),
            stored: shown(stored),
            result: shown(stored.nil? ? known(id) : stored),
            how: how(id, values, stored)
          }
        end

        private

        def how(id, values, stored)
          return Core::Wording["kept as it is"] unless stored.nil?

          said = known(id).nil? ? Core::Wording["the change log does not know"] : Core::Wording["from the change log"]
          return said unless condition

          holding = condition.with_values(evaluation(id, values))
          (known(id).nil? && !holds?(id, values)) ? holding : "#{holding}; #{said}"
        end

        def holds?(id, values) = condition.nil? || condition.call(evaluation(id, values)) == true

        def condition = @rule.condition

        def formulas = [condition].compact

        def known(id) = @known.fetch(id, {})[@field.key]
      end
    end
  end
end
