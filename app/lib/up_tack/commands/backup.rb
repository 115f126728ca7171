# frozen_string_literal: true

module UpTack
  module Commands
    # Backs up the database while it may be in use, and verifies what was written:
    #
    #   uptack backup
    #   data/backups/up_tack-20261123T020000-hand.sqlite3
    class Backup < Command
      # @param to [String, nil] where to write it, other than the folder of backups
      # @return [Integer]
      def call(database: nil, to: nil)
        made = Store::Backups.new(existing(Database.path(database))).make("hand", to: to)
        answer(0, {backup: made}) { @out.puts made }
      end
    end
  end
end
