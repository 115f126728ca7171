# frozen_string_literal: true

module UpTack
  module UseCases
    # What one rule, looked at alone, says of records that exist. One file a way
    # of looking; kinds of rules that are looked at in the same way share it.
    module Effects
      KINDS = {
        "default" => "DefaultPreview",
        "calculation" => "CalculationPreview",
        "mask" => "MaskPreview",
        "tidy" => "TidyPreview",
        "narrow" => "DependentChoicePreview",
        "copy" => "CopyPreview",
        "unique" => "UniquePreview",
        "exists" => "ExistsPreview",
        "lock" => "LockPreview",
        "number" => "NumberPreview",
        "stamp" => "LogPreview",
        "tally" => "LogPreview",
        "line" => "LinePreview",
        "fill" => "FillPreview",
        "decision" => "DecisionPreview",
        "state" => "StatePreview"
      }.freeze

      # @return [EffectPreview] for the kind of the rule
      def self.for(design, rule, workspace) =
        const_get(KINDS.fetch(rule.kind, "CheckPreview")).new(design, rule, workspace)
    end
  end
end
