# frozen_string_literal: true

module UpTack
  module Services
    # How the fields of a form stand to whoever fills it in, and where the cursor goes.
    # states:: Core::Save::FieldStates::State by field key
    # following:: by key of each field of the form, the field that comes next, nil for the end
    # first:: the first field to type in
    FormState = Struct.new(:states, :following, :first, keyword_init: true) do
      # @param plan [Core::Save::Plan]
      # @param ready [Core::Forms::CompiledForm, nil] nil where there is no form
      # @param outcome [Core::Save::Outcome]
      # @param person [#role]
      # @return [Services::FormState]
      def self.build(plan, ready, outcome, person)
        states = Core::Save::FieldStates.new(plan, outcome, person, ready ? ready.states : []).all
        cursor = ready && Core::Forms::FocusOrder.new(ready, outcome, states)
        new(states: states, following: cursor ? cursor.all : {}, first: cursor&.first)
      end
    end
  end
end
