# frozen_string_literal: true

module UpTack
  module Store
    # Copies of the database, made while it runs (SQLite's online backup), in a folder
    # beside it. Each is looked at once it is written; a name says when and why it was made.
    class Backups
      # A copy. why:: one of WHYS; bytes:: its size
      Copy = Struct.new(:name, :made_at, :why, :bytes, keyword_init: true)
      # A copy that does not hold, or a file that is none.
      class Unsound < StandardError; end
      # A copy that can't be deleted yet.
      class Kept < StandardError; end

      WHYS = {
        "hand" => "by hand", "schedule" => "on schedule", "restore" => "before a restore",
        "upgrade" => "before an upgrade"
      }.freeze
      NAME = /\Aup_tack-(\d{8}T\d{6})(?:\.(\d+))?-(#{WHYS.keys.join("|")})\.sqlite3\z/
      # Those that stay for a while, since what was there before is nowhere else.
      STAYING = WHYS.values_at("restore", "upgrade").freeze
      # Days for which a copy stays that was made before a restore or an upgrade.
      STAYS = 30
      # Pages copied at a time where others share the process. Each change by others begins it again, so a process of
      # its own copies all at once: nobody is held up by a reader.
      PAGES = 500
      ALL = -1

      # @param database [String] path of the database
      # @param folder [String] where they lie
      def initialize(database = Database.path, folder: File.join(File.dirname(database), "backups"))
        @database = database
        @folder = folder
      end

      # @return [Array<Copy>] the latest first
      def all
        Dir[File.join(@folder, "*.sqlite3")]
          .filter_map { |path| copy(File.basename(path)) }
          .sort_by { |each| [each.made_at, each.name] }
          .reverse
      end

      # @param name [String]
      # @return [String] its path
      # @raise [NotFound]
      def path(name)
        unless name.to_s.match?(NAME) && File.file?(File.join(@folder, name))
          raise NotFound, Core::Messages["store.backups.there_is_no_backup_of_name"]
        end

        File.join(@folder, name)
      end

      # @param why [String] a key of WHYS
      # @param to [String, nil] where else to write it
      # @param pages [Integer] copied at a time
      # @return [String] its path
      # @raise [Unsound] where what was written does not hold
      def make(why, to: nil, now: Time.now.utc, pages: ALL)
        FileUtils.mkdir_p(to ? File.dirname(to) : @folder)
        File.chmod(0o700, @folder) unless to
        path = to || fresh(why, now)
        Backups.forget_parts(File.dirname(path))
        part = "#{path}.part"
        FileUtils.rm_f(part)
        File.open(part, File::WRONLY | File::CREAT | File::EXCL, 0o600) { nil }
        Backups.copy(@database, part, pages)
        Backups.check(part)
        File.open(part) { |file| file.fsync }
        File.rename(part, path)
        LogFiles.copy_all(LogFiles.beside(@database), LogFiles.beside(path))
        path
      ensure
        ["", "-wal", "-shm", "-journal"].each { |ending| FileUtils.rm_f("#{part}#{ending}") } if part
      end

      # Seconds after which nobody writes to a part of a copy any more: it was cut off.
      CUT_OFF = 3_600

      # Deletes what a copy that was cut off has left.
      # @param folder [String]
      # @return [void]
      def self.forget_parts(folder)
        parts = Dir[File.join(folder, "up_tack-*.part*")]
        FileUtils.rm_f(parts.select { |each| File.mtime(each) < Time.now - CUT_OFF })
      rescue Errno::ENOENT
        nil # Another process has done it.
      end

      # Takes in a copy that was made elsewhere.
      # @param path [String]
      # @return [void]
      # @raise [SystemCallError]
      def take(path)
        Backups.put(path, File.join(@folder, File.basename(path)), 0o600)
        LogFiles.copy_all(LogFiles.beside(path), File.join(@folder, LogFiles::FOLDER))
      end

      # Copies a file so that it is there as a whole or not at all.
      # @param mode [Integer] of the copy
      # @return [void]
      # @raise [SystemCallError]
      def self.put(from, to, mode)
        FileUtils.mkdir_p(File.dirname(to), mode: 0o700)
        FileUtils.cp(from, "#{to}.part")
        File.open("#{to}.part") { |file| file.fsync }
        File.chmod(mode, "#{to}.part")
        File.rename("#{to}.part", to)
      ensure
        FileUtils.rm_f("#{to}.part")
      end

      # @param name [String]
      # @raise [NotFound, Kept]
      def drop(name, now: Time.now.utc)
        found = path(name)
        if stays?(copy(name), now)
          raise Kept, Core::Messages["store.backups.copy_was_made_before_restore_and_stays", days: STAYS]
        end

        FileUtils.rm_f(found)
      end

      # Deletes those beyond a number or an age; copies made before a restore stay for a while.
      # @param keep [Integer] how many are kept
      # @param days [Integer] how many days
      def prune(keep:, days:, now: Time.now.utc)
        all
          .reject { |each| stays?(each, now) }
          .each_with_index do |each, index|
            drop(each.name, now: now) if index >= keep || (index.positive? && each.made_at < now - (days * 86_400))
          end
      end

      # Looks whether a file is a sound database of Up Tack.
      # @raise [Unsound]
      def self.check(path)
        database = SQLite3::Database.new(path, readonly: true)
        said = database.get_first_value("PRAGMA integrity_check")
        unless said == "ok"
          raise Unsound,
            Core::Messages["store.backups.copy_does_not_hold", reason: said.to_s.lines.first&.strip]
        end

        version = SystemTables.version(database)
        unless version
          raise Unsound,
            Core::Messages["store.backups.is_no_database_of_up_tack", file: File.basename(path)]
        end
        raise Unsound, SystemTables::TooNew.new.message if version > SystemTables.latest
      rescue SQLite3::Exception => e
        raise Unsound,
          Core::Messages[
            "store.backups.cant_be_read_as_database_of_up",
            file: File.basename(path),
            reason: e.message
          ]
      ensure
        database&.close
      end

      # Puts a copy in the place of what is in the database now, while it runs.
      # @param path [String] of a file that check has nothing against
      def self.restore(path)
        source = SQLite3::Database.new(path, readonly: true)
        Database.replace { |raw| run(SQLite3::Backup.new(raw, "main", source, "main"), -1) }
      ensure
        source&.close
      end

      # Copies a database while it is in use, into a file that is there.
      # @param pages [Integer] at a time; ALL as they are at one moment
      # @raise [Unsound]
      def self.copy(from, to, pages)
        source = SQLite3::Database.new(from, readonly: true)
        target = SQLite3::Database.new(to)
        run(SQLite3::Backup.new(target, "main", source, "main"), pages)
        # A copy is one file, with nothing beside it.
        target.execute("PRAGMA journal_mode = DELETE")
      ensure
        target&.close
        source&.close
      end

      # @api private
      def self.run(backup, pages)
        until (state = backup.step(pages)) == SQLite3::Constants::ErrorCode::DONE
          unless [
            SQLite3::Constants::ErrorCode::OK,
            SQLite3::Constants::ErrorCode::BUSY,
            SQLite3::Constants::ErrorCode::LOCKED
          ].include?(state)
            raise Unsound, uncopied(state)
          end

          Thread.pass
        end
      ensure
        backup.finish
      end

      # @return [String] why it could not be copied, as far as SQLite's code says it
      def self.uncopied(state)
        case state
        when SQLite3::Constants::ErrorCode::NOTADB then Core::Messages["store.backups.file_is_no_database"]
        when SQLite3::Constants::ErrorCode::FULL then Core::Messages["store.backups.disk_is_full"]
        else Core::Messages["store.backups.database_could_not_be_copied_sqlite_says", state: state]
        end
      end
      private_class_method :uncopied

      private

      def stays?(copy, now) = STAYING.include?(copy.why) && copy.made_at > now - (STAYS * 86_400)

      def copy(name)
        at, _, why = name.match(NAME)&.captures || return
        Copy.new(
          name: name,
          made_at: Time.strptime("#{at}+0000", "%Y%m%dT%H%M%S%z").utc,
          why: WHYS.fetch(why),
          bytes: File.size(File.join(@folder, name))
        )
      end

      def fresh(why, now)
        stem = "up_tack-#{now.strftime("%Y%m%dT%H%M%S")}"
        names = [nil, *1..999].lazy.map { |count| File.join(@folder, "#{stem}#{".#{count}" if count}-#{why}.sqlite3") }
        names.find { |path| !File.exist?(path) }
      end
    end
  end
end
