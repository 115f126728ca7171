# frozen_string_literal: true

module UpTack
  module Core
    module Save
      NOTHING = {}.freeze
      private_constant :NOTHING

      # What somebody wants to save.
      # typed:: raw input by field key, for the fields that the person or the
      #   program gave; an empty text clears a field on purpose
      # stored:: the record's values as they are kept, nil for a new record
      # id:: the record's number, nil for a new record
      # reasons:: by rule id, why somebody passes a warning
      # live:: whether somebody is still typing; then the order of typed is that in
      #   which it was typed, and what was typed before a rule's field changed can
      #   be overtaken by that rule
      # restoring_values:: whether earlier values are put back, which are not tidied anew; of a
      #   new record, those that only rules give as well: a deleted one comes back
      # brings:: whether numbers may come along that only a rule would give, as in an import; :as_was where a new
      #   record brings what rules have written down of earlier saves as well: stamps, tallies and log lines
      # numbering:: whether a record that exists is given the number that it lacks
      # carried:: raw input by field key that a new record takes over from the one
      #   typed before it, as far as nobody types anything else there
      Draft =
        Struct.new(:typed, :stored, :id, :reasons, :live, :restoring_values, :brings, :numbering, :carried) do
          # Named here, and handed on by their places: that is felt with many records.
          def initialize(
            typed: nil,
            stored: nil,
            id: nil,
            reasons: NOTHING,
            live: nil,
            restoring_values: nil,
            brings: nil,
            numbering: nil,
            carried: NOTHING
          )
            super(typed, stored, id, reasons, live, restoring_values, brings, numbering, carried)
          end

          def new? = stored.nil?
        end
    end
  end
end
