# frozen_string_literal: true

module UpTack
  module Core
    module Forms
      # Where the cursor goes from each field of a form, as the record stands: by
      # the form's jumps, else to the next field that can be typed in.
      class FocusOrder
        # @param ready [CompiledForm]
        # @param outcome [Save::Outcome]
        # @param states [Hash{String=>Save::FieldStates::State}]
        def initialize(ready, outcome, states)
          @ready = ready
          @stops = ready.form.stops
          @outcome = outcome
          @states = states
        end

        # @return [Hash{String=>String, nil}] by field key, the field that comes next;
        #   nil for the end of the form
        def all = @stops.to_h { |key| [key, after(key)] }

        # @return [String, nil] the first field that can be typed in
        def first = from(0)

        # @return [Boolean] whether somebody can type in a field now
        def open?(key) = (state = @states.fetch(key)) && state.shown && state.enabled && !state.read_only

        private

        def after(key)
          jump =
            @ready.jumps.find do |each|
              each.after == key && (each.condition.nil? || each.condition.call(@outcome.evaluation) == true)
            end
          return from(@stops.index(key) + 1) unless jump

          case jump.to
          when "end" then nil
          when "first_blank" then @stops.find { |stop| open?(stop) && blank?(stop) }
          else open?(jump.to) ? jump.to : from(@stops.index(jump.to))
          end
        end

        def from(index) = @stops.drop(index).find { |key| open?(key) && !passed_over?(key) }

        # Only what a rule filled, and nothing is wrong with. What was typed is a stop, and what was there
        # before: whoever edits a record goes through it.
        def passed_over?(key)
          @ready.form.skip_filled && !blank?(key) && @outcome.origins[key].source == "rule" && !refused?(key)
        end

        def refused?(key) = @outcome.refusals.any? { |refusal| refusal.field == key }

        def blank?(key) = @outcome.values[key].nil? && !@outcome.unreadable.key?(key)
      end
    end
  end
end
