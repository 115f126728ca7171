# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # What came out of the stages.
      # values:: the record's values by field key, nil for blank
      # unreadable:: what was typed and is no value, by field key
      # origins:: by field key, where the value came from, as an Origin
      # refusals:: Refusals, in the order of the table's fields; empty when it may be saved
      # changes:: Changes against the stored record
      # passed:: warnings that were passed with a reason, as AcknowledgedWarning
      # overtaken:: keys of fields whose typed value a rule replaced, in a live draft
      # steps:: the trace, empty unless it was asked for
      # evaluation:: an Expression::Evaluation in which formulas see the record as it came out
      Outcome =
        Struct.new(:values, :unreadable, :origins, :refusals, :changes, :passed, :overtaken, :steps, :evaluation) do
          # @return [Boolean] whether the record may be written
          def saved? = refusals.empty?
        end
    end
  end
end
