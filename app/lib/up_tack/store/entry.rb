# frozen_string_literal: true

module UpTack
  module Store
    # One save in the change log.
    # way:: how the save came in: "form", "grid", "api", "tidy", "put back"
    # action:: "create", "update" or "delete"
    # table_id:: id of the table in the design, which stays the same through renaming
    class Entry < SystemRecord
      self.table_name = "up_tack_entries"
      belongs_to :batch, class_name: "UpTack::Store::Batch", optional: true
      has_many :field_changes, class_name: "UpTack::Store::FieldChange", inverse_of: :entry
    end
  end
end
