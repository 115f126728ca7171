# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # An exact decimal number of up to 15 significant digits. A field may say
      # how many decimals it takes; more are refused, never rounded away.
      module Number
        module_function

        def key = "number"
        def label = "Number"
        def kind = :number
        def column = :decimal

        def read(raw, field, reading)
          number = raw.is_a?(BigDecimal) ? raw : nil
          number = BigDecimal(raw) if raw.is_a?(Integer)
          number ||= typed(raw, field, reading.conventions)
          number.is_a?(BigDecimal) ? within(number, field) : number
        end

        def show(value, field)
          return "" if value.nil?

          text = Numbers.plain(value)
          decimals = field&.decimals
          return text unless decimals&.positive?

          whole, part = text.split(".")
          "#{whole}.#{part.to_s.ljust(decimals, "0")}"
        end

        def dump(value) = value && Numbers.plain(value)
        def load(plain) = plain && BigDecimal(plain.to_s)

        def typed(raw, field, conventions)
          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          compact = text.gsub(/[[:space:]]/, "").tr("−", "-")
          return if compact.empty?

          figures = ungroup(compact, conventions)
          return BigDecimal(figures.tr(conventions.decimal_mark, ".")) if figures

          Unreadable.new(code: "not_a_number", message: "#{Plain.quoted(text)} is not a number.")
        end

        # Thousands marks are passed over only where they stand between groups
        # of three: "1,5" must not silently become fifteen.
        def ungroup(text, conventions)
          mark = Regexp.escape(conventions.decimal_mark)
          group = Regexp.escape(conventions.group_mark)
          return text if text.match?(/\A[+-]?(\d+(#{mark}\d*)?|#{mark}\d+)\z/)

          text.delete(conventions.group_mark) if text.match?(/\A[+-]?\d{1,3}(#{group}\d{3})+(#{mark}\d*)?\z/)
        end

        def within(number, field)
          unless number.finite?
            return Unreadable.new(code: "not_a_number", message: "#{field.label} takes a number.")
          end
          if number.n_significant_digits > Numbers::KEPT_DIGITS || number.exponent > Numbers::KEPT_DIGITS || number.scale > Numbers::KEPT_DIGITS
            return Unreadable.new(code: "too_many_digits", message: "#{field.label} takes numbers of up to 15 digits; this one has more.")
          end
          return number if field.decimals.nil? || number.scale <= field.decimals

          Unreadable.new(code: "too_many_decimals", message: "#{field.label} takes #{decimals_in_words(field.decimals)}.")
        end

        def decimals_in_words(count)
          return "whole numbers" if count.zero?

          "at most #{count} #{(count == 1) ? "decimal" : "decimals"}"
        end
      end
    end
  end
end
