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
          raise(Store::NotFound, "There is no auto-number `#{id}` in #{table.label}.")
        end
      end
    end
  end
end
