# frozen_string_literal: true

module UpTack
  module Store
    # One save in the change log.
    # way:: how the save came in: "form", "grid", "api", "tidy", "numbers", "import",
    #   "put back", "rule"
    # action:: "create", "update" or "delete"; "restored" where a backup took the place of all that there was
    # table_id:: id of the table in the design, which stays the same through renaming; "" for a restore
    # person_name:: see PersonNames
    # differences:: JSON, the members of each FieldChange
    # seal:: see Seal
    class Entry < SystemRecord
      self.table_name = "up_tack_entries"
      prepend PersonNames::Kept

      belongs_to :batch, class_name: "UpTack::Store::Batch", optional: true

      # @return [Array<FieldChange>] in the order of the fields
      def field_changes = @field_changes ||= JSON.parse(differences).map { |each| FieldChange.new(*each) }
    end
  end
end
