# frozen_string_literal: true

module UpTack
  module Commands
    # Restores a backup; the current database is backed up first:
    #
    #   uptack restore up_tack-20261123T020000-hand.sqlite3
    #   Restored. The previous database was saved as data/backups/up_tack-20261123T093000-restore.sqlite3. …
    #
    # A server that runs on the database goes on with what was restored.
    class Restore < Command
      # @param backup [String, nil] a path, or a name in the folder of backups; nil lists them
      # @return [Integer]
      def call(backup: nil, database: nil)
        path = Database.path(database)
        store = Store::Backups.new(path)
        return list(store) unless backup

        from = File.file?(backup) ? backup : store.path(backup)
        Store::Backups.check(from)
        before = File.file?(path)
        Database.create(database) { before = restore(from) { before && store.make("restore") } }
        answer(0, {restored: from, previous: before}) do
          @out.puts Core::Messages[
            before ? "commands.restore.restored_keeping" : "commands.restore.restored", previous: before
          ]
        end
      end

      private

      def restore(from)
        before = nil
        Store::Restoring.new(name: File.basename(from), unfinished: Services::Rollback.method(:left)).call(from) do
          before = yield
          before ? File.basename(before) : "no copy, since nothing was there"
        end
        before
      end

      def list(store)
        all = store.all.map { |each| {name: each.name, why: each.why, bytes: each.bytes} }
        answer(0, {backups: all}) do
          all.each { |each| @out.puts "#{each[:name]}  #{each[:why]}, #{(each[:bytes] / 1_000_000.0).round(1)} MB" }
          @out.puts Core::Messages["commands.restore.no_backups_yet"] if all.empty?
        end
      end
    end
  end
end
