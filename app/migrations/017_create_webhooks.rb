# frozen_string_literal: true

# Addresses that are told of changes. Each has its place in the change log, up to which it was told: what is to be sent
# is written down in the transaction of the save itself.
class CreateWebhooks < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_webhooks") do |t|
      t.bigint "person_id", null: false
      t.text "address", null: false
      t.text "tables"
      t.text "salt", null: false
      t.text "key_id", null: false
      t.text "place", null: false
      t.boolean "active", null: false
      t.datetime "made_at", null: false
      t.integer "failures", null: false, default: 0
      t.datetime "failing_since"
      t.datetime "next_at"
      t.datetime "told_at"
      t.text "problem"
    end
  end
end
