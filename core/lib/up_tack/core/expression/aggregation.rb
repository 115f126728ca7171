# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The ways of making one value out of many linked records. Blanks are
      # passed over. Each is a running account, so that it makes no difference
      # how many records there are.
      class Aggregation
        attr_reader :name, :example

        # @return [Hash{String=>Aggregation}]
        def self.all
          @all ||=
            [
              new(
                "count",
                help: "How many linked records there are.",
                example: "count(pieces where stage = \"Collected\")",
                takes: [],
                gives: :number,
                account: Counted
              ),
              new(
                "sum",
                help: "The sum of a number over the linked records; 0 if there is none.",
                example: "sum(orders.amount where status = \"Open\")",
                takes: %i[number],
                gives: :number,
                account: Summed
              ),
              new(
                "average",
                help: "The average of a number over the linked records.",
                example: "average(pieces.clay_weight)",
                takes: %i[number],
                gives: :number,
                account: Averaged
              ),
              new(
                "min",
                help: "The smallest or earliest among the linked records.",
                example: "min(pieces.received)",
                takes: %i[number date time moment text],
                gives: nil,
                account: Smallest
              ),
              new(
                "max",
                help: "The largest or latest among the linked records.",
                example: "max(pieces.received where stage <> \"Collected\")",
                takes: %i[number date time moment text],
                gives: nil,
                account: Largest
              ),
              new(
                "join",
                help: "The texts of the linked records in a row, with something between.",
                example: "join(pieces.tag, \", \" where stage = \"Drying\")",
                takes: %i[text number date time moment yes_no],
                gives: :text,
                account: Joined
              )
            ].to_h { |each| [each.name, each] }.freeze
        end

        # @return [Aggregation]
        def self.[](name) = all.fetch(name)

        # @param segments [Array<Nodes::Segment>] the names of a value, at least one
        # @return [Nodes::Node] the same as a field of the linked record
        def self.value_node(segments)
          first, *rest = segments
          field = Nodes::Field.new(key: first.key, from: first.from, to: first.to)
          rest.reduce(field) do |owner, segment|
            Nodes::Path.new(owner: owner, key: segment.key, from: first.from, to: segment.to)
          end
        end

        def initialize(name, help:, example:, takes:, gives:, account:)
          @name = name
          @help = help
          @example = example
          @takes = takes
          @gives = gives
          @account = account
          freeze
        end

        def help = Wording[@help]

        # @return [String] such as `sum(table.field where condition)`
        def signature
          inner = {"count" => "table", "join" => "table.field, between"}.fetch(name, "table.field")
          "#{name}(#{inner} where condition)"
        end

        def takes?(type) = Values::Types::OPEN.include?(type) || @takes.include?(type)
        def taken_in_words = @takes.map { |type| Values::Types.phrase(type) }.join(", ").sub(/, ([^,]+)\z/, " or \\1")
        def result(type) = @gives || type

        # @return [#add, #result] a new account; add takes each value that is not blank
        def account(separator) = @account.new(separator)

        # Counts, whatever comes.
        class Counted
          def initialize(_separator) = @count = 0
          def add(_value) = @count += 1
          def result = BigDecimal(@count)
        end

        # Adds up.
        class Summed
          def initialize(_separator) = @sum = BigDecimal(0)
          def add(value) = @sum = Numbers.add(@sum, value)
          def result = @sum
        end

        # Adds up and divides by the count.
        class Averaged
          def initialize(_separator)
            @sum = BigDecimal(0)
            @count = 0
          end

          def add(value)
            @sum = Numbers.add(@sum, value)
            @count += 1
          end

          def result = @count.zero? ? nil : Numbers.divide(@sum, BigDecimal(@count))
        end

        # Keeps the first of those that are smallest.
        class Smallest
          attr_reader :result

          def initialize(_separator) = @result = nil

          def add(value)
            @result = value if @result.nil? || better?(value)
          end

          def better?(value) = Comparator.order(value, @result).negative?
        end

        # Keeps the first of those that are largest.
        class Largest < Smallest
          def better?(value) = Comparator.order(value, @result).positive?
        end

        # Writes them in a row.
        class Joined
          def initialize(separator)
            @separator = separator.to_s
            @text = nil
          end

          def add(value)
            return if value.empty?

            @text = Unicode.bounded(@text ? @text + @separator + value : value.dup)
          end

          def result = @text
        end
      end
    end
  end
end
