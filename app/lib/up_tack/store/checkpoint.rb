# frozen_string_literal: true

module UpTack
  module Store
    # SQLite writes into a log beside the file first, and from there into the file when somebody commits and there is
    # much: after a change of hundreds of thousands of records that would be a clerk, whose process stands still for as
    # long as it takes. Where the schedule runs it sees to that instead.
    module Checkpoint
      # Pages of the log from which on it is worth it, and from which on it takes so long that another process does it.
      WORTH = 1_000
      LONG = 4_000
      # Pages at which whoever commits does it after all, since nobody else has.
      AFTER_ALL = 250_000
      # Where the index of the log (the file -shm) tells how many pages it has, and how many are in the file already;
      # see "The WAL-Index Header" of SQLite's WAL-mode file format.
      PAGES = 16
      DONE = 96

      class << self
        # From now on, connections of this process leave it to the schedule.
        # @return [void]
        def leave = @left = true

        # @param raw [SQLite3::Database] a new connection
        # @return [void]
        def prepare(raw) = @left && raw.execute("PRAGMA wal_autocheckpoint = #{AFTER_ALL}")

        # @return [Integer] pages that are not in the file yet
        def waiting
          index = File.binread("#{Database.path}-shm", DONE + 4)
          (index.length < DONE + 4) ? 0 : index[PAGES, 4].unpack1("L") - index[DONE, 4].unpack1("L")
        rescue Errno::ENOENT
          0
        end

        # Brings them there, as far as nobody reads what was before.
        # @return [void]
        def call = Database.connection.raw_connection.execute("PRAGMA wal_checkpoint(PASSIVE)")
      end
    end
  end
end
