# frozen_string_literal: true

module UpTack
  module Store
    # Moves older entries of the change log into LogFiles, in two steps: they are copied, and every process reads them
    # there from then on; some time later they leave the database. What stays of each record is its latest entry, whose
    # number is its version.
    class LogMoving
      # Bytes up to which the latest file is replaced by a longer one; twice as many for each file that there is, so
      # that they stay few.
      GROWS = 1_000_000_000
      # SQLite has ten databases attached at most, two of which others need.
      MOST = 8
      # Seconds after which every process reads the files: no connection is held for that long without a look.
      SETTLED = 3_600
      # Rows copied, and let go of, at a time.
      COPIED = 20_000
      PORTION = 500
      MADE_AT = "log_files_at"
      LEAVING = <<~SQL
        SELECT id FROM main.up_tack_entries AS earlier WHERE id > ? AND id <= ? AND EXISTS (
          SELECT 1 FROM main.up_tack_entries AS later
          WHERE later.table_id = earlier.table_id AND later.record_id = earlier.record_id AND later.id > earlier.id)
        ORDER BY id LIMIT #{PORTION}
      SQL

      # @param progress [Progress]
      def initialize(progress: Progress.none)
        @progress = progress
      end

      # @param before [Time]
      # @return [Integer] number of the last entry of which all up to it are older; 0 where there is none
      def self.last_before(before)
        first = Statements.run("SELECT MIN(id) FROM main.up_tack_entries WHERE id > ? AND made_at >= ?", LogFiles.last,
          LogWriter.moment(before)).dig(0, 0)
        first ? first - 1 : ChangeLog.latest
      end

      # Copies the entries up to one, and has everybody read them there.
      # @param last [Integer] number of the entry
      # @param now [Time]
      # @return [LogFiles::Part, nil] nil where nothing is to be moved
      # @raise [LogFiles::Missing, RunningBatch::Busy, Backups::Unsound]
      def copy(last, now: Time.now.utc)
        LogFiles.complete!(LogFiles.missing)
        RunningBatch.none!
        return if last <= LogFiles.last

        kept, replaced = LogFiles.all, nil
        replaced = kept.pop if grows?(kept)
        part = write(kept, replaced, last)
        Database.write do
          Settings[LogFiles::SETTING] = JSON.generate([*kept, part].map(&:to_a))
          Settings[MADE_AT] = now.iso8601
          Event.add("log_moved", {"files" => [*kept, part].map(&:to_a)}, now: now)
          Generation.change("log")
        end
        LogFiles.follow
        part
      end

      # @param now [Time]
      # @return [Boolean] whether entries may leave the database
      def settled?(now)
        at = Settings[MADE_AT]
        !at.nil? && LogFiles.last > cleared && now - Time.iso8601(at) >= SETTLED
      end

      # Lets go of what lies in the files, a little at a time.
      # @return [Integer] how many entries left
      def clear
        LogFiles.complete!(LogFiles.missing)
        LogFiles.follow
        last, gone, at = LogFiles.last, 0, 0
        Database.write { Settings[LogFiles::CLEARED] = last.to_s }
        loop do
          ids = Statements.run(LEAVING, at, last).flatten
          break if ids.empty?

          Turn.give_way
          Database.write do
            Statements.run("DELETE FROM main.up_tack_entries WHERE id IN (SELECT value FROM json_each(?))",
              JSON.generate(ids))
          end
          at, gone = ids.last, gone + ids.length
          @progress.advance(ids.length)
        end
        forget_told(last)
        LogFiles.drop_replaced
        gone
      end

      private

      def cleared = Settings[LogFiles::CLEARED].to_i

      def grows?(kept)
        latest = kept.last or return false
        path = LogFiles.path(latest)
        kept.length >= MOST || File.size(path) < GROWS * (2**(kept.length - 1))
      end

      def write(kept, replaced, last)
        first = replaced&.first || ((kept.last&.last || 0) + 1)
        FileUtils.mkdir_p(LogFiles.folder, mode: 0o700)
        name = "up_tack-log-#{first}-#{last}.sqlite3"
        path = File.join(LogFiles.folder, name)
        FileUtils.rm_f("#{path}.part")
        FileUtils.cp(LogFiles.path(replaced), "#{path}.part") if replaced
        seal = fill("#{path}.part", LogFiles.last, last, begun: replaced.nil?)
        File.open("#{path}.part") { |file| file.fsync }
        File.chmod(0o400, "#{path}.part")
        File.rename("#{path}.part", path)
        LogFiles::Part.new(name, first, last, seal)
      ensure
        FileUtils.rm_f(["#{path}.part", "#{path}.part-journal"])
      end

      # @return [String] seal of the last entry
      def fill(path, after, last, begun:)
        FileUtils.touch(path)
        File.chmod(0o600, path)
        file = SQLite3::Database.new(path)
        file.execute("ATTACH DATABASE ? AS source", [Database.path])
        begin_tables(file) if begun
        cut(file, after)
        copy_entries(file, after, last)
        copy_told(file, after, last)
        compare(file, after, last)
        file.execute("DETACH DATABASE source")
        file.get_first_value("SELECT seal FROM up_tack_entries WHERE id = ?", [last])
      ensure
        file&.close
      end

      def begin_tables(file)
        file.execute(<<~SQL).each { |(sql)| file.execute(sql) }
          SELECT sql FROM source.sqlite_master WHERE sql IS NOT NULL AND type IN ('table', 'index')
          AND tbl_name IN ('up_tack_entries', 'up_tack_changed') ORDER BY type DESC
        SQL
      end

      # A file of another moment may have entries that a restore has cut off here.
      def cut(file, after)
        LogFiles::TABLES.each { |table, number| file.execute("DELETE FROM main.#{table} WHERE #{number} > ?", [after]) }
      end

      def copy_entries(file, after, last)
        @progress.begin("Change log", "Entries", last - after)
        columns = columns(file, "up_tack_entries")
        while after < last
          upto = [after + COPIED, last].min
          file.execute("INSERT INTO main.up_tack_entries (#{columns}) SELECT #{columns} FROM source.up_tack_entries " \
            "WHERE id > ? AND id <= ? ORDER BY id", [after, upto])
          @progress.advance(upto - after)
          after = upto
        end
      end

      # One that tells of entries on both sides stands on both.
      def copy_told(file, after, last)
        columns = columns(file, "up_tack_changed")
        number = LogFiles::TABLES["up_tack_changed"]
        file.execute("INSERT OR REPLACE INTO main.up_tack_changed (#{columns}) SELECT #{columns} " \
          "FROM source.up_tack_changed WHERE #{number} > ? AND entry_id <= ?", [after, last])
      end

      # They are not let go of before they stand there as they are here.
      def compare(file, after, last)
        columns = columns(file, "up_tack_entries")
        range = "WHERE id > #{Integer(after)} AND id <= #{Integer(last)}"
        differ = file.get_first_value("SELECT COUNT(*) FROM (SELECT #{columns} FROM source.up_tack_entries #{range} " \
          "EXCEPT SELECT #{columns} FROM main.up_tack_entries #{range})")
        sound = file.get_first_value("PRAGMA main.integrity_check")
        return if differ.zero? && sound == "ok"

        raise Backups::Unsound, Core::Messages["store.backups.copy_does_not_hold", reason: sound]
      end

      def columns(file, table) = file.execute("PRAGMA source.table_info(#{table})").map { |row| row[1] }.join(", ")

      # Which fields those entries tell of is told in the files, too.
      def forget_told(last)
        number = LogFiles::TABLES["up_tack_changed"]
        loop do
          rows = Statements.run("SELECT field_id, entry_id FROM main.up_tack_changed WHERE #{number} <= ? " \
            "LIMIT #{PORTION}", last)
          break if rows.empty?

          Turn.give_way
          Database.write do
            Statements.run("DELETE FROM main.up_tack_changed WHERE (field_id, entry_id) IN " \
              "(SELECT value ->> 0, value ->> 1 FROM json_each(?))", JSON.generate(rows))
          end
        end
      end
    end
  end
end
