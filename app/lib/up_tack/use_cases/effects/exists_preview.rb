# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Which records hold a value that is not there in the other table. Its values
      # are read once in advance, rather than looked for record by record.
      class ExistsPreview < CheckPreview
        # @param _rows [Store::RecordTable]
        def begin(_rows)
          key = @rule.test.key
          @there = Set.new
          Store::RecordTable.new(@workspace.table(@rule.test.target)).each_batch(keys: [key]) do |batch|
            batch.each { |_, values| @there << alike(values[key]) }
          end
        end

        def verdict(id, values)
          value = stored(id, values)
          return "unjudged" if value.nil?

          @there.include?(alike(value)) ? "passed" : "refused"
        end

        private

        def alike(value) = value.is_a?(String) ? Core::Unicode.folded(value) : value
      end
    end
  end
end
