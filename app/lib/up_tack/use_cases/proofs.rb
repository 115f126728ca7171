# frozen_string_literal: true

module UpTack
  module UseCases
    # The bench: trials over the real records, proofs, what they cover, records at the
    # edges, made-up records in bulk.
    module Proofs
    end
  end
end
