# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # The steps in which the values of a field follow one another: whole numbers or so many
      # decimals, days, seconds. A number without a number of decimals has none.
      class Steps
        USUAL = {
          number: BigDecimal(1),
          date: Calendar.day(2026, 6, 1),
          moment: ::Time.utc(2026, 6, 1, 12),
          time: DayTime.at(12, 0)
        }.freeze
        LAST_SECOND = 86_399

        # @param kind [Symbol] the type of values
        # @param field [Design::Field, nil]
        def initialize(kind, field = nil)
          @kind = kind
          @decimals = field&.decimals if kind == :number
        end

        def ordered? = USUAL.key?(@kind)

        # @return [Boolean] whether there is always another value between two
        def fine? = @kind == :number && @decimals.nil?

        # @return [Object, nil] a value to begin with
        def usual = USUAL[@kind]

        # @return [Boolean] whether a value is of the type
        def fit?(value) = ordered? && value.is_a?(USUAL.fetch(@kind).class)

        # @return [Object, nil] so many steps on; nil where there is no such value
        def moved(value, count)
          case @kind
          when :number then value + (step * count)
          when :date, :moment then value + count
          when :time then (value.seconds + count).then { |at| DayTime.new(at) if at.between?(0, LAST_SECOND) }
          end
        end

        # @return [Object] the nearest value that there is
        def rounded(value)
          return value if @kind != :number || @decimals.nil?

          Numbers.round(value, @decimals)
        end

        # @return [Object, nil] a value between two, nil where there is none
        def between(low, high)
          return (low + high) / 2 if fine?

          count = distance(low, high)
          (count > 1) ? moved(low, (count / 2).floor) : nil
        end

        # @return [Integer] steps from one to another
        def distance(low, high)
          case @kind
          when :number then ((high - low) / step).to_i
          when :date then (high - low).to_i
          when :moment then (high - low).round
          else high.seconds - low.seconds
          end
        end

        # @return [Array<Object>, nil] all from one to the other; nil where they are more than so many
        def all(low, high, most)
          return if fine? || !ordered?

          count = distance(low, high)
          (0..count).map { |index| moved(low, index) } if count.between?(0, most - 1)
        end

        # @return [Array<Object>] values far and wide, to see where something changes
        def grid
          case @kind
          when :number
            [-100_000, -1_000, -100, -10, -1, 0, 1, 2, 5, 10, 20, 50, 100, 500, 1_000, 10_000, 100_000].map do |each|
              BigDecimal(each)
            end
          when :date
            (1950..2060).step(10).map { |year| Calendar.day(year, 7, 2) }
          when :moment
            (1950..2060).step(10).map { |year| ::Time.utc(year, 7, 2, 12) }
          else
            (0..23).map { |hour| DayTime.at(hour, 30) } << DayTime.at(0, 0) << DayTime.new(LAST_SECOND)
          end
        end

        # @return [Array<Object>] values one after the other, for what comes back to the same
        def run
          case @kind
          when :number then (-12..62).map { |each| BigDecimal(each) * (fine? ? 1 : step) }
          when :date then (Calendar.day(2027, 12, 30)..Calendar.day(2029, 1, 2)).to_a
          when :moment then (0..370).map { |day| ::Time.utc(2027, 12, 30, 12) + (day * 86_400) }
          else (0...1440).step(15).map { |minute| DayTime.new(minute * 60) }
          end
        end

        private

        def step = @decimals ? BigDecimal("1e-#{@decimals}") : BigDecimal(1)
      end
    end
  end
end
