# frozen_string_literal: true

# Entries that lie in a file of their own may leave the database, and no others. What tells of fields may tell of
# further entries.
class LetOlderEntriesMove < ActiveRecord::Migration[7.2]
  def up
    guards = UpTack::Store::AppendOnly.all_triggers
    %w[up_tack_entries_no_delete up_tack_changed_no_delete up_tack_changed_no_update].each do |name|
      execute("DROP TRIGGER IF EXISTS #{name}")
      execute(guards.fetch(name))
    end
  end
end
