# frozen_string_literal: true

# Changes of many records that are written in portions, and what records were before them.
class CreateRunningBatches < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_running", primary_key: "batch_id", id: :integer) do |t|
      t.datetime "began_at", null: false
      t.integer "done", null: false
      t.integer "total", null: false
    end
    create_table("up_tack_journal") do |t|
      t.bigint "batch_id", null: false
      t.text "table_id", null: false
      t.text "kind", null: false
      t.bigint "first", null: false
      t.bigint "last", null: false
      t.text "before"
    end
    add_index("up_tack_journal", "batch_id")
    add_index("up_tack_journal", %w[table_id kind first])
  end
end
