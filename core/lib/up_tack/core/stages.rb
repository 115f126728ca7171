# frozen_string_literal: true

module UpTack
  module Core
    # The eight steps through which every record goes when it is saved, always
    # in this order. The board and the trace show them in the same one.
    module Stages
      # key:: in the design; label:: on screen
      # aim:: what happens there, in a few words
      Stage = Struct.new(:key, :label, :aim, keyword_init: true)

      ALL = [
        Stage.new(key: "default", label: "Default", aim: "to begin with"),
        Stage.new(key: "mask", label: "Mask", aim: "how it is typed"),
        Stage.new(key: "tidy", label: "Tidy", aim: "cleaned up"),
        Stage.new(key: "fill", label: "Fill", aim: "set from others"),
        Stage.new(key: "calculate", label: "Calculate", aim: "worked out"),
        Stage.new(key: "number", label: "Number", aim: "counted up"),
        Stage.new(key: "validate", label: "Validate", aim: "refused unless"),
        Stage.new(key: "log", label: "Log", aim: "written down")
      ].each(&:freeze).freeze
    end
  end
end
