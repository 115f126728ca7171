# frozen_string_literal: true

module UpTack
  module Commands
    # Puts a backup in the place of the database; what was there is copied first:
    #
    #   uptack restore up_tack-20261123T020000-hand.sqlite3
    #   restored; everybody signs in again; what was there is data/backups/up_tack-20261123T093000-restore.sqlite3
    #
    # FILE is a path, or a name in the folder of backups. Without a name it lists them.
    # A server that runs on the database goes on with what was restored after it is started again.
    class Restore
      USAGE = "[FILE] [--database FILE]"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        path = Database.path(arguments)
        store = Store::Backups.new(path)
        return list(store) if arguments.empty?

        from = File.file?(arguments.first) ? arguments.first : store.path(arguments.first)
        Store::Backups.check(from)
        before = File.file?(path) ? store.make("restore") : nil
        Database.open(path) do
          Store::Restoring.new(
            name: File.basename(from),
            copy: before ? File.basename(before) : "no copy, since nothing was there"
          ).call(from)
        end
        @out.puts "restored; everybody signs in again#{"; what was there is #{before}" if before}"
        0
      rescue Store::NotFound,
        Store::Backups::Unsound,
        SQLite3::Exception,
        ActiveRecord::ActiveRecordError,
        SystemCallError => e
        @err.puts e.message
        2
      end

      private

      def list(store)
        store.all.each { |each| @out.puts "#{each.name}  #{each.why}, #{(each.bytes / 1_000_000.0).round(1)} MB" }
        @out.puts Core::Messages["commands.restore.no_backups_yet"] if store.all.empty?
        0
      end
    end
  end
end
