# frozen_string_literal: true

# The design that a change of many records has begun with, where it has made that itself: the tables of a file.
class BeginChangesWithADesign < ActiveRecord::Migration[7.2]
  def up
    add_column("up_tack_running", "revision_id", :integer)
  end
end
