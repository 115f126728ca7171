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
                "coalesce", group: "Logic", takes: {"value*": :any}, returns: :any, alike: true, blanks: true,
                help: "The first of the values that is not blank.", example: 'coalesce(blank, "Drying")', result: "Drying"
              ) { |_, *values| values.find { |value| !value.nil? } }
            ]
          end
        end
      end
    end
  end
end
