# frozen_string_literal: true

module UpTack
  module UseCases
    # By what people know a record.
    module Titles
      LONGEST = 80

      module_function

      # @return [String] the first text that is filled, or the record's number
      def of(table, id, values)
        text = table.fields.lazy.select { |field| field.type == "text" }.map { |field| values[field.key].to_s.strip.gsub(/\s+/, " ") }.find { |each| !each.empty? }
        text ? text[0, LONGEST] : "#{table.record_name} #{id}"
      end
    end
  end
end
