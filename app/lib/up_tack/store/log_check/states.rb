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
              if digest && !there.key?(id)
                verdict.fault(
                  Core::Messages["store.states.is_gone_and_nothing_tells_why", thing: CALLED[table], id: id]
                )
              end
            end
          end
        end

        def compare(verdict, table, id, digest, known)
          if known[id].nil?
            return (
              verdict.fault(
                Core::Messages["store.states.is_there_and_nothing_tells", thing: CALLED[table], id: id]
              )
            )
          end

          unless known[id] == digest
            verdict.fault(Core::Messages["store.states.is_not_as_it_was_written_down", thing: CALLED[table], id: id])
          end
        end
      end
    end
  end
end
