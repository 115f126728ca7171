# frozen_string_literal: true

module UpTack
  module Core
    # Something that keeps a design from being used.
    # part:: which input it belongs to, such as "label" or "formula"
    # message:: a sentence for people
    # from, to:: the place inside a formula, where there is one
    # place:: where in a project file it is, in names, "tables › pieces › rules › r12"; nil elsewhere
    # rule:: id of the rule it concerns, if it is one other than that being written
    # tolerable:: whether earlier versions let it be written, so that a design that has it is opened
    # stuck:: ids of rules that can't act because of it, in a design that has it
    Problem = Struct.new(:part, :message, :from, :to, :rule, :place, :tolerable, :stuck, keyword_init: true) do
      # @return [Array] by which the same problem is known in the next state of a design
      def signature = [rule, part, message]
    end
  end
end
