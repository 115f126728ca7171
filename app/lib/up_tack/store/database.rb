# frozen_string_literal: true

module UpTack
  module Store
    # The connection to the one file, and the one lock for writing to it.
    module Database
      # Milliseconds for which a writer of another process is waited for.
      BUSY_TIMEOUT = 5_000

      # Writers of this process queue here: SQLite lets in one at a time anyway,
      # and waiting inside it would hold up every other thread.
      WRITING = Monitor.new

      # Names of tables and columns as they stand in SQL.
      QUOTED = {}

      # Connections at most: one for each thread that answers, and for work in the background.
      POOL = 48

      NOTED = :up_tack_noted

      # Pages of 4 kB that each connection remembers: those who answer have dozens of them, which would take hundreds
      # of megabytes, and the machine remembers the file anyway. A process that does long work has one.
      PAGES = 500
      PAGES_ALONE = 4_000
      # Of `PRAGMA auto_vacuum`: room that nothing needs any more can be given back bit by bit.
      INCREMENTAL = 2

      @opening = []

      class << self
        # @return [String] the file that is open
        attr_reader :path
      end

      module_function

      # Teaches a connection how formulas compare texts, so that sorting by it is
      # the same as comparing what is shown.
      def register_functions(connection)
        connection
          .raw_connection
          .create_function(
            "UP_TACK_FOLDED",
            1,
            SQLite3::Constants::TextRep::UTF8 | SQLite3::Constants::TextRep::DETERMINISTIC
          ) { |function, text| function.result = text.nil? ? nil : Core::Unicode.folded(text.to_s) }
      end

      # Opens the file, makes it if need be, and brings its system tables up to date; one of an older version is
      # copied before.
      # @param path [String]
      # @return [String, nil] path of that copy
      # @raise [Backups::Unsound] where it can't be made
      def open(path)
        FileUtils.mkdir_p(File.dirname(path))
        copy = Backups.new(path).make("upgrade") if SystemTables.older?(path)
        begin_file(path) unless File.size?(path)
        connect(path)
        # For this account alone; what SQLite puts beside it has the same mode.
        connection.raw_connection
        File.chmod(0o600, path)
        LogKey.prepare
        @preparing = true
        write { prepare }
        copy
      ensure
        @preparing = false
      end

      # What can be chosen only while a file is empty.
      def begin_file(path)
        file = SQLite3::Database.new(path)
        file.execute("PRAGMA auto_vacuum = #{INCREMENTAL}")
        file.execute("VACUUM")
      ensure
        file&.close
      end

      # Brings what is in the file up to date.
      def prepare
        LogFiles.aside(connection.raw_connection) { SystemTables.prepare(connection) }
        Resealing.follow_key
        # By which a backup is known as one of this database.
        Settings.cookie_key
        # A file of an older version lacks them.
        Indexes.follow(CompiledDesign.current.project) if Revision.exists?
        @opening.each(&:call)
      end

      # Opens a file that another process writes to, and reads only.
      # @param path [String]
      def open_readonly(path) = connect(path, readonly: true)

      def connect(path, more = {})
        @path = path
        ActiveRecord::Base.establish_connection({
          adapter: "sqlite3", database: path, pool: POOL, timeout: BUSY_TIMEOUT,
          default_transaction_mode: :immediate, pragmas: {synchronous: "full", cache_size: PAGES},
          use_metadata_table: false
        }.merge(more))
        register_on_checkout
      end

      # Once for each connection of the pool, when it is first taken out of it.
      def register_on_checkout
        return if @registering

        @registering = true
        taught = ObjectSpace::WeakMap.new
        ActiveRecord::ConnectionAdapters::SQLite3Adapter.set_callback(:checkout, :after) do |connection|
          raw = connection.raw_connection
          unless taught.key?(raw)
            # Named from the top: where code is loaded anew, this module may be another one by now.
            ::UpTack::Store::Database.register_functions(connection)
            # SQLite's own way of waiting would keep every other thread of this
            # process from going on, the one that it waits for among them.
            raw.busy_handler_timeout = BUSY_TIMEOUT
            ::UpTack::Store::Checkpoint.prepare(raw)
          end
          taught[raw] = true
          ::UpTack::Store::LogFiles.follow(raw)
        end
      end

      def close
        LogFiles.forget
        Statements.forget
        LogKey.forget
        ActiveRecord::Base.connection_handler.clear_all_connections!
      end

      # Puts something else in the place of all that is in the file, at once, while nobody writes. Processes notice
      # where it has another Generation; this one forgets what it remembers.
      # @yield [SQLite3::Database] the connection to write by
      def replace
        WRITING.synchronize { yield connection.raw_connection }
        Generation.forget("all")
      end

      # @yield is called once a file is open and has all the tables of this version, within the transaction
      def on_open(&block) = @opening << block

      # @return [ActiveRecord::ConnectionAdapters::AbstractAdapter]
      def connection = ActiveRecord::Base.connection

      # @param name [String] of a table or a column, as a field's key may be
      # @return [String] as it stands in SQL
      def quoted(name) = QUOTED[name] ||= connection.quote_table_name(name).freeze

      # Reads all of it as it is at one moment.
      # @yield
      # @return [Object] what the block gives
      def at_one_moment(&)
        raw = connection.raw_connection
        raw.transaction_active? ? yield : raw.transaction(:deferred, &)
      end

      # @return [Boolean] whether this thread is within a transaction that writes
      def writing? = !Thread.current[:up_tack_writing].nil?

      # Runs the block in one transaction; all of it is kept, or nothing.
      # @param savepoint [Boolean] whether an error takes back what the block did, though it be
      #   part of a greater transaction which goes on. Only there that needs a savepoint,
      #   beneath which SQLite writes down every page that it changes, twice as slowly.
      # @param soon [Boolean] whether it need not be on the disk yet when this is over
      def write(savepoint: false, soon: false, &block)
        return savepoint ? within(&block) : yield if writing?

        asked = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        Turn.wanted do
          WRITING.synchronize do
            relaxed(soon) do
              in_transaction do
                told_to_wait(asked)
                yield
              end
            end
          end
        end
      end

      # For whoever watches how long it is waited.
      def told_to_wait(since) =
        ActiveSupport::Notifications.instrument(
          "waited.up_tack", seconds: Process.clock_gettime(Process::CLOCK_MONOTONIC) - since
        )

      def in_transaction(&block)
        kept = false
        ActiveRecord::Base.transaction do
          with_connection_at_hand(&block).tap do
            Thread.current[NOTED]&.done
            kept = true
          end
        end
      ensure
        # What was remembered of a transaction that was given up may never have been.
        PersonNames.forget unless kept
      end

      # While the block runs, what this thread writes is noted with it.
      # @param note [#done] is told within each transaction, at its end
      def noting(note)
        Thread.current[NOTED] = note
        yield
      ensure
        Thread.current[NOTED] = nil
      end

      # @return [#done, nil] what is noted with what this thread writes
      def note = Thread.current[NOTED]

      # @return [#done, nil] what is noted, and no longer is: what is written in portions is done with the last one
      def set_aside_note = Thread.current[NOTED].tap { Thread.current[NOTED] = nil }

      def relaxed(soon)
        return yield unless soon

        connection.raw_connection.synchronous = 1
        begin
          yield
        ensure
          connection.raw_connection.synchronous = 2
        end
      end

      def within
        ActiveRecord::Base.transaction(requires_new: true) do
          connection.materialize_transactions
          yield
        end
      end

      # The connection need not be looked for again and again while it is written to.
      def with_connection_at_hand
        Thread.current[:up_tack_writing] = connection.raw_connection
        # Somebody else may have written while this waited.
        Generation.follow unless @preparing
        yield
      ensure
        Thread.current[:up_tack_writing] = nil
      end
    end
  end
end
