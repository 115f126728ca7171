# frozen_string_literal: true

module UpTack
  module UseCases
    # What one rule, looked at alone, says of records that exist. One file a way
    # of looking; kinds of rules that are looked at in the same way share it.
    module Effects
      # The ways of looking, by the key with which a kind of rule names that which suits it.
      WAYS = {
        default: "DefaultPreview", mask: "MaskPreview", tidy: "TidyPreview", fill: "FillPreview",
        decision: "DecisionPreview", dependent_choice: "DependentChoicePreview", copy: "CopyPreview",
        calculation: "CalculationPreview", number: "NumberPreview", check: "CheckPreview", unique: "UniquePreview",
        exists: "ExistsPreview", lock: "LockPreview", state: "StatePreview", log: "LogPreview", line: "LinePreview"
      }.freeze

      # @return [EffectPreview] for the kind of the rule
      def self.for(design, rule, workspace) =
        const_get(WAYS.fetch(rule.class.effect)).new(design, rule, workspace)
    end
  end
end
