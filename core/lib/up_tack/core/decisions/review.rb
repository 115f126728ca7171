# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # Looks at a decision table as a whole: combinations of inputs that no row
      # covers, rows that are never reached, rows that contradict each other.
      #
      # The inputs are cut into Regions; then the columns are gone through one after
      # the other, each time with the set of rows that still fit, as the bits of a
      # whole number. Ways that lead to the same set at the same column are gone
      # once. A blank input is looked at only where the table speaks of blank.
      class Review
        # Regions looked at before it stops short.
        MOST_STEPS = 1_500_000
        # Findings of each kind that are told.
        MOST_FOUND = 30

        # One combination of inputs.
        # words:: for people, one text an input; nil where any value will do
        # values:: one value an input, as an example
        Example = Struct.new(:words, :values)
        # gaps:: Examples that no row covers
        # unreached:: [index of the row, why] of rows that never decide
        # contradictions:: [index of the row that decides, index of the other, Example]
        # stopped:: whether it stopped short
        # steps:: how many regions it looked at
        Report = Struct.new(:gaps, :unreached, :contradictions, :stopped, :steps, keyword_init: true)

        # @param rule [Rules::Decision] without problems
        # @param table [Design::Table]
        # @param most_steps [Integer]
        def initialize(rule, table, most_steps: MOST_STEPS)
          reading = Reading.new(rule, table, Core::Reading.new(conventions: Conventions.from({})))
          @rows = reading.rows
          @inputs = rule.columns(table)
          @table = table
          @most_steps = most_steps
          @cuts = @inputs.each_with_index.map { |input, index| Regions.new(input, column(index), Bounds.of(table, input.field)) }
          @regions = @cuts.map(&:all)
          @masks = @regions.each_with_index.map { |regions, index| regions.map { |region| mask(index, region.value) } }
          # Columns with few values come first, so that ways meet again soon.
          @order = @inputs.each_index.sort_by { |index| [@regions[index].length, index] }
        end

        # @return [Report]
        def report
          @steps = 0
          @seen = {}
          @reached = 0
          @pairs = {}
          gaps = walk(0, (1 << @rows.length) - 1)
          Report.new(gaps: gaps.map { |way| example(way) }.uniq(&:words), unreached: stopped? ? [] : unreached, contradictions: contradictions, stopped: stopped?, steps: @steps)
        end

        private

        def column(index) = @rows.map { |row| row.cells[index] }
        def stopped? = @steps >= @most_steps

        # @return [Integer] the rows whose cell of a column lets a value pass, as bits
        def mask(column, value)
          @rows.each_with_index.reduce(0) { |bits, (row, index)| row.cells[column].fits?(value) ? bits | (1 << index) : bits }
        end

        # @param depth [Integer] columns gone through, in @order
        # @param alive [Integer] rows that still fit
        # @return [Array<Hash{Integer=>Array<Integer>}>] gaps from here on: regions by column
        def walk(depth, alive)
          return [{}] if alive.zero?
          return end_at(alive) if depth == @order.length

          @seen[[depth, alive]] ||= begin
            column = @order[depth]
            groups(column, alive).flat_map do |left, regions|
              break [] if stopped?

              walk(depth + 1, left).map { |way| (regions.length == @regions[column].length) ? way : {column => regions}.merge(way) }
            end.first(MOST_FOUND)
          end
        end

        def groups(column, alive)
          @steps += @masks[column].length
          @masks[column].each_index.group_by { |region| @masks[column][region] & alive }
        end

        # All columns are gone through: the first row decides, the others might have.
        def end_at(alive)
          first = (alive & -alive).bit_length - 1
          @reached |= 1 << first
          rest = alive & (alive - 1)
          until rest.zero?
            other = (rest & -rest).bit_length - 1
            rest &= rest - 1
            @pairs[[first, other]] = true if @rows[first].outputs != @rows[other].outputs && @pairs.length < MOST_FOUND * 20
          end
          []
        end

        def unreached
          @rows.each_index.reject { |index| @reached[index] == 1 }.first(MOST_FOUND).map { |index| [index, why_unreached(index)] }
        end

        def why_unreached(index)
          earlier = (0...index).find { |other| covers?(other, index) }
          return "row #{earlier + 1} decides before it whenever it fits" if earlier
          return "no value that there is fits it" if @masks.any? { |masks| masks.none? { |bits| bits[index] == 1 } }

          "the rows above decide whenever it fits"
        end

        # @return [Boolean] whether a row fits wherever another does
        def covers?(wide, narrow) = @masks.all? { |masks| masks.none? { |bits| bits[narrow] == 1 && bits[wide].zero? } }

        # A general row beneath a special one is meant; two that overlap in part are not.
        def contradictions
          found = @pairs.keys.reject { |first, other| covers?(other, first) || covers?(first, other) }
          found.first(MOST_FOUND).map { |first, other| [first, other, shared(first, other)] }
        end

        def shared(first, other)
          both = @masks.each_with_index.to_h { |masks, column| [column, masks.each_index.select { |region| masks[region][first] == 1 && masks[region][other] == 1 }] }
          example(both.reject { |column, regions| regions.length == @regions[column].length })
        end

        def example(way)
          chosen = @inputs.each_index.map { |column| way[column] }
          Example.new(
            chosen.each_with_index.map { |regions, column| regions && @cuts[column].words(regions.map { |region| @regions[column][region] }) },
            chosen.each_with_index.map { |regions, column| @regions[column][regions ? regions.first : 0]&.value }
          )
        end
      end
    end
  end
end
