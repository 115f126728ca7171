# frozen_string_literal: true

# Choices that a change of the design renamed: JSON, new names by old ones, by id of the field.
class AddRenamedChoicesToRevisions < ActiveRecord::Migration[7.2]
  def up
    add_column("up_tack_revisions", "renamed_choices", :text)
  end
end
