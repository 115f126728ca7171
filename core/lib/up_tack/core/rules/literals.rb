# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # Values as the formula language writes them.
      module Literals
        module_function

        # @return [String] a formula that gives the value
        def write(value)
          case value
          when BigDecimal then Numbers.digits(value)
          when ::Date then %(date("#{value.iso8601}"))
          when DayTime then "time(#{[value.hour, value.minute, value.second].join(", ")})"
          when true then "yes"
          when false then "no"
          else %("#{value.to_s.gsub('"', '""')}")
          end
        end
      end
    end
  end
end
