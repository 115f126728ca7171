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
              make("abs", {number: :number}, "The number without its minus.", "abs(-4.5)", "4.5") { |_, number| number.abs },
              make("round", {number: :number, places?: :number}, "Rounded to so many decimals; a half goes away from zero.", "round(2.345, 2)", "2.35") do |_, number, places|
                Numbers.round(number, places.to_i)
              end,
              make("floor", {number: :number}, "The next whole number below.", "floor(2.7)", "2") { |_, number| BigDecimal(number.floor) },
              make("ceiling", {number: :number}, "The next whole number above.", "ceiling(2.1)", "3") { |_, number| BigDecimal(number.ceil) },
              make("mod", {number: :number, divisor: :number}, "What is left over by a division; it has the sign of the divisor.", "mod(17, 5)", "2") do |evaluation, number, divisor|
                Arithmetics.numbers("mod", number, divisor, evaluation)
              end
            ]
          end

          def make(name, takes, help, example, result, &work)
            Function.new(name, group: "Numbers", takes: takes, returns: :number, help: help, example: example, result: result, &work)
          end
        end
      end
    end
  end
end
