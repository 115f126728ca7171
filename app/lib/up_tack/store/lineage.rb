# frozen_string_literal: true

module UpTack
  module Store
    # How the states of the design came from one another. Revisions are a plain
    # list, but an undo, a redo or a going back leads to a state that was there
    # before; each change branches off from the state in which it was made. The
    # real tables are taken from one state to another along this tree, a change
    # at a time, so that whatever was set aside is found again where it was left.
    class Lineage
      # One change made (or, when back, unmade): numbers of the revisions whose
      # designs lie before and after the step.
      Step = Struct.new(:from, :to, :back, keyword_init: true)

      # @param revisions [Enumerable<Revision>] all of them, the oldest first
      def initialize(revisions)
        @parents = {}
        @states = {}
        before = {}
        last = nil
        revisions.each do |revision|
          before[revision.id] = last
          @states[revision.id] = state_after(revision, before)
          last = revision.id
        end
      end

      # @param from [Integer] a revision's number
      # @param to [Integer]
      # @return [Array<Step>] back to where both come from, then on
      def steps(from:, to:)
        down = origins(@states.fetch(from))
        up = origins(@states.fetch(to))
        common = (down & up).first
        down
          .take_while { |state| state != common }
          .map { |state| Step.new(from: state, to: @parents[state], back: true) } +
          up
            .take_while { |state| state != common }
            .reverse
            .map { |state| Step.new(from: @parents[state], to: state, back: false) }
      end

      private

      # A state goes by the number of the change that first led to it.
      def state_after(revision, before)
        case revision.action
        when "undo" then @states.fetch(before.fetch(revision.target_id))
        when "redo", "put back" then @states.fetch(revision.target_id)
        else
          @parents[revision.id] = @states[before[revision.id]]
          revision.id
        end
      end

      # @return [Array<Integer>] the state and all from which it came, the nearest first
      def origins(state)
        found = []
        while state
          found << state
          state = @parents[state]
        end
        found
      end
    end
  end
end
