# frozen_string_literal: true

module UpTack
  module Commands
    # Brings a database of an older version up to date, after copying it; or only says what would be done:
    #
    #   uptack upgrade --check
    #   data/up_tack.sqlite3 has version 12. This Up Tack has version 15.
    class Upgrade < Command
      # @param check [Boolean] whether nothing is done
      # @return [Integer] 1 where --check found something to do
      # @raise [Failure] for a database of a newer version
      def call(database: nil, check: false)
        path = existing(Database.path(database))
        version = Store::SystemTables.version_at(path) or
          raise Failure, Core::Messages["commands.upgrade.is_no_database", path: path]
        latest = Store::SystemTables.latest
        raise Store::SystemTables::TooNew if version > latest

        room!(path) if version < latest
        return tell(path, version, latest) if check || version == latest

        copy = Store::Database.open(path)
        Store::Database.close
        answer(0, {from: version, to: latest, copy: copy}) do
          @out.puts Core::Messages["commands.upgrade.done", version: latest, copy: copy]
        end
      end

      private

      def tell(path, version, latest)
        missing = Store::SystemTables.missing(version)
        answer(missing.any? ? 1 : 0, {version: version, latest: latest, missing: missing}) do
          @out.puts Core::Messages["commands.upgrade.versions", path: path, version: version, latest: latest]
          missing.each { |name| @out.puts "  #{name}" }
          key = missing.any? ? "commands.upgrade.needed" : "commands.upgrade.not_needed"
          @out.puts Core::Messages[key]
        end
      end

      # The copy needs as much room again.
      def room!(path)
        free = UseCases::Maintenance::Disk.free(path)
        return if free.nil? || free > File.size(path) * 2

        raise Failure, Core::Messages["commands.upgrade.no_room", megabytes: File.size(path) * 2 / 1_000_000]
      end
    end
  end
end
