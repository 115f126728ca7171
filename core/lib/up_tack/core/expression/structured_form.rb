# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # A formula put together from pieces, for those who would rather not type
      # one; and back. Three shapes are known, as plain hashes:
      #
      #   {"shape" => "text", "parts" => [part, …]}              joined text
      #   {"shape" => "choice", "match" => "all", "tests" => [test, …],
      #    "met" => [part, …], "unmet" => [part, …]}             one text or another
      #   {"shape" => "condition", "match" => "any", "tests" => [test, …]}
      #
      # part:: {"text" => " "}, {"field" => "title.text"}, or with "before" and
      #   "after", texts that stand around the field only when it is filled
      # test:: {"field" => "stage", "relation" => "=", "value" => value}
      # value:: {"text" => …}, {"number" => …}, {"date" => …}, {"answer" => true},
      #   {"field" => …}, {"list" => [value, …]}, or nil for "is blank"
      module StructuredForm
        SHAPES = %w[text choice condition].freeze

        module_function

        # @param text [String] a formula
        # @return [Hash, nil] nil where pieces can't show it
        def parse(text)
          StructuredFormReader.new.read(Expression.parse(text))
        rescue Invalid
          nil
        end

        # @param pieces [Hash]
        # @return [String] the formula
        # @raise [Invalid] for pieces that are not complete
        def write(pieces) = Printer.new.print(Expression.parse(StructuredFormWriter.new.write(pieces)))
      end
    end
  end
end
