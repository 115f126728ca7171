# frozen_string_literal: true

# What an entry says stands in the entry itself, and each carries a seal. What
# History looks up by has its indexes.
class SealTheLog < ActiveRecord::Migration[7.2]
  def up
    execute("DROP TRIGGER up_tack_entries_no_update")
    add_column("up_tack_entries", "differences", :text)
    add_column("up_tack_entries", "seal", :text)
    execute(<<~SQL)
      UPDATE up_tack_entries SET differences = (
        SELECT json_group_array(json_array(field_id, field_label, type, json(before), json(after), rule_id))
        FROM (SELECT * FROM up_tack_changes WHERE entry_id = up_tack_entries.id ORDER BY id))
    SQL
    UpTack::Store::Resealing.unkeyed
    execute("CREATE TRIGGER up_tack_entries_no_update BEFORE UPDATE ON up_tack_entries BEGIN SELECT " \
      "RAISE(ABORT, 'the change log can only be added to'); END")
    index_changes
  end

  private

  def index_changes
    execute("CREATE TABLE up_tack_changed (field_id TEXT NOT NULL, entry_id INTEGER NOT NULL, PRIMARY " \
      "KEY (field_id, entry_id)) WITHOUT ROWID")
    execute("INSERT OR IGNORE INTO up_tack_changed SELECT field_id, entry_id FROM up_tack_changes")
    UpTack::Store::AppendOnly.never_changed("up_tack_changed", "the change log").each_value { |sql| execute(sql) }
    drop_table("up_tack_changes")
    remove_index("up_tack_entries", "batch_id")
    execute(
      "CREATE INDEX up_tack_entries_in_batches ON up_tack_entries (batch_id) WHERE batch_id IS NOT NULL"
    )
    execute("CREATE INDEX up_tack_entries_alone ON up_tack_entries (table_id) WHERE batch_id IS NULL")
    add_index("up_tack_entries", %w[table_id made_at])
  end
end
