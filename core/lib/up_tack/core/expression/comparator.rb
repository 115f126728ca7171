# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # How two values of one type stand to one another. Numbers are compared as
      # they would be kept, texts without regard to case.
      module Comparator
        TESTS = {
          "=" => ->(order) { order.zero? }, "<>" => ->(order) { !order.zero? },
          "<" => ->(order) { order.negative? }, "<=" => ->(order) { !order.positive? },
          ">" => ->(order) { order.positive? }, ">=" => ->(order) { !order.negative? }
        }.freeze
        TRUTH = {false => 0, true => 1}.freeze

        module_function

        # @return [Integer] negative, zero or positive
        def order(left, right)
          case left
          when BigDecimal then numbers(left, right)
          when String then Unicode.folded(left) <=> Unicode.folded(right)
          when true, false then TRUTH[left] <=> TRUTH[right]
          else left <=> right
          end
        end

        # Only numbers that are next to each other can change places by what is kept of them.
        def numbers(left, right)
          order = left <=> right
          if order.zero? ||
              (
                left.n_significant_digits <= Numbers::KEPT_DIGITS &&
                  right.n_significant_digits <= Numbers::KEPT_DIGITS
              )
            return order
          end

          kept(left) <=> kept(right)
        end

        def kept(number)
          if number.n_significant_digits > Numbers::KEPT_DIGITS
            Numbers.round(number, Numbers::KEPT_DIGITS - number.exponent)
          else
            number
          end
        end
      end
    end
  end
end
