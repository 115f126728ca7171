# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # Looks at a decision table as a whole: combinations of inputs that no row
      # covers, rows that are never reached, rows that contradict each other.
      #
      # The inputs are cut into points (Axis); then the axes are gone through one after
      # the other, each time with the set of rows that still fit, as the bits of a
      # whole number. Rows beneath one that fits whatever comes are left out, and ways
      # that lead to the same set at the same axis are gone once. A blank input is
      # looked at wherever its field need not be filled.
      class CompletenessCheck
        # Regions looked at before it stops short.
        MOST_STEPS = 600_000
        # Points tried to find where two rows alone decide, for each pair of them.
        MOST_TRIED = 400
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

        # @param rule [Kinds::Decision] without problems
        # @param table [Design::Table]
        # @param most_steps [Integer]
        def initialize(rule, table, most_steps: MOST_STEPS)
          reading = TableParser.new(rule, table, ParseContext.new(conventions: Conventions.from({})))
          @rows = reading.rows
          @inputs = rule.columns(table)
          @table = table
          @most_steps = most_steps
          @axes = Axis.build(@inputs, @rows, table)
          # Those with few points come first, so that ways meet again soon.
          @order = @axes.each_index.sort_by { |index| [@axes[index].points.length, index] }
          @masks = @axes.map(&:masks)
          @sets =
            @rows.each_index.map do |row|
              @masks.map do |masks|
                masks.each_index.reduce(0) { |bits, point| (masks[point][row] == 1) ? bits | (1 << point) : bits }
              end
            end
          @careless = (0..@order.length).map { |depth| careless(depth) }
        end

        # @return [Report]
        def report
          @steps = 0
          @seen = Array.new(@order.length) { {} }
          @reached = 0
          gaps = walk(0, (1 << @rows.length) - 1)
          Report.new(
            gaps: blanks_apart(gaps).map { |assignment| example(assignment) }.uniq(&:words),
            unreached: stopped? ? [] : unreached,
            contradictions: contradictions,
            stopped: stopped?,
            steps: @steps
          )
        end

        private

        def stopped? = @steps >= @most_steps || @axes.any?(&:partial?)

        # @return [Integer] the rows that let any value of the columns from a depth on pass
        def careless(depth)
          @rows
            .each_index
            .reduce(0) do |bits, row|
              if @order.drop(depth).all? { |axis| @masks[axis].all? { |mask| mask[row] == 1 } }
                bits | (1 << row)
              else
                bits
              end
            end
        end

        # @param depth [Integer] axes gone through, in @order
        # @param alive [Integer] rows that still fit
        # @return [Array<Hash{Integer=>Array<Integer>}>] gaps from here on: points by axis
        def walk(depth, alive)
          return [{}] if alive.zero?

          surely = alive & @careless[depth]
          surely &= -surely
          return decided(surely) if surely == (alive & -alive)

          alive &= (surely << 1) - 1 unless surely.zero?
          @seen[depth][alive] ||= further(depth, alive)
        end

        # Values are told apart from blanks, which are a case of their own.
        def blanks_apart(gaps)
          mixed = ->(assignment) do
            assignment.select { |axis, points| points.length > 1 && points.any? { |point| blank?(axis, point) } }.keys
          end
          filled =
            gaps.map do |assignment|
              assignment.merge(mixed.call(assignment).to_h { |axis|
                [axis, assignment[axis].reject { |point|
                  blank?(axis, point)
                }]
              })
            end
          blanks =
            gaps
              .zip(filled)
              .flat_map do |assignment, rest|
                mixed.call(assignment).map { |axis|
                  rest.merge(axis => assignment[axis].select { |point|
                    blank?(axis, point)
                  })
                }
              end
          filled + blanks
        end

        def blank?(axis, point) = @axes[axis].points[point].values.all?(&:nil?)

        def decided(row)
          @reached |= row
          []
        end

        def further(depth, alive)
          axis = @order[depth]
          groups(axis, alive).each_with_object([]) do |(left, points), found|
            return found if @steps >= @most_steps

            assignments = walk(depth + 1, left)
            found.concat((points.length == @masks[axis].length) ? assignments : assignments.map { |assignment|
              {axis => points}.merge(assignment)
            })
          end.first(MOST_FOUND)
        end

        def groups(axis, alive)
          masks = @masks[axis]
          @steps += masks.length
          found = {}
          masks.each_with_index { |mask, point| (found[mask & alive] ||= []) << point }
          found
        end

        def unreached
          @rows
            .each_index
            .reject { |index| @reached[index] == 1 }
            .first(MOST_FOUND)
            .map { |index| [index, why_unreached(index)] }
        end

        def why_unreached(index)
          earlier = (0...index).find { |other| covers?(other, index) }
          return Wording["row %{place} always matches first", place: earlier + 1] if earlier
          return Wording["no possible value matches it"] if @masks.any? { |masks|
            masks.none? { |bits|
              bits[index] == 1
            }
          }

          Wording["the rows above always match first"]
        end

        # @return [Boolean] whether a row fits wherever another does
        def covers?(wide, narrow) = inside?(@sets[narrow], @sets[wide])

        # A general row beneath a special one is meant; two that overlap in part are not, where they
        # alone decide: where no row above fits, nor one between them.
        def contradictions
          found = []
          @rows.each_index do |first|
            (first + 1...@rows.length).each do |other|
              return found if found.length >= MOST_FOUND
              next if @rows[first].outputs == @rows[other].outputs

              both = overlap(first, other) or next
              next if covers?(other, first) || covers?(first, other)

              assignment = undecided(both, ((1 << other) - 1) & ~(1 << first)) or next
              found << [first, other, example(assignment)]
            end
          end
          found
        end

        # @return [Array<Integer>, nil] what both rows let pass, as bits by axis
        def overlap(first, other)
          one, two = @sets[first], @sets[other]
          one.each_index.map { |axis| (one[axis] & two[axis]).then { |bits| bits.zero? ? (return nil) : bits } }
        end

        # @param both [Array<Integer>] points by axis, as bits
        # @param rows [Integer] those that must not fit, as bits
        # @return [Hash{Integer=>Array<Integer>}, nil] some of the points where none of them does
        def undecided(both, rows)
          lists = both.map { |bits| bits_of(bits) }
          @tried = 0
          chosen = free_of(rows, lists, staying(lists), 0, {}) or return
          wide = chosen.each_with_index.map { |point, axis| point ? [point] : bits_of(both[axis]) }
          widened(wide, both, rows)
            .each_with_index
            .to_h { |points, axis| [axis, points] }
            .reject { |axis, points| points.length == @masks[axis].length }
        end

        def bits_of(bits) = (0...bits.bit_length).select { |index| bits[index] == 1 }

        # @return [Array<Integer>] rows that fit whichever points are chosen from an axis on, as bits
        def staying(lists)
          all = lists.each_index.map { |axis| lists[axis].reduce(-1) { |bits, point| bits & @masks[axis][point] } }
          all.each_index.map { |axis| all.drop(axis).reduce(-1, :&) }
        end

        # @return [Array<Integer, nil>, nil] a point by axis, nil where any will do
        def free_of(rows, lists, staying, axis, known)
          return [] if rows.zero?
          return if axis == lists.length || (rows & staying[axis]).nonzero? || known.key?([axis, rows])

          known[[axis, rows]] = true
          left_over(lists[axis], @masks[axis], rows).each do |left, point|
            break if (@tried += 1) > MOST_TRIED

            rest = free_of(left, lists, staying, axis + 1, known)
            return [point, *rest] if rest
          end
          nil
        end

        # @return [Array<Array(Integer, Integer)>] rows that are left by some point, with the point, the fewest first
        def left_over(points, masks, rows)
          points
            .each_with_object({}) { |point, left| left[masks[point] & rows] ||= point }
            .sort_by { |left, _| left.to_s(2).count("1") }
        end

        # As many points of each axis as do not bring one of the rows in.
        def widened(wide, both, rows)
          wide += both.drop(wide.length).map { |bits| bits_of(bits) }
          wide
            .each_index
            .reduce(wide) do |all, axis|
              others =
                all
                  .each_with_index
                  .reject { |_, index| index == axis }
                  .reduce(rows) do |left, (points, index)|
                    left & points.reduce(0) { |bits, point| bits | @masks[index][point] }
                  end
              all.each_with_index.map do |points, index|
                if index == axis
                  points | bits_of(both[axis]).select { |point| (@masks[axis][point] & others).zero? }
                else
                  points
                end
              end
            end
        end

        def inside?(sets, wide) = sets.each_index.all? { |axis| (sets[axis] & ~wide[axis]).zero? }

        def example(assignment)
          words, values = Array.new(@inputs.length), Array.new(@inputs.length)
          @axes.each_with_index do |axis, index|
            points = assignment[index]&.sort
            said = points && axis.words(points)
            axis.columns.each_with_index do |column, at|
              words[column] = said && said[at]
              values[column] = axis.points[points ? points.first : 0]&.values&.at(at)
            end
          end
          Example.new(words, values)
        end
      end
    end
  end
end
