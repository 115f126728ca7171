# frozen_string_literal: true

# What became another value elsewhere by the same save.
class AddWhatFollowedToEntries < ActiveRecord::Migration[7.2]
  def up
    add_column("up_tack_entries", "followed", :text)
  end
end
