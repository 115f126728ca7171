# frozen_string_literal: true

module UpTack
  module UseCases
    module Sights
      # Which records share what should be unique. All of them are gone through
      # once, rather than looking for others record by record.
      class UniqueSight < CheckSight
        # @param rows [Store::Rows]
        def begin(rows)
          @sharing = Hash.new { |hash, signature| hash[signature] = [] }
          rows.each_batch(keys: columns) do |batch|
            prepare(batch)
            batch.each { |id, values| @rule.test.signature(evaluation(id, values))&.then { |signature| @sharing[signature] << id } }
          end
        end

        def verdict(id, values)
          signature = @rule.test.signature(evaluation(id, values))
          return "unjudged" unless signature

          (@sharing[signature].length > 1) ? "refused" : "passed"
        end
      end
    end
  end
end
