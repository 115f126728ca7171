# frozen_string_literal: true

require "sqlite3"

module UpTack
  module UseCases
    module Maintenance
      # Whether Up Tack can do its work here and now, for whatever watches over it.
      class Readiness
        # Bytes that a disk must have left.
        ROOM = 100 * 1024 * 1024

        # @param schedule [#stalled?] what is done by the clock
        def initialize(schedule)
          @schedule = schedule
        end

        # @return [Hash{Symbol=>Boolean}] database: (read and written), disk: (has space), schedule: (runs), backup:
        #   (one is young enough)
        def call
          {database: database?, disk: disk?, schedule: !@schedule.stalled?, backup: known {
            !Backups.new(Clock.new("UTC")).late?
          }}
        end

        private

        # No lock is taken: somebody who saves must not make it look broken.
        def database?
          path = Store::Database.path
          File.writable?(path) && File.writable?(File.dirname(path)) &&
            Store::Database.connection.select_value("SELECT 1") == 1
        rescue ActiveRecord::ActiveRecordError, SQLite3::Exception
          false
        end

        # Where the database can't be asked, that is what is told.
        def known
          yield
        rescue ActiveRecord::ActiveRecordError, SQLite3::Exception
          true
        end

        # Where nothing is known, nothing is known to be wrong.
        def disk? = (free = Disk.free(Store::Database.path)).nil? || free >= ROOM
      end
    end
  end
end
