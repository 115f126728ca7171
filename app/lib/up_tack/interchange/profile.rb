# frozen_string_literal: true

module UpTack
  module Interchange
    # What a column of a file shows: which kinds of values, in which order its dates are
    # written, with which mark its decimals. Told from some of its rows.
    class Profile
      # Rows looked at, fewer where they have many cells; and different values remembered.
      ROWS = 5_000
      MOST_CELLS = 1_000_000
      MOST_DISTINCT = 60
      FIGURES = %r{\A(\d{1,4})([-./])(\d{1,2})\2(\d{1,4})\z}
      NAMED = /\A\d{1,2}\.? \p{L}{3,9}\.?,? \d{4}\z/
      NUMBER = /\A[-+]?(?:\d{1,3}(?:[,. '\u00A0\u202F]\d{3})+|\d+)(?:[.,]\d+)?\z/
      YES_NO = %w[yes no true false y n].freeze

      # What one text shows. kind:: as of_text has it; mark:: before its decimals, where it tells
      # order:: of its date, where it tells; number:: it as one
      # shape:: which kinds of characters stand where, once somebody asked
      Shown = Struct.new(:kind, :mark, :order, :number, :shape)

      # @param columns [Integer]
      # @return [Integer] rows that are looked at
      def self.rows(columns) = [ROWS, MOST_CELLS / [columns, 1].max].min

      # name:: of the column; filled, blank:: rows; distinct:: values, nil where they are too many
      # longest:: characters; kinds:: counts of "number", "date", "yes_no" and "text"
      # dates:: counts by order; decimals:: counts by mark; rows_by_order:: an example of each order
      attr_reader :name, :filled, :blank, :longest, :kinds, :dates, :decimals, :rows_by_order

      # @param known [Core::InternCache] what texts show, for all columns of a file
      def initialize(name, known = Core::InternCache.new)
        @name = name
        @filled = @blank = @longest = 0
        @distinct = {}
        @kinds = Hash.new(0)
        @dates = Hash.new(0)
        @decimals = Hash.new(0)
        @rows_by_order = {}
        @either_way = 0
        @repeated = false
        @several_lines = false
        @least = @greatest = nil
        @all = Set.new
        @known = known
      end

      # @param cell [Object]
      # @param row [Integer]
      def add(cell, row)
        return @blank += 1 if cell.nil? || (cell.is_a?(String) && cell.strip.empty?)

        @filled += 1
        text = cell.is_a?(String) ? cell.strip : Profile.text(cell)
        @longest = text.length if text.length > @longest
        @several_lines ||= text.include?("\n")
        @repeated = true unless @all.add?(text.hash)
        shown = @known.one(text) { Profile.shown(text) }
        look_at_shape(shown, text) unless @shape == false
        @distinct[text] = (@distinct[text] || 0) + 1 if @distinct.length <= MOST_DISTINCT
        @kinds[kind(cell, shown, text, row)] += 1
      end

      # @return [String] a cell as it would be typed
      def self.text(cell)
        case cell
        when BigDecimal then Core::Numbers.digits(cell)
        when Date then cell.iso8601
        when Time then cell.getutc.strftime(cell.sec.zero? ? "%Y-%m-%d %H:%M" : "%Y-%m-%d %H:%M:%S")
        when true then "yes"
        when false then "no"
        else cell.to_s
        end
      end

      # @return [Hash{String=>Integer}, nil] how often each value stands there, nil where there are too many
      def distinct = (@distinct.length <= MOST_DISTINCT) ? @distinct : nil

      # @return [Array<String>] some of its values
      def samples = @distinct.keys.first(4)

      def unique? = !@repeated

      # @return [Boolean] whether all values have letters, figures and signs in the same places
      def uniform? = @shape.is_a?(String)
      def several_lines? = @several_lines

      # @return [String] "number", "date", "yes_no" or "text": what all its values are
      def kind_of_all
        return "text" if kinds.empty? || kinds.length > 1

        kinds.keys.first
      end

      # @param usual [String] where nothing tells
      # @return [String] in which order dates are written
      def date_order(usual) = dates.max_by(&:last)&.first || usual

      # @param usual [String]
      # @return [String] the mark before decimals
      def decimal_mark(usual) = decimals.max_by(&:last)&.first || usual

      # @return [String, nil] what somebody should look at
      def doubt
        orders = rows_by_order.slice("dmy", "mdy")
        return unless orders.length == 2

        Core::Messages[
          "interchange.profile.has_dates_of_both_orders",
          name: name,
          orders: orders.map { |_, (row, text)| "#{text} in row #{row}" }.join(", ")
        ]
      end

      ORDERS = {"dmy" => "day first", "mdy" => "month first", "ymd" => "year first"}.freeze

      # @param order [String] in which its dates are read
      # @return [String, nil] which reading was taken, where most cells would allow another
      def reading(order)
        return if @either_way.zero? || rows_by_order.slice("dmy", "mdy").length == 2

        row, text = rows_by_order[order]
        why = row ? "since row #{row} has #{text}" : "the order of other columns or of the firm"
        others = (@either_way == 1) ? "another date" : "#{Core::Values::Plain.grouped(@either_way)} other dates"
        Core::Messages[
          "interchange.profile.is_read",
          name: name,
          orders: ORDERS.fetch(order),
          why: why,
          others: others,
          example: @example.last,
          row: @example.first
        ]
      end

      # @return [Array(BigDecimal, BigDecimal), nil] the least and the greatest number
      def range = @least && [@least, @greatest]

      private

      # A day that is the same in both orders tells nothing and can't be misread.
      def palindrome?(text) = text.match(FIGURES).then { |found| found[1].to_i == found[3].to_i }

      # As long as all cells are alike.
      def look_at_shape(shown, text)
        shape = shown.shape ||= Profile.shape(text)
        @shape = (@shape.nil? || @shape == shape) ? shape : false
      end

      def kind(cell, shown, text, row)
        case cell
        when BigDecimal then number(cell)
        when Date then "date"
        when true, false then "yes_no"
        else of_text(shown, text, row)
        end
      end

      def of_text(shown, text, row)
        @decimals[shown.mark] += 1 if shown.mark
        if shown.order
          @dates[shown.order] += 1
          @rows_by_order[shown.order] ||= [row, text]
        elsif shown.kind == "date" && text.match?(FIGURES) && !palindrome?(text)
          @either_way += 1
          @example ||= [row, text]
        end
        shown.number ? number(shown.number) : shown.kind
      end

      def number(value)
        @least = value if @least.nil? || value < @least
        @greatest = value if @greatest.nil? || value > @greatest
        "number"
      end

      class << self
        # @return [String] which kinds of characters stand where
        def shape(text) = text.gsub(/\p{Lu}/, "A").gsub(/\p{Ll}/, "a").gsub(/\d/, "9")

        # @param text [String] without blanks around it
        # @return [Shown]
        def shown(text)
          return Shown.new("yes_no") if YES_NO.include?(text.downcase)

          date, order = date(text)
          return Shown.new("date", nil, order) if date
          return Shown.new("text") unless text.match?(NUMBER) && !text.match?(/\A0\d/)

          mark = mark_of(text)
          Shown.new("number", mark, nil, figures(text, mark))
        end

        private

        def figures(text, mark)
          digits = text.delete(" '\u00A0\u202F")
          digits = (mark == ",") ? digits.delete(".").tr(",", ".") : digits.delete(",")
          BigDecimal(digits.delete_prefix("+"), exception: false) || BigDecimal(0)
        end

        # A mark with other than three figures behind it, or after another mark, stands before decimals.
        def mark_of(text)
          last = text.rindex(/[.,]/) or return
          other = (text[last] == ",") ? "." : ","
          return text[last] if text[0...last].include?(other) || text.length - last != 4
          return other if text.count(text[last]) > 1

          nil
        end

        # @return [Array(Boolean, String)] whether it is a date, and its order where that can be told
        def date(text)
          return [true, nil] if text.match?(NAMED)

          first, _, second, third = text.match(FIGURES)&.captures || (return [false, nil])
          return [false, nil] if [first, third].none? { |part| part.length == 4 || part.length == 2 }

          [true, order_of(first, second)]
        end

        def order_of(first, second)
          return "ymd" if first.length == 4
          return "dmy" if first.to_i > 12

          "mdy" if second.to_i > 12
        end
      end
    end
  end
end
