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

      class << self
        # @return [String] the file that is open
        attr_reader :path
      end

      module_function

      # Opens the file, makes it if need be, and brings its system tables up to date.
      # @param path [String]
      def open(path)
        FileUtils.mkdir_p(File.dirname(path))
        @path = path
        ActiveRecord::Base.establish_connection(
          adapter: "sqlite3", database: path, pool: 16, timeout: BUSY_TIMEOUT,
          default_transaction_mode: :immediate, pragmas: {synchronous: "full"}
        )
        write { SystemTables.prepare(connection) }
      end

      def close = ActiveRecord::Base.connection_handler.clear_all_connections!

      # @return [ActiveRecord::ConnectionAdapters::AbstractAdapter]
      def connection = ActiveRecord::Base.connection

      # Runs the block in one transaction; all of it is kept, or nothing.
      def write(&block)
        WRITING.synchronize { ActiveRecord::Base.transaction(&block) }
      end
    end
  end
end
