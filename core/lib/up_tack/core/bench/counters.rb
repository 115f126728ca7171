# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Counts for trials: goes on from those beneath and keeps nothing beyond its life.
      # What a draft takes is its own only once the record is saved.
      class Counters
        # @param beneath [#next, #owner, #count_of, nil] the real counts
        def initialize(beneath = nil)
          @beneath = beneath
          @next = {}
          @given = {}
          @taken = []
        end

        # @param counting [Kinds::Number::Counting]
        # @return [Integer]
        def next(counting)
          from = @next[[counting.field, counting.series]] || @beneath&.next(counting) || counting.start
          @taken.reduce(from) do |count, (other, taken, _)|
            (taken && other == counting) ? [count, taken + counting.step].max : count
          end
        end

        # @return [Integer, Symbol, nil]
        def owner(field, text)
          return :new if @taken.any? { |counting, _, taken| counting.field == field && taken == text }

          @given[[field, text]]&.first || @beneath&.owner(field, text)
        end

        # @return [Integer, nil]
        def count_of(field, text) = @given[[field, text]]&.last || @beneath&.count_of(field, text)

        def take(counting, count, text) = @taken << [counting, count, text]

        def keep(counting, count, text) = take(counting, count, text)

        # The record was saved: what it took is given.
        def commit(record)
          @taken.each do |counting, count, text|
            @given[[counting.field, text]] = [record, count]
            place = [counting.field, counting.series]
            @next[place] = [self.next(counting), count + counting.step].max if count
          end
          @taken = []
        end

        # Runs the block and takes back what it counted, unless it gives true.
        def trying
          before = [@next.dup, @given.dup]
          kept = yield
        ensure
          @next, @given = before unless kept == true
        end

        # The record was not saved.
        def drop = @taken = []
      end
    end
  end
end
