# frozen_string_literal: true

module UpTack
  module Store
    # Somebody who works with the firm's records. Stands for the core's person
    # port as it is: it answers name, email and role.
    class Person < SystemRecord
      self.table_name = "up_tack_people"
    end
  end
end
