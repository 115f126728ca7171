# frozen_string_literal: true

# Names and passwords to sign in with, and who is signed in.
class LetPeopleSignIn < ActiveRecord::Migration[7.2]
  def up
    add_column("up_tack_people", "sign_in", :text)
    add_column("up_tack_people", "password_digest", :text)
    add_column("up_tack_people", "active", :boolean, null: false, default: true)
    connection.select_rows("SELECT id, name FROM up_tack_people").each do |id, name|
      execute("UPDATE up_tack_people SET sign_in " \
        "= #{connection.quote("#{name.downcase(:fold).split.first}#{id}")} WHERE id = #{id}")
    end
    add_index("up_tack_people", "sign_in", unique: true)
    create_table("up_tack_sessions") do |t|
      t.references "person", null: false, foreign_key: {to_table: "up_tack_people"}
      t.text "digest", null: false
      t.datetime "made_at", null: false
      t.datetime "seen_at", null: false
    end
    add_index("up_tack_sessions", "digest", unique: true)
  end
end
