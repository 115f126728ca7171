# frozen_string_literal: true

module UpTack
  module Core
    # The eight steps through which every record goes when it is saved, always
    # in this order. The board and the trace show them in the same one.
    module Stages
      # key:: in the design; label:: on screen
      # aim:: what happens there, in a few words
      Stage = Struct.new(:key, :label, :aim, keyword_init: true) do
        def label = Wording[self[:label]]
        def aim = Wording[self[:aim]]
      end

      ALL = [
        Stage.new(key: "default", label: "Default", aim: "default value"),
        Stage.new(key: "mask", label: "Mask", aim: "input format"),
        Stage.new(key: "tidy", label: "Tidy", aim: "cleaned up"),
        Stage.new(key: "fill", label: "Fill", aim: "set by rules"),
        Stage.new(key: "calculate", label: "Calculate", aim: "calculated"),
        Stage.new(key: "number", label: "Number", aim: "auto-numbered"),
        Stage.new(key: "validate", label: "Validate", aim: "must be valid"),
        Stage.new(key: "log", label: "Log", aim: "recorded")
      ].each(&:freeze).freeze
    end
  end
end
