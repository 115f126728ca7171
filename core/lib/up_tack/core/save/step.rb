# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # One step of the trace.
      # stage:: "typed" for what came in, else the key of a stage
      # field:: label of the field it is about
      # key:: key of that field
      # rule:: id of the rule, nil where none is needed
      # result:: "read", "set", "passed", "refused", "skipped" or "logged"
      # before, after:: the values in their reading formats, where one changed
      # how:: in words: the values that went in, or why it was skipped
      # parts:: the formulas behind it taken apart, see Expression::EvaluationTree; nil where there are none
      Step = Struct.new(:stage, :field, :key, :rule, :result, :before, :after, :how, :parts, keyword_init: true)
    end
  end
end
