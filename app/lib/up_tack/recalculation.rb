# frozen_string_literal: true

module UpTack
  # Keeps calculated values equal to their formulas: after a record was saved or
  # deleted, and after the design was changed. What must follow is found from
  # what each formula reads (Core::Analysis::DependencyGraph), along links and among
  # linked records; then it is worked out in one go, table by table.
  module Recalculation
  end
end
