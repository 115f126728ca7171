# frozen_string_literal: true

module UpTack
  module UseCases
    module Sights
      # Which records share what should be unique. All of them are gone through
      # once in advance, rather than looking for others record by record.
      class UniqueSight < CheckSight
        # @param rows [Store::Rows]
        def begin(rows)
          sharing = Hash.new { |hash, signature| hash[signature] = [] }
          @compared = Set.new
          rows.each_batch(keys: compared_columns) do |batch|
            prepare(batch)
            batch.each do |id, values|
              signature = @rule.test.signature(evaluation(id, values)) or next
              sharing[signature] << id
              @compared << id
            end
          end
          @doubled = sharing.each_value.select { |ids| ids.length > 1 }.flatten.to_set
        end

        alias_method :compared_columns, :columns

        # By now the number of a record is enough.
        def columns = []

        def verdict(id, _values)
          return "unjudged" unless @compared.include?(id)

          @doubled.include?(id) ? "refused" : "passed"
        end
      end
    end
  end
end
