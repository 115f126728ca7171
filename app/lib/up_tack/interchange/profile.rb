# frozen_string_literal: true

module UpTack
  module Interchange
    # What a column of a file shows: which kinds of values, in which order its dates are written, with which mark its
    # decimals. Told from its first rows or from all of them.
    class Profile
      # Rows looked at, fewer where they have many cells; and different values remembered.
      ROWS = 5_000
      MOST_CELLS = 1_000_000
      MOST_DISTINCT = 60
      # Texts of a column of which it is remembered what they show.
      KNOWN = 5_000
      ISO = /\A\d{4}-\d\d-\d\d\z/
      # What one text shows. kind:: "number", "compact" (a number or a date), "date", "moment", "time", "yes_no",
      # "nothing" or "text"; mark:: before its decimals, where it tells; number:: it as one, and unit:: what it is of
      # order:: of its date, where it tells, or :either; shape:: which kinds of characters stand where
      Shown = Struct.new(:kind, :mark, :order, :number, :unit, :shape)

      # @param columns [Integer]
      # @return [Integer] rows that are looked at
      def self.rows(columns) = [ROWS, MOST_CELLS / [columns, 1].max].min

      # name:: of the column; filled, blank:: rows; distinct:: values, nil where they are too many
      # longest:: characters; kinds:: counts of kinds, see Shown; units:: of numbers, nil for those without one
      # dates:: counts by order; decimals:: counts by mark; rows_by_order:: an example of each order
      attr_reader :name, :filled, :blank, :longest, :kinds, :units, :dates, :decimals, :rows_by_order

      # @param reader [CellText]
      # @param columns [Integer] how many the file has
      def initialize(name, reader, columns = 1)
        @name = name
        @reader = reader
        @filled = @blank = @longest = 0
        @distinct = {}
        @kinds = Hash.new(0)
        @dates = Hash.new(0)
        @decimals = Hash.new(0)
        @units = Hash.new(0)
        @whole = true
        @long = false
        @rows_by_order = {}
        @either_way = 0
        @several_lines = false
        @least = @greatest = nil
        @repeats = Repeats.new(Repeats::MOST / [columns, 1].max)
        # What texts show. Each column has its own: one whose texts are all different would push out the others'.
        @known = Core::InternCache.new(most: KNOWN)
      end

      # @param cell [Object]
      # @param row [Integer]
      def add(cell, row)
        return @blank += 1 if cell.nil? || (cell.is_a?(String) && cell.strip.empty?)

        @filled += 1
        text = cell.is_a?(String) ? cell.strip : Profile.text(cell)
        @longest = text.length if text.length > @longest
        @several_lines ||= text.include?("\n")
        @repeats.add(text)
        look_at_beginning(text) unless @common == ""
        @distinct[text] = (@distinct[text] || 0) + 1 if @distinct.length <= MOST_DISTINCT
        return if settled?

        shown = @known.one(text) { Profile.shown(text, @reader) }
        look_at_shape(shown, text) unless @shape == false
        @kinds[kind(cell, shown, text, row)] += 1
      end

      # What was found goes from process to process, and is kept; how it was found is not.
      # @return [Hash{Symbol=>Object}]
      def marshal_dump
        unique?
        (instance_variables - %i[@reader @known @repeats]).to_h { |name| [name, instance_variable_get(name)] }
      end

      # @return [void]
      def marshal_load(told) = told.each { |name, value| instance_variable_set(name, value) }

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

      # @return [Boolean] asked when all rows have come
      def unique? = @repeats ? @unique = !@repeats.any? : @unique

      # @return [String] with what all values begin
      def common = @common.to_s

      # @return [Boolean] whether all values have letters, figures and signs in the same places
      def uniform? = @shape.is_a?(String)
      def several_lines? = @several_lines

      # Kinds that say together what a column is.
      TOGETHER = {%w[compact] => "date", %w[compact date] => "date", %w[compact number] => "number",
                  %w[date moment] => "moment"}.freeze

      # @return [String] "number", "date", "moment", "time", "yes_no" or "text": what all its values are, but for
      #   those that say there is nothing
      def kind_of_all
        found = kinds.keys.reject { |kind| kind == "nothing" }.sort
        kind = (found.length == 1 && found != ["compact"]) ? found.first : TOGETHER.fetch(found, "text")
        mixed = (kind == "number") ? units.length > 1 : orders.length > 1
        mixed ? "text" : kind
      end

      # @return [String, nil] what all its numbers are of
      def unit = (kind_of_all == "number") ? units.keys.first : nil

      # @return [Boolean] whether some of its cells say that there is nothing, which are blank then
      def nothing? = kinds.key?("nothing") && kind_of_all != "text"

      # @return [Boolean] whether its numbers run on without a gap, as those by which records are known do
      def running? = unique? && @whole && !@least.nil? && @greatest - @least + 1 == units.values.sum

      # @return [Boolean] whether some of its numbers have more figures than are kept
      def long? = @long

      # @param usual [String] where nothing tells
      # @return [String] in which order dates are written: years that come first are read in whatever order
      def date_order(usual) = orders.max_by { |order| dates[order] } || (@either_way.zero? && dates.keys.first) || usual

      # @param usual [String]
      # @return [String] the mark before decimals
      def decimal_mark(usual) = decimals.max_by(&:last)&.first || usual

      # @return [String, nil] what somebody should look at
      def doubt
        return unless orders.length == 2

        Core::Messages[
          "interchange.profile.has_dates_of_both_orders",
          name: name,
          orders: rows_by_order.slice(*orders).map { |_, (row, text)| "#{text} in row #{row}" }.join(", ")
        ]
      end

      # @return [Boolean] whether it has days, with a time or without
      def dated? = kinds.key?("date") || kinds.key?("moment")

      # @return [Array<String>] what is not taken from its cells
      def left_out
        [
          (Core::Messages["interchange.profile.is_read_without_unit", name: name, unit: unit.strip] if unit),
          (Core::Messages["interchange.profile.nothing_is_blank", name: name] if nothing?)
        ].compact
      end

      ORDERS = {"dmy" => "day first", "mdy" => "month first", "ymd" => "year first"}.freeze

      # @param order [String] in which its dates are read
      # @return [String, nil] which reading was taken, where most cells would allow another
      def reading(order)
        return if @either_way.zero? || orders.length == 2

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

      # Orders of which one alone is right.
      def orders = %w[dmy mdy] & dates.keys

      # Whether it is text whatever else comes, and of no one form.
      def settled? = @filled > ROWS && @shape == false && @kinds.key?("text")

      # As long as all cells begin alike.
      def look_at_beginning(text)
        @common ||= text
        @common = @common.chop until text.start_with?(@common)
      end

      # As long as all cells are alike.
      def look_at_shape(shown, text)
        shape = shown.shape ||= Profile.shape(text)
        @shape = (@shape.nil? || @shape == shape) ? shape : false
      end

      def kind(cell, shown, text, row)
        case cell
        when BigDecimal then number(cell, nil)
        when Date then "date"
        when Time then "moment"
        when true, false then "yes_no"
        else of_text(shown, text, row)
        end
      end

      def of_text(shown, text, row)
        @decimals[shown.mark] += 1 if shown.mark
        if shown.order == :either
          @either_way += 1
          @example ||= [row, text]
        elsif shown.order
          @dates[shown.order] += 1
          @rows_by_order[shown.order] ||= [row, text]
        end
        number(shown.number, shown.unit) if shown.number
        shown.kind
      end

      def number(value, unit)
        @units[unit] += 1
        @whole &&= value.frac.zero?
        @long ||= value.n_significant_digits > Core::Numbers::KEPT_DIGITS
        @least = value if @least.nil? || value < @least
        @greatest = value if @greatest.nil? || value > @greatest
        "number"
      end

      class << self
        # @return [String] which kinds of characters stand where
        def shape(text)
          return text.tr("A-Z", "A").tr("a-z", "a").tr("0-9", "9") if text.ascii_only?

          text.gsub(/\p{Lu}/, "A").gsub(/\p{Ll}/, "a").gsub(/\d/, "9")
        end

        # @param text [String] without blanks around it
        # @param reader [CellText]
        # @return [Shown]
        def shown(text, reader)
          return Shown.new("nothing") if CellText.nothing?(text)
          return Shown.new("yes_no") unless reader.answer(text).nil?
          return Shown.new("text") unless text.length <= CellText::LONGEST && text.match?(/\d/)
          return Shown.new("compact", nil, nil, BigDecimal(text)) if text.match?(CellText::COMPACT) && day?(text)

          of_number(text, reader) || of_day(text, reader) || Shown.new("text")
        end

        private

        # What begins with 0 or +, or has more figures than are kept and no decimals, is a number of another sort:
        # that of a telephone, an article or an account.
        def of_number(text, reader)
          return if text.match?(/\A0\d|\A\+/) || !text.match?(CellText::NUMBERLIKE)
          return Shown.new("number", nil, nil, BigDecimal(text)) if text.match?(CellText::WHOLE)

          mark = text[CellText::DECIMAL, 1]
          return Shown.new("number", mark, nil, BigDecimal(text.tr(",", "."))) if mark

          unit = CellText.unit(text)
          found = CellText::MARKS.to_h { |mark| [mark, reader.number(text, mark, unit)] }.compact
          value = found.values.first or return
          return if value.frac.zero? && value.n_significant_digits > Core::Numbers::KEPT_DIGITS
          return if value.exponent > Core::Numbers::KEPT_DIGITS && !text.match?(/e/i)

          Shown.new("number", (found.keys.first if found.one?), nil, value, unit)
        end

        def of_day(text, reader)
          return Shown.new("date", nil, "ymd") if text.match?(ISO) && day?(text.delete("-"))
          return Shown.new("time") if reader.time(text)
          return unless text.match?(CellText::DAYLIKE)

          %i[date moment].each do |kind|
            found = CellText::ORDERS.to_h { |order| [order, reader.public_send(kind, text, order)] }.compact
            return Shown.new(kind.to_s, nil, order_of(text, found)) if found.any?
          end
          nil
        end

        # @param text [String] eight figures
        def day?(text) = Core::Calendar.valid?(text[0, 4].to_i, text[4, 2].to_i, text[6, 2].to_i)

        # A day that is the same in both orders tells nothing and can't be misread.
        def order_of(text, found)
          return unless text.match?(CellText::FIGURES)
          return "ymd" if text.match?(/\A\d{4}/)

          both = found.slice("dmy", "mdy")
          return both.keys.first if both.one?

          :either if both.values.uniq.length == 2
        end
      end
    end
  end
end
