# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Where something that depends on one value changes, as that value goes along: found by looking
      # far and wide and then halving, so that it need not be known what it is made of.
      class Crossings
        # Halvings at most for a value without steps.
        HALVINGS = 60
        # Changes followed at most.
        MOST = 40

        # @param steps [Conditions::Steps]
        # @param bounds [Array(Object, Object)] the lowest and highest value, either nil
        # @param returning [Boolean] whether it comes back to the same, so that every step counts
        def initialize(steps, bounds, returning)
          @steps = steps
          @low, @high = bounds
          @returning = returning
        end

        # @param known [Array<Object>] values that are tried anyhow
        # @yield [value] how it stands there: -1, 0, 1 or nil
        # @return [Array<Object>] the values on both sides of each change, and their neighbours
        def find(known, &stand)
          points = inside(known | @steps.grid | (@returning ? @steps.run : []))
          answers = points.map(&stand)
          changes = points.each_index.drop(1).select { |index| answers[index] != answers[index - 1] }
          found =
            changes
              .first(MOST)
              .flat_map do |index|
                around(points[index - 1], points[index], answers[index - 1], answers[index], &stand)
              end
          found + exact(points, answers, &stand)
        end

        private

        def inside(values) =
          values.select { |value| (@low.nil? || value >= @low) && (@high.nil? || value <= @high) }.sort

        # The two values between which it changes, and between them where it holds for one value alone.
        def around(low, high, before, after, &stand)
          return straight(low, high, &stand) if @steps.fine?

          while @steps.distance(low, high) > 1
            middle = @steps.between(low, high)
            answer = stand.call(middle)
            if answer == before then low = middle
            elsif answer == after then high = middle
            else return around(low, middle, before, answer, &stand) + around(middle, high, answer, after, &stand)
            end
          end
          [@steps.moved(low, -1), low, high, @steps.moved(high, 1)].compact
        end

        # Without steps: halved to the first value that stands exactly, or as near as can be.
        def straight(low, high, &stand)
          first, last = stand.call(low), stand.call(high)
          HALVINGS.times do
            middle = Numbers.normalize((low + high) / 2)
            break if middle == low || middle == high

            answer = stand.call(middle)
            return beside(middle) if answer == 0
            (answer == first) ? low = middle : high = middle
            break if (high - low).abs < BigDecimal("1e-9")
          end
          short = shortest(low, high)
          (first == 0 || last == 0 || short.nil?) ? beside(short || high) : beside(short)
        end

        # The number with the fewest decimals between two.
        def shortest(low, high)
          (0..9).each do |places|
            candidate = Numbers.round(high, places)
            return candidate if candidate.between?(low, high)
          end
          nil
        end

        def beside(value) = [value - 1, value, value + 1]

        # What holds on a single value may lie between two that stand alike, as an absolute value does.
        def exact(points, answers, &stand)
          return [] unless @steps.fine?

          points
            .each_cons(2)
            .with_index
            .filter_map do |(one, other), index|
              ((one + other) / 2).then do |middle|
                middle if answers[index] == answers[index + 1] && stand.call(middle) != answers[index]
              end
            end
        end
      end
    end
  end
end
