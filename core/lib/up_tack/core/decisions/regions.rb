# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # The values of one input, cut into as few regions as its cells can tell
      # apart: each limit by itself, what lies between two of them, each choice.
      # Every region has one value that stands for all of it.
      class Regions
        # value:: that stands for the region
        # words:: for people, nil where its ends say it
        # low, high:: its ends, nil where it is open; exact:: whether they belong to it
        Region = Struct.new(:value, :words, :low, :high, :exact)

        # @param inputs [Array<Input>] the columns of a table
        # @param rows [Array<ParseContext::Row>]
        # @return [Array<Array<Object>>] for each column a value of every region
        def self.values_of(inputs, rows)
          inputs.each_with_index.map { |input, index| new(input, rows.map { |row| row.cells[index] }).all.map(&:value) }
        end

        # @param input [Input]
        # @param cells [Array<Cell>] all of the column
        # @param bounds [Array(Object, Object)] lowest and highest value that other rules let pass, either nil
        # @param blank [Boolean] whether there may be no value
        def initialize(input, cells, bounds = [nil, nil], blank: false)
          @input = input
          @blank = blank
          @steps = Conditions::Steps.new(input.kind, input.field)
          @cells = cells
          @low, @high = bounds
        end

        # @return [Array<Region>]
        def all
          found =
            if @input.kind == :yes_no
              [Region.new(true, @input.show(true)), Region.new(false, @input.show(false))]
            elsif @input.choices
              listed
            elsif @input.ordered?
              ordered
            else
              open_texts
            end
          @blank ? found << Region.new(nil, Wording["blank"]) : found
        end

        # @param regions [Array<Region>] some of them, in their order
        # @return [String] for people; those that touch are said as one
        def words(regions)
          runs = regions.slice_when { |one, other| !touch?(one, other) }
          Masks::Phrases.to_sentence(runs.map { |run| run_words(run) }.first(6), "or")
        end

        private

        def touch?(one, other)
          return false if one.words || other.words || one.high.nil?
          return one.exact ^ other.exact if one.high == other.low

          one.exact && other.exact && !fine? && step_from(one.high, 1) == other.low
        end

        def run_words(run)
          first, last = run.first, run.last
          return first.words if first.words
          return @input.show(first.low) if first.low && first.low == last.high

          between(first, last)
        end

        def between(first, last)
          low, high = [first.low, last.high].map { |value| value && @input.show(value) }
          return last.exact ? Wording["up to %{high}", high: high] : Wording["below %{high}", high: high] unless low
          return first.exact ? Wording["from %{low}", low: low] : Wording["above %{low}", low: low] unless high

          ends = {low: low, high: high}
          if first.exact
            last.exact ? Wording["from %{low} to %{high}", **ends] : Wording["from %{low} and below %{high}", **ends]
          else
            last.exact ? Wording["above %{low} to %{high}", **ends] : Wording["above %{low} and below %{high}", **ends]
          end
        end

        # A retired choice is one that new records can't have, unless the table speaks of it.
        def listed
          named = constants
          (
            @input.open_choices | @input.choices.select { |choice| named.any? { |each| same?(each, choice) } }
          ).map { |choice| Region.new(choice, choice) }
        end

        def open_texts
          named = constants.uniq { |text| Unicode.folded(text) }
          other = "something else"
          other += "!" while named.any? { |text| same?(text, other) }
          [
            *named.map { |text| Region.new(text, Values::Plain.quoted(text)) },
            Region.new(other, named.empty? ? Wording["any text"] : Wording["any other text"])
          ]
        end

        def constants = @cells.flat_map(&:constants)
        def same?(one, other) = Expression::Comparator.order(one, other).zero?

        def ordered
          points = constants.uniq.sort.select { |value| (@low.nil? || value >= @low) && (@high.nil? || value <= @high) }
          return [whole] if points.empty?

          between = points.each_cons(2).flat_map { |low, high| [exactly(low), inside(low, high)] }.compact
          [below(points.first), *between, exactly(points.last), above(points.last)].compact
        end

        def whole = Region.new(@low || @high || usual, Wording["any value"])
        def exactly(value) = Region.new(value, nil, value, value, true)

        def below(value)
          return if @low && value <= @low

          found = @low || step_from(value, -1)
          found && Region.new(found, nil, nil, value, false)
        end

        def above(value)
          return if @high && value >= @high

          found = @high || step_from(value, 1)
          found && Region.new(found, nil, value, nil, false)
        end

        # Between two whole numbers, or two days, that follow each other there is
        # nothing; between the next but one there is just one.
        def inside(low, high)
          middle = step_from(low, 1)
          if fine?
            middle = (low + high) / 2
          elsif middle.nil? || middle >= high
            return
          elsif step_from(middle, 1) == high
            return exactly(middle)
          end
          Region.new(middle, nil, low, high, false)
        end

        def fine? = @steps.fine?
        def step_from(value, sign) = @steps.moved(value, sign)

        def usual =
          {
            number: BigDecimal(0),
            date: Calendar.day(2026, 1, 1),
            time: DayTime.at(12, 0),
            moment: ::Time.utc(2026, 1, 1, 12)
          }.fetch(@input.kind)
      end
    end
  end
end
