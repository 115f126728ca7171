# frozen_string_literal: true

# Passed warnings, changes of many records at once, suggestions that somebody
# ignored, and notices with the hours at which they were due.
class CreateBatchesAndNotices < ActiveRecord::Migration[7.2]
  def up
    add_column("up_tack_entries", "passed", :text)
    add_column("up_tack_entries", "batch_id", :bigint)
    add_index("up_tack_entries", "batch_id")
    create_table("up_tack_batches") do |t|
      t.datetime "made_at", null: false
      t.bigint "person_id"
      t.text "person_name", null: false
      t.text "table_id", null: false
      t.text "summary", null: false
      t.bigint "undoes_id"
    end
    UpTack::Store::AppendOnly.guard(connection, "up_tack_batches", "change log")
    create_table("up_tack_ignored") do |t|
      t.text "table_id", null: false
      t.text "field_id", null: false
      t.bigint "record_id", null: false
      t.text "value", null: false
      t.text "person_name", null: false
      t.datetime "made_at", null: false
    end
    add_index("up_tack_ignored", %w[table_id field_id record_id], unique: true)
    create_table("up_tack_notices") do |t|
      t.datetime "made_at", null: false
      t.text "table_id", null: false
      t.bigint "person_id", null: false
      t.text "subject", null: false
      t.text "body", null: false
      t.text "path", null: false
      t.datetime "read_at"
    end
    create_table("up_tack_checks") do |t|
      t.text "table_id", null: false
      t.datetime "done_at", null: false
    end
    add_index("up_tack_checks", "table_id", unique: true)
  end
end
