# frozen_string_literal: true

module UpTack
  module UseCases
    # What one rule, looked at alone, says of records that exist. One file a way
    # of looking; kinds of rules that are looked at in the same way share it.
    module EffectPreviews
      KINDS = {
        "default" => "DefaultSight", "calculation" => "CalculationSight", "mask" => "MaskSight", "tidy" => "TidySight",
        "narrow" => "NarrowSight", "copy" => "CopySight", "unique" => "UniqueSight", "exists" => "ExistsSight", "lock" => "LockSight",
        "number" => "NumberSight", "stamp" => "LogSight", "tally" => "LogSight", "line" => "LineSight",
        "fill" => "FillSight", "decision" => "DecisionSight", "state" => "StateSight"
      }.freeze

      # @return [EffectPreview] for the kind of the rule
      def self.for(design, rule, workspace) = const_get(KINDS.fetch(rule.kind, "CheckSight")).new(design, rule, workspace)
    end
  end
end
