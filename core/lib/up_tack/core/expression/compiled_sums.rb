# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The part of the compiler for arithmetic. Two numbers are by far the most
      # frequent: each sign takes the shortest way for them, written out, since a
      # call more is felt where a formula is worked out a hundred thousand times.
      module CompiledSums
        module_function

        # @param left [Proc]
        # @param right [Proc]
        # @return [Proc] blank when either side is
        def added(sign, left, right)
          lambda do |evaluation|
            one = left.call(evaluation)
            other = right.call(evaluation)
            next if one.nil? || other.nil?

            if one.is_a?(BigDecimal) && other.is_a?(BigDecimal)
              Numbers.add(one, other)
            else
              ArithmeticTypes.work_out(sign, one, other, evaluation)
            end
          end
        end

        def subtracted(sign, left, right)
          lambda do |evaluation|
            one = left.call(evaluation)
            other = right.call(evaluation)
            next if one.nil? || other.nil?

            if one.is_a?(BigDecimal) && other.is_a?(BigDecimal)
              Numbers.subtract(one, other)
            else
              ArithmeticTypes.work_out(sign, one, other, evaluation)
            end
          end
        end

        def multiplied(_sign, left, right)
          lambda do |evaluation|
            one = left.call(evaluation)
            other = right.call(evaluation)
            (one.nil? || other.nil?) ? nil : Numbers.multiply(one, other)
          end
        end

        def divided(_sign, left, right)
          lambda do |evaluation|
            one = left.call(evaluation)
            other = right.call(evaluation)
            next if one.nil? || other.nil?

            other.zero? ? ArithmeticTypes.by_zero(evaluation) : Numbers.divide(one, other)
          end
        end

        def other(sign, left, right)
          lambda do |evaluation|
            one = left.call(evaluation)
            other = right.call(evaluation)
            (one.nil? || other.nil?) ? nil : ArithmeticTypes.work_out(sign, one, other, evaluation)
          end
        end
      end
    end
  end
end
