# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A new record halfway through its rules, in plain values that can be handed over.
      # values:: by field key, as Outcome has them
      # origins:: [key, source, rule id] of each value that has one, one after the other;
      #   in which words is left out
      # claimed:: what came along for fields that are worked out, by key; nil mostly
      Begun = Struct.new(:values, :origins, :claimed)
    end
  end
end
