# frozen_string_literal: true

# Counts by series, and every number ever given: none is taken out again.
class CreateNumbers < ActiveRecord::Migration[7.2]
  def up
    execute("CREATE TABLE up_tack_counters (field_id TEXT NOT NULL, series TEXT NOT NULL, next " \
      "INTEGER NOT NULL, highest INTEGER, PRIMARY KEY (field_id, series)) WITHOUT ROWID")
    execute("CREATE TABLE up_tack_numbers (field_id TEXT NOT NULL, text TEXT NOT NULL, record_id " \
      "INTEGER NOT NULL, series TEXT NOT NULL, count INTEGER, PRIMARY KEY (field_id, text)) " \
      "WITHOUT ROWID")
    UpTack::Store::AppendOnly.never_changed("up_tack_numbers", "numbers that were given").each_value { |sql|
      execute(sql)
    }
  end
end
