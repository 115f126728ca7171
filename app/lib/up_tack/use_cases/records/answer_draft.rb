# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Says what would come of a record that somebody is typing, and writes
      # nothing. Live forms ask it each time a field is left; the bench asks it
      # with a trace, as another person or on another day.
      class AnswerDraft
        def initialize(workspace)
          @workspace = workspace
        end

        # @param id [Integer, nil] the record that is edited; nil for a new one
        # @param copy_of [Integer, nil] a record whose values a new one begins with
        # @param form [String, nil] id of the form in which it is typed
        # @param tried [Hash{String=>Object}, nil] instead, a form that is being designed, plain
        # @param carried [Hash{String=>Object}] what the form takes over from the record before
        # @param pending [Store::UnsavedOverlay, nil] what is about to be saved beside it
        # @param trace [Boolean]
        # @param reasons [Hash{String=>String}] by rule, why warnings are passed
        # @return [Services::SaveResult] :saved or :refused, for "would be"
        # @raise [Store::NotFound, Core::Invalid]
        def call(
          table:,
          typed:,
          id: nil,
          copy_of: nil,
          form: nil,
          tried: nil,
          carried: {},
          pending: nil,
          trace: false,
          reasons: {}
        )
          plan, ready = tried ? @workspace.tried_in(table, tried) : @workspace.filled_in(table, form)
          Services::Fields.check(plan.table, typed, @workspace.visibility)
          find = FindRecord.new(@workspace)
          stored = id && find.call(table: table, id: id)
          Services::NotAllowed.unless_may(@workspace.person, plan.table, :edit)
          if copy_of
            typed = Core::Bench::Copying.values(plan.table,
              find.call(table: table, id: copy_of).values).merge(typed)
          end
          known = id || (pending ? Store::UnsavedOverlay::NEW : nil)
          draft =
            Core::Save::Draft.new(
              typed: typed,
              stored: stored&.values,
              id: known,
              reasons: reasons,
              live: true,
              carried: ready ? carried.slice(*ready.form.carried) : {}
            )
          outcome = Core::Save.call(plan, draft, @workspace.context(pending: pending), trace: trace)
          Services::SaveResult.new(
            state: outcome.saved? ? :saved : :refused,
            record: stored,
            outcome: outcome,
            form_state: Services::FormState.build(plan, ready, outcome, @workspace.person),
            table: table
          )
        end
      end
    end
  end
end
