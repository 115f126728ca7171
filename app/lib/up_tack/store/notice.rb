# frozen_string_literal: true

module UpTack
  module Store
    # A message to a person, kept in the outbox of the application.
    class Notice < SystemRecord
      self.table_name = "up_tack_notices"
      belongs_to :person, class_name: "UpTack::Store::Person"
    end
  end
end
