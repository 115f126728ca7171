# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Which types the arithmetic signs take and give, what they do, and how a
      # wrong pair is told.
      module ArithmeticTypes
        # [sign, left, right] to the type of the result.
        RESULTS = {
          ["+", :number, :number] => :number, ["-", :number, :number] => :number,
          ["*", :number, :number] => :number, ["/", :number, :number] => :number,
          ["mod", :number, :number] => :number, ["^", :number, :number] => :number,
          ["+", :date, :number] => :date, ["+", :number, :date] => :date, ["-", :date, :number] => :date,
          ["-", :date, :date] => :number, ["-", :moment, :moment] => :number,
          ["+", :moment, :number] => :moment, ["+", :number, :moment] => :moment, ["-", :moment, :number] => :moment
        }.freeze
        SECONDS_A_DAY = 86_400

        module_function

        # @return [Symbol, nil] nil for a pair that does not go together
        def result(sign, left, right)
          return RESULTS[[sign, left, right]] unless [left, right].include?(:any)
          return :any if left == right

          fitting =
            RESULTS
              .select { |(each, a, b), _| each == sign && Values::Types.fit?(left, a) && Values::Types.fit?(right, b) }
              .values
              .uniq
          fitting.one? ? fitting.first : fitting.first && :any
        end

        # @return [String] why the pair does not go together, with a mend
        def mistake(sign, left, right)
          pair = [left, right]
          verb = {
            "+" => "added",
            "-" => "subtracted",
            "*" => "multiplied",
            "/" => "divided",
            "mod" => "divided",
            "^" => "raised"
          }.fetch(sign)
          both = "#{upcase_first(Values::Types.phrase(left))} and #{Values::Types.phrase(right)} can't be #{verb}"
          if sign == "+" && pair.include?(:text)
            return Messages["expression.arithmetic_types.to_join_them_as_text_use", both: both]
          end
          if pair.include?(:text) && pair.include?(:number)
            return Messages["expression.arithmetic_types.to_read_number_from_text", both: both]
          end
          return Messages["expression.arithmetic_types.take_day_of_moment_with_date", both: both] if pair.sort == %i[
            date moment
          ]
          if sign == "+" && pair == %i[
            date date
          ]
            return Messages["expression.arithmetic_types.difference_of_two_dates", both: both]
          end

          "#{both}."
        end

        # @return [String] why two values can't be compared, with a mend
        def uncomparable(left, left_type, right, right_type)
          one, other = [left_type, right_type].map { |type| Values::Types.phrase(type) }
          both = "#{upcase_first(one)} can't be compared with #{other}"
          types = [left_type, right_type]
          text = [[left, left_type], [right, right_type]].find { |_, type| type == :text }&.first
          value = text.is_a?(Nodes::Literal) ? "\"#{text.value}\"" : "…"
          if types.sort == %i[
            date text
          ]
            return Messages["expression.arithmetic_types.write_date_as_date", both: both, value: value]
          end
          if types.sort == %i[
            number text
          ]
            return Messages["expression.arithmetic_types.to_read_number_from_field", both: both, value: value]
          end
          return Messages["expression.arithmetic_types.take_day_of_moment_with_date", both: both] if types.sort == %i[
            date moment
          ]

          "#{both}."
        end

        # Works out one operation. Both values are there, of fitting types.
        # @return [Object, nil] nil, with a note, where there is no answer
        def work_out(sign, left, right, evaluation)
          if left.is_a?(BigDecimal) && right.is_a?(BigDecimal) then numbers(sign, left, right, evaluation)
          elsif left.is_a?(BigDecimal) then moved(right, left, evaluation)
          elsif right.is_a?(BigDecimal) then moved(left, (sign == "-") ? -right : right, evaluation)
          elsif left.is_a?(::Date) then BigDecimal((left - right).to_i)
          else BigDecimal((left - right).to_r, Numbers::WORKING_DIGITS) / SECONDS_A_DAY
          end
        end

        def numbers(sign, left, right, evaluation)
          case sign
          when "/" then right.zero? ? by_zero(evaluation) : Numbers.divide(left, right)
          when "mod" then right.zero? ? by_zero(evaluation) : left.modulo(right)
          when "+" then Numbers.add(left, right)
          when "-" then Numbers.subtract(left, right)
          when "*" then Numbers.multiply(left, right)
          when "^" then Numbers.power(left, right) || evaluation.note(:no_number, "the power can't be calculated")
          end
        end

        def moved(value, days, evaluation)
          if value.is_a?(::Time)
            moved = value + (days * SECONDS_A_DAY).to_r
          elsif days.frac.nonzero?
            return evaluation.note(
              :part_of_day,
              "only whole days can be added to a date (got #{Numbers.digits(Numbers.normalize(days))})"
            )
          else
            raise Numbers::TooLarge if days.abs > 10_000_000
            moved = value + days.to_i
          end
          return moved if moved.year.between?(1, 9999)

          evaluation.note(:date_range, "the date is outside the years 1 to 9999")
        end

        def by_zero(evaluation) = evaluation.note(:division_by_zero, "division by zero")

        def upcase_first(text) = text[0].upcase + text[1..]
      end
    end
  end
end
