# frozen_string_literal: true

module UpTack
  module UseCases
    # Auto-numbers beyond the single save: records that lack theirs, where a count
    # stands, and how many digits are left.
    module Numbers
      # @return [Kinds::Number]
      # @raise [Store::NotFound]
      def self.rule(table, id)
        found = table.rule(id)
        if found&.numbers?
          found
        else
          raise(
            Store::NotFound,
            Core::Messages["use_cases.numbers.there_is_no_auto_number", id: id, table: table.label]
          )
        end
      end
    end
  end
end
