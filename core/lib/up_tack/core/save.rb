# frozen_string_literal: true

module UpTack
  module Core
    # The one way in which a record comes about. A Draft goes through the eight
    # stages of its table's Plan and comes out as an Outcome: the values, what
    # changed, what refuses it, and on request the trace of every step.
    #
    #   outcome = Save.call(plan, Save::Draft.new(typed: {"firing" => "glaze"}), context)
    #   outcome.saved?   # => false
    #
    # Nothing is written here; whoever calls writes what came out.
    module Save
      # @param plan [Plan]
      # @param draft [Draft]
      # @param context [Context]
      # @param trace [Boolean, :brief] whether somebody will look at the steps
      # @return [Outcome]
      def self.call(plan, draft, context, trace: false)
        working = Working.new(plan, draft, context, trace: trace)
        probe = context.probe
        working.read_typed
        # What is written down of a save is not, where there is none; what is shown goes on.
        plan.turns.each do |stage, rules|
          working.enter(stage)
          working.read_carried if stage == "default"
          rules = rules.reject { |rule| rule.rule.stage == "log" } if stage == "log" && working.refused?
          rules.each do |rule|
            probe&.enter(rule.rule.id)
            rule.apply(working)
          end
        end
        probe&.enter(nil)
        working.log_changes
        working.outcome
      end
    end
  end
end
