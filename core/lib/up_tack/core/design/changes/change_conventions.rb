# frozen_string_literal: true

require "tzinfo"

module UpTack
  module Core
    module Design
      module Changes
        # Changes how the firm writes: the order of dates, the marks of numbers, the time zone. What is
        # kept stays as it is; it is shown and read in another way.
        class ChangeConventions < Change
          CHOICES = {
            "date_order" => %w[dmy mdy ymd],
            "decimal_mark" => %w[. ,],
            "group_mark" => [",", ".", " "]
          }.freeze

          # @param parts [Hash{String=>String}] members of Conventions that become others
          def initialize(parts:)
            @parts = parts.slice("date_order", "decimal_mark", "group_mark", "time_zone").compact
          end

          def apply(project)
            check
            attributes = project.attributes
            attributes["conventions"] = attributes["conventions"].merge(@parts)
            if attributes["conventions"]["decimal_mark"] == attributes["conventions"]["group_mark"]
              Invalid.because(
                Messages["design.change_conventions.mark_of_decimals_and_of_thousands"],
                part: "group_mark"
              )
            end

            @summary = "Ways of writing changed"
            build(project, attributes)
          end

          private

          def check
            CHOICES.each do |part, all|
              unless @parts[part].nil? || all.include?(@parts[part])
                Invalid.because(Messages["design.change_conventions.there_is_no_such_way_of_writing"], part: part)
              end
            end
            zone = @parts["time_zone"]
            unless zone.nil? || TZInfo::Timezone.all_data_zone_identifiers.include?(zone)
              Invalid.because(Messages["design.change_conventions.there_is_no_time_zone_of_name"], part: "time_zone")
            end
          end
        end
      end
    end
  end
end
