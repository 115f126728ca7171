# frozen_string_literal: true

module UpTack
  module Commands
    # Copies the database while it may be in use, and looks at what was written:
    #
    #   uptack backup
    #   data/backups/up_tack-20261123T020000-hand.sqlite3
    #
    # --to FILE writes it elsewhere. The exit status is 0 when the copy holds, 2 when not.
    class Backup
      USAGE = "[--to FILE] [--database FILE]"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        path = Database.path(arguments)
        at = arguments.index("--to")
        to = at && arguments[at + 1]
        raise Store::NotFound, Core::Messages["commands.all.there_is_no_file", path: path] unless File.file?(path)

        @out.puts Store::Backups.new(path).make("hand", to: to)
        0
      rescue Store::NotFound, Store::Backups::Unsound, SQLite3::Exception, SystemCallError => e
        @err.puts e.message
        2
      end
    end
  end
end
