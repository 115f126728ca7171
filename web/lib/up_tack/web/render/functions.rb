# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What the formula language can do, from its registries.
      module Functions
        module_function

        def all
          functions =
            Core::Expression::Functions.all.values.map do |function|
              {
                name: function.name,
                group: function.group,
                signature: function.signature,
                help: function.help,
                example: function.example,
                result: function.example_result
              }
            end
          functions + aggregates
        end

        def aggregates
          Core::Expression::Aggregation.all.values.map do |each|
            {
              name: each.name,
              group: Core::Wording["Linked records"],
              signature: each.signature,
              help: each.help,
              example: each.example,
              result: nil
            }
          end
        end
      end
    end
  end
end
