# frozen_string_literal: true

module UpTack
  module Core
    # Exact decimal arithmetic within stated bounds.
    #
    # A value that is kept or shown has at most 15 significant digits, because
    # that is what every store gives back unchanged. While a formula is worked
    # out, 34 digits are carried (the precision of decimal128 in IEEE 754), so
    # that `1 / 3 * 3` comes back to 1.
    module Numbers
      # Significant digits of a value that is kept or shown.
      KEPT_DIGITS = 15
      # Significant digits carried inside a formula.
      WORKING_DIGITS = 34
      # Those of them that are sure after a few operations.
      SURE_DIGITS = 25
      # Powers of ten beyond which an intermediate result is given up, and below which one is 0.
      LARGEST_EXPONENT = 40
      # Digits that two nearly equal numbers may have in common before their difference is only
      # what earlier rounding left, as in `1 / 3 * 3 - 1`.
      COMMON_DIGITS = 31
      ZERO = BigDecimal(0)
      # Exponents beyond this are refused rather than computed for minutes.
      LARGEST_POWER = 10_000

      # Raised inside a formula when a result leaves the bounds.
      class TooLarge < StandardError; end

      module_function

      # A sum grows by one figure at the most, so it needs no bound of its own.
      # @return [BigDecimal] the sum, to the working precision
      def add(left, right) = cancelled(left.add(right, WORKING_DIGITS), left, right)

      # @return [BigDecimal] the difference, to the working precision
      def subtract(left, right) = cancelled(left.sub(right, WORKING_DIGITS), left, right)

      # @param result [BigDecimal] the sum or difference of two numbers
      # @return [BigDecimal] 0 where nothing is left of them but rounding
      def cancelled(result, left, right)
        least = result.exponent + COMMON_DIGITS
        (least < left.exponent && least < right.exponent) ? ZERO : result
      end

      # @return [BigDecimal] the product, to the working precision
      def multiply(left, right) = bounded(left.mult(right, WORKING_DIGITS))

      # @param right [BigDecimal] not zero
      # @return [BigDecimal] the quotient, to the working precision
      def divide(left, right) = bounded(left.div(right, WORKING_DIGITS))

      # @return [BigDecimal, nil] nil where no real number is the answer
      # @raise [TooLarge] when the result or the exponent is out of bounds
      def power(base, exponent)
        return BigDecimal(1) if exponent.zero?
        return (exponent.negative? ? nil : BigDecimal(0)) if base.zero?
        raise TooLarge if exponent.abs > LARGEST_POWER
        raise TooLarge if base.exponent * exponent > LARGEST_POWER
        return nil if base.negative? && exponent.frac.nonzero?

        whole = exponent.frac.zero?
        bounded(base.power(whole ? exponent.to_i : exponent, WORKING_DIGITS))
      end

      # Rounds half away from zero, as ROUND does in OpenFormula (ISO/IEC 26300-2).
      # @param places [Integer] decimals; negative rounds before the point
      # @param mode [Integer] one of BigDecimal's ways of rounding
      def round(value, places = 0, mode = BigDecimal::ROUND_HALF_UP)
        rounded = value.round(places.clamp(-100, 100), mode)
        rounded.is_a?(BigDecimal) ? rounded : BigDecimal(rounded)
      end

      # Away from zero. BigDecimal's own mode gives 0 where the number is smaller than the unit.
      # @param places [Integer] as for round
      # @return [BigDecimal]
      def round_up(value, places = 0)
        cut = round(value, places, BigDecimal::ROUND_DOWN)
        return cut if cut == value

        unit = BigDecimal("1e#{-places.clamp(-100, 100)}")
        value.negative? ? cut - unit : cut + unit
      end

      # @param value [BigDecimal] not negative
      # @return [BigDecimal] the square root; that of a square comes out exact
      def root(value) =
        value.zero? ? value : value.sqrt(WORKING_DIGITS).round(WORKING_DIGITS - (value.exponent / 2) - 2)

      # What is kept of a result: at most 15 significant digits.
      # @raise [TooLarge] from 10^15 up
      def normalize(value)
        exponent = value.exponent
        raise TooLarge if exponent > KEPT_DIGITS
        return ZERO if exponent < -LARGEST_EXPONENT
        digits = value.n_significant_digits
        return value if digits <= KEPT_DIGITS

        # A quotient is short of an exact half by its last digits, which must not decide.
        value = round(value, SURE_DIGITS - exponent) if digits > SURE_DIGITS
        round(value, KEPT_DIGITS - exponent)
      end

      # @return [String] plain digits without padding, such as "-0.5" or "12"
      def digits(value)
        return value.to_i.to_s if value.scale.zero?

        text = value.to_s("F").sub(/\.0+\z/, "")
        text = text.sub(/(\.\d*?)0+\z/, '\1') if text.include?(".")
        (text == "-0") ? "0" : text
      end

      def bounded(value)
        exponent = value.exponent
        return value if exponent.abs <= LARGEST_EXPONENT && (exponent != 0 || value.finite?)
        raise TooLarge unless exponent.negative?

        BigDecimal(0)
      end
    end
  end
end
