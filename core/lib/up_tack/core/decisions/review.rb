# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # Looks at a decision table as a whole: combinations of inputs that no row
      # covers, rows that are never reached, rows that contradict each other.
      #
      # The inputs are cut into Regions; then the columns are gone through one after
      # the other, each time with the set of rows that still fit, as the bits of a
      # whole number. Rows beneath one that fits whatever comes are left out, and ways
      # that lead to the same set at the same column are gone once. A blank input is
      # looked at only where the table speaks of blank.
      class Review
        # Regions looked at before it stops short.
        MOST_STEPS = 400_000
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
          @sets = @rows.each_index.map { |row| @masks.map { |masks| masks.each_index.reduce(0) { |bits, region| (masks[region][row] == 1) ? bits | (1 << region) : bits } } }
          @careless = (0..@order.length).map { |depth| careless(depth) }
        end

        # @return [Report]
        def report
          @steps = 0
          @seen = {}
          @reached = 0
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

        # @return [Integer] the rows that let any value of the columns from a depth on pass
        def careless(depth)
          @rows.each_index.reduce(0) { |bits, row| (@order.drop(depth).all? { |column| @masks[column].all? { |mask| mask[row] == 1 } }) ? bits | (1 << row) : bits }
        end

        # @param depth [Integer] columns gone through, in @order
        # @param alive [Integer] rows that still fit
        # @return [Array<Hash{Integer=>Array<Integer>}>] gaps from here on: regions by column
        def walk(depth, alive)
          return [{}] if alive.zero?

          surely = alive & @careless[depth]
          surely &= -surely
          return decided(surely) if surely == (alive & -alive)

          alive &= (surely << 1) - 1 unless surely.zero?
          @seen[[depth, alive]] ||= further(depth, alive)
        end

        def decided(row)
          @reached |= row
          []
        end

        def further(depth, alive)
          column = @order[depth]
          groups(column, alive).each_with_object([]) do |(left, regions), found|
            return found if stopped?

            ways = walk(depth + 1, left)
            found.concat((regions.length == @regions[column].length) ? ways : ways.map { |way| {column => regions}.merge(way) })
          end.first(MOST_FOUND)
        end

        def groups(column, alive)
          @steps += @masks[column].length
          @masks[column].each_index.group_by { |region| @masks[column][region] & alive }
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
        def covers?(wide, narrow) = inside?(@sets[narrow], @sets[wide])

        # A general row beneath a special one is meant; two that overlap in part, and
        # are not decided by one above them there, are not.
        def contradictions
          found = []
          @rows.each_index do |first|
            (first + 1...@rows.length).each do |other|
              return found if found.length >= MOST_FOUND
              next if @rows[first].outputs == @rows[other].outputs

              both = overlap(first, other) or next
              next if covers?(other, first) || covers?(first, other) || (0...first).any? { |above| inside?(both, @sets[above]) }

              found << [first, other, shared(first, other)]
            end
          end
          found
        end

        # @return [Array<Integer>, nil] what both rows let pass, as bits by column
        def overlap(first, other)
          one, two = @sets[first], @sets[other]
          one.each_index.map { |column| (one[column] & two[column]).then { |bits| bits.zero? ? (return nil) : bits } }
        end

        def inside?(sets, wide) = sets.each_index.all? { |column| (sets[column] & ~wide[column]).zero? }

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
