# frozen_string_literal: true

module UpTack
  module Core
    # The kinds of rule. Each kind is one file in rules/; adding one means adding
    # a file and a line to the registry here.
    module Rules
      # @return [Hash{String=>Class}] the rule classes by kind, in the order in which they are offered
      def self.all
        @all ||=
          [
            Default,
            Mask,
            Tidy,
            Fill,
            Decision,
            DependentChoice,
            Copy,
            Calculation,
            Check,
            Required,
            Limits,
            Length,
            OneOf,
            MatchesMask,
            Unique,
            Exists,
            Lock,
            State,
            Number,
            Stamp,
            ChangeCounter,
            LogLine
          ].to_h { |kind| [kind.kind, kind] }.freeze
      end

      # @param plain [Hash{String=>Object}] from a design
      # @return [Rule]
      # @raise [Invalid] for a kind that is not known
      def self.from(plain)
        kind = all[plain["kind"]] or Invalid.because("There is no rule kind “#{plain["kind"]}”.", part: "kind")
        kind.from(plain)
      end
    end
  end
end
