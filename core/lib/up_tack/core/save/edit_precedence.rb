# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # What somebody typed, and whether a rule may write over it: what was typed
      # after the change that moves the rule stays, what was typed before goes.
      # In a live draft the order of typing tells; in a save all that is typed
      # counts as typed last. A value that a rule gave is as new as what moved the rule.
      class EditPrecedence
        # As old as the record itself.
        BEGINNING = -1

        # @return [Array<String>] keys of fields whose typed value a rule replaced
        attr_reader :overtaken

        # @param draft [Draft]
        def initialize(draft)
          @typed = draft.typed
          @live = draft.live
          @order = @live ? @typed.keys.each_with_index.to_h : {}
          @moments = {}
          @overtaken = []
        end

        def typed?(key) = @typed.key?(key)

        # @param causes [Array<String>] keys of the fields whose change moves a rule
        # @return [Boolean] whether the field was typed before one of them changed
        def superseded?(key, causes)
          return false unless @live && typed?(key)

          own = @order.fetch(key)
          causes.any? { |cause| moment(cause) > own }
        end

        # Takes note that a rule gave the field its value.
        # @param gone [Boolean] whether what was typed there is gone by that
        def written(key, causes, gone:)
          @moments[key] = causes.map { |cause| moment(cause) }.max || BEGINNING
          @overtaken |= [key] if gone && typed?(key)
        end

        private

        def moment(key) = @moments[key] || @order[key] || BEGINNING
      end
    end
  end
end
