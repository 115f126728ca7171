# frozen_string_literal: true

module UpTack
  module Store
    module LogCheck
      # Whether designs, batches, people and tokens are those that events vouch for.
      module States
        CALLED = {
          "up_tack_revisions" => "Revision",
          "up_tack_batches" => "Batch",
          "up_tack_people" => "Person",
          "up_tack_tokens" => "Token"
        }.freeze

        module_function

        # @param chains [Chains] that were gone through
        def run(verdict, chains)
          Vouched::COLUMNS.each_key do |table|
            there = Vouched.digests(table)
            known = chains.vouched.select { |(of, _), _| of == table }.to_h { |(_, id), digest| [id, digest] }
            there.each { |id, digest| compare(verdict, table, id, digest, known) }
            known.each do |id, digest|
              verdict.fault("#{CALLED[table]} #{id} is gone, and nothing tells why.") if digest && !there.key?(id)
            end
          end
        end

        def compare(verdict, table, id, digest, known)
          return verdict.fault("#{CALLED[table]} #{id} is there, and nothing tells of it.") if known[id].nil?

          unless known[id] == digest
            verdict.fault("#{CALLED[table]} #{id} is not as it was written down: it was changed from outside.")
          end
        end
      end
    end
  end
end
