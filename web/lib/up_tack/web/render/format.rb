# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A reading format while it is chosen, shown on today's date and the like.
      module Format
        module_function

        # @param parts [Hash] "type", "format" and "decimals" of a field
        # @return [Hash]
        def render(parts, workspace)
          type = parts["type"].to_s
          unless Core::Values.all.key?(type)
            Core::Invalid.because(Core::Messages["common.there_is_no_field_type", type: type], part: "type")
          end

          field =
            Core::Design::Field.from(
              {
                "label" => Core::Wording["This field"],
                "type" => type,
                "decimals" => whole(parts["decimals"]),
                "format" => parts["format"]
              },
              conventions: workspace.project.conventions
            )
          problem = Core::Design::Formats.message(field)
          {
            problem: problem,
            examples: problem ? [] : examples(field, workspace).map { |value| field.show(value) },
            ready_made: ready_made(field, workspace)
          }
        end

        def whole(decimals) = decimals.is_a?(Integer) ? decimals.clamp(0, 10) : nil

        def examples(field, workspace) =
          field.values.format_examples(field, workspace.clock.now, workspace.clock.today)

        def ready_made(field, workspace)
          field.values.offered_patterns.map do |pattern|
            shown = Core::Design::Field.new(**field.to_h, format: {"pattern" => pattern})
            {pattern: pattern, text: shown.show(examples(field, workspace).first)}
          end
        end
      end
    end
  end
end
