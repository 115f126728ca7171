# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Which records have a number, how each would be written by the rule, and which have one that
      # another record has too.
      class NumberPreview < EffectPreview
        def begin(_rows) = @doubles = Store::Doubles.find(@design, @field)

        # @return [String] "refused" for one whose number another record has, "same" for one that has
        #   its own, else "blank"
        def verdict(id, values)
          value = stored(id, values)
          return "blank" if value.nil?

          double?(value) ? "refused" : "same"
        end

        # Records are shown one after the other; those without a number would get one after the other too.
        def prepare(batch)
          @following = {}
          super
        end

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          value = stored(id, values)
          series, count =
            value.nil? ? [series(id, values),
              nil] : @rule.series_and_count(evaluation(id, values), Core::Values.show(value))
          following = count || (series && next_in(series))
          {
            verdict: verdict(id, values),
            stored: shown(value),
            result: following && @rule.compose(evaluation(id, values), following),
            how: how(value, series, count)
          }
        end

        # @return [String] what a new record would be given
        def opening
          plan = Core::Save::Plan.new(@design, @workspace.project.conventions)
          shown(
            Core::Save.call(plan, Core::Save::Draft.new(typed: {}, stored: nil), @workspace.context).values[
              @field.key
            ]
          )
        end

        private

        def next_in(series)
          counting = @rule.counting(series)
          @following ||= {}
          @following[series] = (
            if @following[series]
              @following[series] + counting.step
            else
              @context.counters.next(counting)
            end
          )
        end

        def double?(value) = (@doubles ||= Store::Doubles.find(@design, @field)).key?(Core::Values.show(value))

        def formulas = [@rule.formula, @rule.series].compact

        def series(id, values) = @rule.series_of(evaluation(id, values))

        def how(value, series, count)
          return Core::Wording["its series is blank"] if series.nil?
          return Core::Wording["has none yet"] if value.nil?
          return Core::Wording["another record has it too; numbers must be unique"] if double?(value)
          return Core::Wording["has another format; it stays as it is"] unless count
          return Core::Wording["count %{count}", count: count] if series == ""

          Core::Wording["count %{count} of %{series}", count: count, series: series]
        end
      end
    end
  end
end
