# frozen_string_literal: true

module UpTack
  module Core
    # What a value type is given to understand typed text: the firm's
    # conventions, the day on which it was typed, and the records that a link
    # can point to.
    ParseContext = Struct.new(:conventions, :today, :records, keyword_init: true) do
      def initialize(conventions:, today: nil, records: Ports::NoRecords) = super
    end
  end
end
