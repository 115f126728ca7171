# frozen_string_literal: true

class CreateChangeLog < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_entries") do |t|
      t.datetime "made_at", null: false
      t.bigint "person_id"
      t.text "person_name", null: false
      t.text "way", null: false
      t.text "action", null: false
      t.text "table_id", null: false
      t.bigint "record_id", null: false
      t.text "record_title"
      t.bigint "revision_id", null: false
    end
    add_index("up_tack_entries", %w[table_id record_id])
    create_table("up_tack_changes") do |t|
      t.references "entry", null: false, foreign_key: {to_table: "up_tack_entries"}
      t.text "field_id", null: false
      t.text "field_label", null: false
      t.text "type", null: false
      t.text "before"
      t.text "after"
      t.text "rule_id"
    end
    UpTack::Store::AppendOnly.guard(connection, "up_tack_entries", "change log")
    UpTack::Store::AppendOnly.guard(connection, "up_tack_changes", "change log")
  end
end
