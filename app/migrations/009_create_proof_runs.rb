# frozen_string_literal: true

# What came of each proof when it ran last.
class CreateProofRuns < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_proof_runs", primary_key: "proof_id", id: :string) do |t|
      t.bigint "revision_id", null: false
      t.text "state", null: false
      t.text "result", null: false
      t.text "seen", null: false
      t.text "good"
      t.datetime "good_at"
      t.text "divergence"
    end
  end
end
