# frozen_string_literal: true

module UpTack
  module Core
    # How a code must be written, in the shape of ABNF (RFC 5234): literals in
    # quotes, repetitions before a class, optional parts in square brackets.
    #
    #   mask = Masks.read('2UPPER "-" 3DIGIT')
    #   mask.fits?("KD-017")   # => true
    module Masks
      # Characters a mask may have.
      LONGEST = 500
      # Brackets within one another.
      DEEPEST = 8
      # What an open repetition such as `1*DIGIT` ends at.
      MOST = 200

      # A mistake in a mask.
      # from, to:: character offsets from 0
      class Invalid < StandardError
        attr_reader :from, :to

        def initialize(message, from, to)
          @from = from
          @to = to
          super(message)
        end
      end

      # @param text [String]
      # @return [Mask]
      # @raise [Invalid]
      def self.read(text) = Mask.new(Reader.new(text).parts)
    end
  end
end
