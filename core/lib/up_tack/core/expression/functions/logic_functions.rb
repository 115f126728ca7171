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
                help: "The first of the values that is not blank.",
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
                  "Whether a field of this record differs from what is stored; known only while a record is saved.",
                example: "changed(stage)",
                result: nil
              ) { |_, _| nil },
              Function.new(
                "counter", group: "Logic", takes: {digits: :number}, returns: :text,
                help: "The record's own number, filled up with zeros to so many digits; known only in an " \
                  "auto-number.", example: '"PC-" & counter(5)', result: nil
              ) { |evaluation, digits| evaluation.counted(digits.to_i) }
            ]
          end
        end
      end
    end
  end
end
