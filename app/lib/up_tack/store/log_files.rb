# frozen_string_literal: true

module UpTack
  module Store
    # Older entries of the change log lie in files of their own beside the database, so that it stays small over years.
    # Whoever reads `up_tack_entries` or `up_tack_changed` reads those as well: each connection has the files attached,
    # and views in the place of the two tables. Who only needs the latest entry of a record, which never moves, or
    # writes, says `main.` before the name.
    #
    # The files that belong to a database stand in its settings. One that is a copy of another moment finds its entries
    # in any file that has them: files only grow, by being replaced.
    module LogFiles
      # A file. first, last:: numbers of its entries; seal:: of the last
      Part = Struct.new(:name, :first, :last, :seal) do
        # @return [Boolean] whether all of another one is in it
        def covers?(other) = first <= other.first && last >= other.last
      end

      # What the log says is not here.
      class Missing < StandardError; end

      FOLDER = "log"
      NAME = /\Aup_tack-log-(\d+)-(\d+)\.sqlite3\z/
      # The files of a database, and up to which entry its own tables may have let go of them.
      SETTING = "log_files"
      CLEARED = "log_cleared_to"
      TABLES = {"up_tack_entries" => "id", "up_tack_changed" => "COALESCE(last_id, entry_id)"}.freeze
      HELD = :@up_tack_log_files

      @mutex = Mutex.new

      class << self
        # @return [Array<Part>] the oldest first
        def all = held.map(&:first)

        # @return [Integer] number of the last entry that has moved, 0 where none has
        def last = all.last&.last.to_i

        # @return [Array<Part>] those that are not here
        def missing = held.filter_map { |part, path| part unless path }

        # @return [Array<Part>] those of which entries are nowhere else
        def lost = missing.select { |part| part.first <= Settings[CLEARED].to_i }

        # For whoever would tell something wrong without them.
        # @param parts [Array<Part>] that are not here
        # @return [void]
        # @raise [Missing]
        def complete!(parts = lost)
          parts.first&.then { |part| raise Missing, missing_text(part) }
        end

        # @param part [Part]
        # @return [String]
        def missing_text(part) =
          Core::Messages["store.log_files.is_missing", file: part.name, first: part.first, last: part.last,
            folder: folder]

        # @return [String]
        def folder = beside(Database.path)

        # @return [Integer] bytes of all files
        def bytes = held.sum { |_, path| path ? File.size(path) : 0 }

        # Names of the places in which entries lie, the newest first, each with the numbers of those that are there, as
        # this thread's connection reads them.
        # @return [Array<Array(String, Range)>]
        def places
          files = attached(Database.connection.raw_connection)
          places = files.each_with_index.filter_map { |(part, path), at| [schema(at), part.first..part.last] if path }
          [["main", (edge(files, Database.connection.raw_connection) + 1)..], *places.reverse]
        end

        # @param part [Part]
        # @return [String, nil] path of a file that has all of it
        def path(part)
          own = File.join(folder, part.name)
          return own if File.file?(own)

          named(folder)
            .filter_map { |other| File.join(folder, other.name) if other.covers?(part) }
            .find { |other| seal_in(other, part) == part.seal }
        end

        # @param folder [String]
        # @return [Array<Part>] the files in it, without their seals
        def named(folder)
          Dir.children(folder).filter_map do |name|
            first, last = name.match(NAME)&.captures
            Part.new(name, first.to_i, last.to_i) if first
          end
        rescue Errno::ENOENT
          []
        end

        # The files of one folder, into another that lacks them: beside a database or a copy of it.
        # @param source [String] need not be there
        # @param target [String]
        # @return [void]
        # @raise [SystemCallError]
        def copy_all(source, target)
          named(source).each do |part|
            from, to = [source, target].map { |folder| File.join(folder, part.name) }
            Backups.put(from, to, 0o400) unless File.size?(to)
          end
          drop_replaced(target)
          forget
        end

        # @param database [String] path of a database, or of a copy
        # @return [String] the folder beside it
        def beside(database) = File.join(File.dirname(database), FOLDER)

        # Deletes files of a folder whose entries all lie in a longer one. One that knows of other entries is of another
        # moment, which a restore has cut off here, and stays.
        # @return [void]
        def drop_replaced(folder = self.folder)
          parts = named(folder)
          seal = ->(part, other) { seal_in(File.join(folder, part.name), other) }
          replaced = parts.select do |other|
            parts.any? { |part| part != other && part.covers?(other) && seal[part, other] == seal[other, other] }
          end
          replaced.each { |part| FileUtils.rm_f(File.join(folder, part.name)) }
        end

        # Has a connection read through the files.
        # @param raw [SQLite3::Database]
        # @return [void]
        def follow(raw = Database.connection.raw_connection)
          wanted = [Database.path, held(raw)]
          before = raw.instance_variable_get(HELD)
          return if before == wanted || (before.nil? && wanted.last.empty?) || raw.transaction_active?

          detach(raw, before.last) if before
          attach(raw, wanted.last)
          raw.instance_variable_set(HELD, wanted)
        end

        # For the time of the block the two tables are those of the database alone, which is what migrations change.
        # @param raw [SQLite3::Database]
        # @yield
        def aside(raw)
          _, files = raw.instance_variable_get(HELD)
          drop_views(raw) if files
          yield.tap { make_views(raw, files) if files&.any? }
        end

        # What was remembered of the files may be past.
        # @return [void]
        def forget = @mutex.synchronize { @held = nil }

        private

        # @return [Array<Array(Part, String)>] each with its path, nil where it is not here
        def held(raw = Database.connection.raw_connection)
          path = Database.path
          known = @held
          return known.last if known && known.first == path

          found = read(raw).map { |part| [part, path(part)] }
          @mutex.synchronize { @held = [path, found] }
          found
        end

        def read(raw)
          JSON.parse(setting(raw, SETTING) || "[]").map { |values| Part.new(*values) }
        rescue SQLite3::SQLException
          [] # A file that is being begun, or is none of Up Tack.
        end

        # @return [Integer] number of the entry up to which all are read in the files: without the last of them, what
        #   has not left the database yet is read there
        def edge(files, raw)
          return files.last&.first&.last.to_i if files.empty? || files.last.last

          [setting(raw, CLEARED).to_i, *files[0...-1].map { |part, _| part.last }].max
        end

        def setting(raw, name)
          found = raw.query("SELECT value FROM up_tack_settings WHERE name = ?", [name])
          found.next&.then { |row| row.is_a?(Hash) ? row["value"] : row[0] }
        ensure
          found&.close
        end

        def attached(raw) = raw.instance_variable_get(HELD)&.last || []

        def schema(place) = "log_#{place}"

        def attach(raw, files)
          files.each_with_index do |(_, path), place|
            raw.execute("ATTACH DATABASE ? AS #{schema(place)}", [path]) if path
          end
          make_views(raw, files) if files.any?
        end

        def make_views(raw, files) = TABLES.each do |table, number|
          raw.execute("CREATE TEMP VIEW #{table} AS #{union(raw, files, table, number)}")
        end

        def drop_views(raw) = TABLES.each_key { |table| raw.execute("DROP VIEW IF EXISTS temp.#{table}") }

        def detach(raw, files)
          drop_views(raw)
          files.each_with_index { |(_, path), place| raw.execute("DETACH DATABASE #{schema(place)}") if path }
        end

        def union(raw, files, table, number)
          columns = columns(raw, "main", table)
          arms = files.each_with_index.filter_map do |(part, path), place|
            next unless path

            there = columns(raw, schema(place), table)
            # A file of an earlier version may lack some.
            told = columns.map { |name| there.include?(name) ? name : "NULL AS #{name}" }.join(", ")
            "SELECT #{told} FROM #{schema(place)}.#{table} WHERE #{number} BETWEEN #{part.first} AND #{part.last}"
          end
          own = "SELECT #{columns.join(", ")} FROM main.#{table} WHERE #{number} > #{edge(files, raw)}"
          [own, *arms].join(" UNION ALL ")
        end

        def columns(raw, schema, table) =
          raw.execute("PRAGMA #{schema}.table_info(#{table})").map { |row| row["name"] }

        def seal_in(path, part)
          file = SQLite3::Database.new(path, readonly: true)
          file.get_first_value("SELECT seal FROM up_tack_entries WHERE id = ?", [part.last])
        rescue SQLite3::Exception
          nil
        ensure
          file&.close
        end
      end

      Generation.on("log") { forget }
      Generation.on("all") { forget }
    end
  end
end
