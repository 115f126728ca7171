# frozen_string_literal: true

module UpTack
  module Store
    # When a table was last looked over for suggestions.
    class ReviewRun < SystemRecord
      self.table_name = "up_tack_checks"
    end
  end
end
