# frozen_string_literal: true

module UpTack
  module Store
    # What came of a proof when it ran last, and the trace of its last good run.
    # proof_id:: of the design; revision_id:: the design that it ran against
    # state:: "passed", "broken" or "unfit"
    # result:: JSON of what was not met: [{"expected", "actual", "field", "rules"}]
    # seen:: JSON of the points that it saw, by rule
    # good:: JSON of the steps of the last good run; good_at:: when that was
    # divergence:: JSON of the first step that goes another way, nil where there is none
    class ProofRun < SystemRecord
      self.table_name = "up_tack_proof_runs"
      self.primary_key = "proof_id"

      # @return [Array<Hash>]
      def differences = JSON.parse(result)

      # @return [Hash{String=>Array<String>}]
      def points = JSON.parse(seen)

      # @return [Hash, nil]
      def first_difference = divergence && JSON.parse(divergence)
    end
  end
end
