# frozen_string_literal: true

# Entries of a batch that only tell what followed elsewhere from the others.
class IndexFollowUps < ActiveRecord::Migration[7.2]
  def up
    execute("CREATE INDEX up_tack_entries_following ON up_tack_entries (batch_id) " \
      "WHERE #{UpTack::Store::Batch::FOLLOW_UP}")
  end
end
