# frozen_string_literal: true

# By what scripts come in, and what they were answered, so that nothing is done twice.
class CreateTokensAndAnswers < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_tokens") do |t|
      t.references "person", null: false, foreign_key: {to_table: "up_tack_people"}
      t.text "name", null: false
      t.text "role", null: false
      t.text "digest", null: false
      t.datetime "made_at", null: false
      t.datetime "ends_at", null: false
      t.datetime "seen_at"
    end
    add_index("up_tack_tokens", "digest", unique: true)
    create_table("up_tack_answers") do |t|
      t.text "caller", null: false
      t.text "key", null: false
      t.text "request", null: false
      t.integer "status", null: false
      t.text "headers", null: false
      t.binary "body", null: false
      t.datetime "made_at", null: false
    end
    add_index("up_tack_answers", %w[caller key], unique: true)
    add_index("up_tack_answers", "made_at")
  end
end
