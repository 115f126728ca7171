# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Functions
        # Functions of numbers, named after OpenFormula (ISO/IEC 26300-2, 6.16 and 6.17).
        module NumberFunctions
          module_function

          def all
            [
              make("abs", {number: :number}, "The number without its minus.", "abs(-4.5)", "4.5") do |_, number|
                number.abs
              end,
              make(
                "round",
                {number: :number, places?: :number},
                "Rounds to a number of decimals; halves are rounded away from zero.",
                "round(2.345, 2)",
                "2.35"
              ) { |_, number, places| Numbers.round(number, places.to_i) },
              make(
                "roundup",
                {number: :number, places?: :number},
                "Rounds away from zero to a number of decimals.",
                "roundup(2.341, 2)",
                "2.35"
              ) { |_, number, places| Numbers.round_up(number, places.to_i) },
              make(
                "rounddown",
                {number: :number, places?: :number},
                "Rounds towards zero to a number of decimals.",
                "rounddown(2.349, 2)",
                "2.34"
              ) { |_, number, places| Numbers.round(number, places.to_i, BigDecimal::ROUND_DOWN) },
              make(
                "floor",
                {number: :number, step?: :number},
                "The next multiple of a step below; the next whole number if no step is given.",
                "floor(2.7)",
                "2"
              ) { |evaluation, number, step| multiple(number, step, :floor, evaluation) },
              make(
                "ceiling",
                {number: :number, step?: :number},
                "The next multiple of a step above; the next whole number if no step is given.",
                "ceiling(47, 5)",
                "50"
              ) { |evaluation, number, step| multiple(number, step, :ceil, evaluation) },
              make(
                "power",
                {number: :number, exponent: :number},
                "A number raised to a power.",
                "power(2, 10)",
                "1024"
              ) { |evaluation, number, exponent| ArithmeticTypes.numbers("^", number, exponent, evaluation) },
              make(
                "sqrt",
                {number: :number},
                "The square root; blank for a number below 0.",
                "sqrt(144)",
                "12"
              ) do |evaluation, number|
                if number.negative?
                  evaluation.note(:no_number, "a number below 0 has no square root")
                else
                  Numbers.root(number)
                end
              end,
              extreme(
                "min",
                Messages["expression.number_functions.smallest_of_several_values"],
                "min(3, 1, 2)",
                "1",
                :negative?
              ),
              extreme(
                "max",
                Messages["expression.number_functions.largest_of_several_values"],
                "max(3, 1, 2)",
                "3",
                :positive?
              ),
              make(
                "mod",
                {number: :number, divisor: :number},
                "The remainder of a division, with the sign of the divisor.",
                "mod(17, 5)",
                "2"
              ) { |evaluation, number, divisor| ArithmeticTypes.numbers("mod", number, divisor, evaluation) }
            ]
          end

          # @return [BigDecimal, nil]
          def multiple(number, step, direction, evaluation)
            return BigDecimal(number.public_send(direction)) unless step
            return evaluation.note(:division_by_zero, "division by zero") if step.zero?

            Numbers.multiply(BigDecimal((number / step.abs).public_send(direction)), step.abs)
          end

          def extreme(name, help, example, result, better)
            Function.new(
              name,
              group: "Numbers",
              takes: {value: :any, "more*": :any},
              returns: :any,
              alike: true,
              blanks: true,
              help: help,
              example: example,
              result: result
            ) do |_, *values|
              values.compact.reduce { |best, value| Comparator.order(value, best).public_send(better) ? value : best }
            end
          end

          def make(name, takes, help, example, result, &work)
            Function.new(
              name,
              group: "Numbers",
              takes: takes,
              returns: :number,
              help: help,
              example: example,
              result: result,
              &work
            )
          end
        end
      end
    end
  end
end
