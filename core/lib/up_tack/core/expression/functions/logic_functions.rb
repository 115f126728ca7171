# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Functions
        # Functions that choose among values, named after SQL (ISO/IEC 9075).
        module LogicFunctions
          module_function

          def all
            [
              Function.new(
                "coalesce",
                group: "Logic",
                takes: {"value*": :any},
                returns: :any,
                alike: true,
                blanks: true,
                help: Messages["expression.logic_functions.first_of_values_is_not_blank"],
                example: 'coalesce(blank, "Drying")',
                result: "Drying"
              ) { |_, *values| values.find { |value| !Unicode.blank?(value) } },
              # Read by the parser, which makes a node of it: it needs the field, not its value.
              Function.new(
                "changed",
                group: "Logic",
                takes: {field: :any},
                returns: :yes_no,
                help:
                  Messages["expression.logic_functions.whether_field_of_record_differs_from_what"],
                example: "changed(stage)",
                result: nil
              ) { |_, _| nil },
              Function.new(
                "counter", group: "Logic", takes: {digits: :number}, returns: :text,
                help: Messages[
                  "expression.logic_functions.records_own_number_filled_up_with_zeros"
                ], example: '"PC-" & counter(5)', result: nil
              ) { |evaluation, digits| evaluation.counted(digits.to_i) }
            ]
          end
        end
      end
    end
  end
end
