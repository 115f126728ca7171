# frozen_string_literal: true

# Entries that follow one another and tell of a field are one row, up to the last of them.
# Rows of an older version are of one entry each.
class CountChangesInRuns < ActiveRecord::Migration[7.2]
  def up
    execute("ALTER TABLE up_tack_changed ADD COLUMN last_id INTEGER")
  end
end
