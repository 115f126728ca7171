# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A reading format while it is chosen, shown on today's date and the like.
      module Format
        NUMBERS = %w[1234.5 -0.25 1000000].freeze

        module_function

        # @param parts [Hash] "type", "format" and "decimals" of a field
        # @return [Hash]
        def of(parts, workspace)
          type = parts["type"].to_s
          unless Core::Values.all.key?(type)
            Core::Invalid.because("There is no field type “#{type}”.", part: "type")
          end

          field =
            Core::Design::Field.from(
              {
                "label" => "This field",
                "type" => type,
                "decimals" => whole(parts["decimals"]),
                "format" => parts["format"]
              },
              conventions: workspace.project.conventions
            )
          problem = Core::Design::Formats.message(field)
          {
            problem: problem,
            examples: problem ? [] : values(type, field, workspace).map { |value| field.show(value) },
            ready_made: ready_made(type, field, workspace)
          }
        end

        def whole(decimals) = decimals.is_a?(Integer) ? decimals.clamp(0, 10) : nil

        def values(type, field, workspace)
          case type
          when "number"
            NUMBERS.map do |number|
              field.decimals ? Core::Numbers.round(BigDecimal(number), field.decimals) : BigDecimal(number)
            end
          when "date"
            [workspace.clock.today]
          when "time"
            [Core::DayTime.of(9, 5), Core::DayTime.of(17, 30)]
          when "moment"
            [workspace.clock.now.round]
          when "yes_no"
            [true, false]
          else
            []
          end
        end

        def ready_made(type, field, workspace)
          kind = Core::Values[type]
          return [] unless kind.const_defined?(:READY_MADE)

          kind::READY_MADE.map do |pattern|
            shown = Core::Design::Field.new(**field.to_h, format: {"pattern" => pattern})
            {pattern: pattern, text: shown.show(values(type, field, workspace).first)}
          end
        end
      end
    end
  end
end
