# frozen_string_literal: true

module UpTack
  module Commands
    # Gives back the room in the file that nothing needs any more, and lets it be given back bit by bit from then on.
    # Whoever saves waits meanwhile:
    #
    #   uptack compact
    #   data/up_tack.sqlite3 had 812 MB, and has 640 MB now.
    class Compact < Command
      # @return [Integer]
      def call(database: nil)
        path = existing(Database.path(database))
        before = File.size(path)
        Database.open(database) do
          Store::Turn.alone do
            raw = Store::Database.connection.raw_connection
            raw.execute("PRAGMA auto_vacuum = #{Store::Database::INCREMENTAL}")
            raw.execute("VACUUM")
            raw.execute("PRAGMA wal_checkpoint(TRUNCATE)")
          end
        end
        after = File.size(path)
        answer(0, {before: before, after: after}) do
          sizes = [before, after].map { |bytes| (bytes / 1_000_000.0).round(1) }
          @out.puts Core::Messages["commands.compact.done", path: path, before: sizes.first, after: sizes.last]
        end
      end
    end
  end
end
