# frozen_string_literal: true

class CreatePeople < ActiveRecord::Migration[7.2]
  def up
    create_table("up_tack_people") do |t|
      t.text "name", null: false
      t.text "email"
      t.text "role", null: false
    end
  end
end
