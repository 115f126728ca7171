# frozen_string_literal: true

class CreateRevisions < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_revisions") do |t|
      t.datetime "made_at", null: false
      t.bigint "person_id"
      t.text "person_name", null: false
      t.text "action", null: false
      t.text "summary", null: false
      t.bigint "target_id"
      t.text "design", null: false
    end
    UpTack::Store::AppendOnly.guard(connection, "up_tack_revisions", "design revisions")
  end
end
