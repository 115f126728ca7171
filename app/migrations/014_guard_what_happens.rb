# frozen_string_literal: true

# What happened besides, in a chain of its own; names and seals under keys.
class GuardWhatHappens < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_events") do |t|
      t.datetime "made_at", null: false
      t.bigint "person_id"
      t.text "person_name", null: false
      t.text "kind", null: false
      t.text "details", null: false
      t.bigint "entry_id", null: false
      t.text "entry_seal", null: false
      t.text "seal", null: false
    end
    UpTack::Store::AppendOnly.guard(connection, "up_tack_events", "security log")
    create_table("up_tack_name_keys", primary_key: "person_id") { |t| t.text "key", null: false }
    # Batches of which nothing is left.
    execute("CREATE TABLE up_tack_undone (batch_id INTEGER PRIMARY KEY)")
    execute("INSERT INTO up_tack_undone SELECT DISTINCT undoes_id FROM up_tack_batches WHERE " \
      "undoes_id IS NOT NULL")
    add_column("up_tack_sessions", "confirmed_at", :datetime)
    add_column("up_tack_sessions", "device", :text)
    UpTack::Store
      .then { |store| [store::Session, store::Token, store::Person, store::Event, store::Batch, store::Revision] }
      .each(&:reset_column_information)
    # Who comes in with one click is who could before, and nobody who is added later.
    if UpTack::Store::Settings.demo?
      UpTack::Store::Settings["demo_people"] =
        JSON.generate(UpTack::Store::Settings.demo_people)
    end
    UpTack::Store::Resealing.keyed
  end
end
