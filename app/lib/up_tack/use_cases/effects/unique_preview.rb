# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Which records share what should be unique. All of them are gone through
      # once in advance, rather than looking for others record by record.
      class UniquePreview < CheckPreview
        # @param rows [Store::RecordTable]
        def begin(rows)
          @doubled = Set.new
          @apart = Set.new
          first = {}
          rows.each_batch(keys: compared_columns) do |batch|
            prepare(batch)
            batch.each { |id, values| compare(id, @rule.test.signature(evaluation(id, values)), first) }
          end
        end

        alias_method :compared_columns, :columns

        # By now the number of a record is enough.
        def columns = []

        def verdict(id, _values)
          return "refused" if @doubled.include?(id)

          @apart.include?(id) ? "unjudged" : "passed"
        end

        private

        # @param first [Hash{Object=>Integer}] the first record of each signature
        def compare(id, signature, first)
          return @apart << id unless signature

          other = (first[signature] ||= id)
          @doubled << other << id unless other == id
        end
      end
    end
  end
end
