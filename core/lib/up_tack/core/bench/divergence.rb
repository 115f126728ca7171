# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The first step at which a trace goes another way than an earlier one.
      module Divergence
        # stage:: key; field:: key; rule:: id or nil
        # was, now:: in words, nil where there was, or is, no such step
        Found = Struct.new(:stage, :field, :rule, :was, :now, keyword_init: true)

        module_function

        # @param good [Array<Array>] steps as Run gives them, from the last good run
        # @param now [Array<Array>]
        # @return [Found, nil] nil where the two are the same
        def between(good, now)
          index = (0...[good.length, now.length].max).find { |place| good[place] != now[place] } or return
          before, after = good[index], now[index]
          # A step that is missing is told by itself, not by what happens to stand in its place.
          after = nil if before && after && place(before) != place(after) &&
            now.none? { |step| place(step) == place(before) }
          before = nil if before && after && place(before) != place(after)
          step = after || before
          Found.new(
            stage: step[0],
            field: step[1],
            rule: step[2],
            was: before && words(before),
            now: after && words(after)
          )
        end

        def place(step) = step.first(3)

        def words(step)
          _, _, _, result, before, after = step
          case result
          when "set", "read", "logged" then "#{shown(before)} → #{shown(after)}"
          when "refused" then Wording["refused: %{after}", after: after]
          when "skipped" then "skipped"
          else "passed"
          end
        end

        def shown(text) = text.to_s.empty? ? "blank" : text
      end
    end
  end
end
