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
    #
    # A new record can also be begun by `begin` and finished by `finish`, maybe in another
    # process: what comes out is the same.
    module Save
      # @param plan [Plan]
      # @param draft [Draft]
      # @param context [Context]
      # @param trace [Boolean, :brief] whether somebody will look at the steps
      # @return [Outcome]
      def self.call(plan, draft, context, trace: false)
        working = SaveState.new(plan, draft, context, trace)
        working.read_typed
        take(plan.rules_by_stage, working, context.probe)
        working.log_changes
        working.outcome
      end

      # Takes a new record through those rules that see nothing of what is written meanwhile.
      # @param partition [PlanPartition] of the plan
      # @return [PartialSave, nil] nil where the record has to be taken through all rules at once,
      #   as when something refuses it
      def self.run_independent(plan, draft, context, partition)
        working = SaveState.new(plan, draft, context)
        working.read_typed
        take(partition.independent, working)
        working.begun
      end

      # Takes it through the others.
      # @param draft [Draft] whose typed holds the same fields, be it without what was typed
      # @param begun [PartialSave]
      # @param open_only [Boolean] whether changes of the fields that are closed by `run_independent` are
      #   known already, and left out of what comes out
      # @return [Outcome]
      def self.run_dependent(plan, draft, begun, context, partition, open_only: false)
        working = SaveState.new(plan, draft, context, false, begun)
        take(partition.dependent, working)
        open_only ? working.outcome(partition.open_fields) : working.outcome
      end

      # @param rules_by_stage [Hash{String=>Array<#apply>}] by key of the stage
      def self.take(rules_by_stage, working, probe = nil)
        rules_by_stage.each do |stage, rules|
          working.enter(stage)
          working.read_carried if stage == "default"
          # What is written down of a save is not, where there is none, and so nothing can wait for it;
          # what is shown goes on.
          rules = rules.select { |rule| rule.rule.follows? } if stage == "log" && working.refused?
          rules.each do |rule|
            probe&.enter(rule.rule.id)
            rule.apply(working)
          end
        end
        probe&.enter(nil)
      end
      private_class_method :take
    end
  end
end
