# frozen_string_literal: true

require "open3"

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

        # @return [Hash{Symbol=>Boolean}] database: (read and written), disk: (has space), schedule: (runs)
        def call = {database: database?, disk: disk?, schedule: !@schedule.stalled?}

        private

        # No lock is taken: somebody who saves must not make it look broken.
        def database?
          path = Store::Database.path
          File.writable?(path) && File.writable?(File.dirname(path)) &&
            Store::Database.connection.select_value("SELECT 1") == 1
        rescue ActiveRecord::ActiveRecordError, SQLite3::Exception
          false
        end

        # What `df` says, in its portable form (POSIX); where it says nothing, nothing is known to be wrong.
        def disk?
          text, status = Open3.capture2("df", "-Pk", File.dirname(Store::Database.path), err: File::NULL)
          free = status.success? && text.lines.last.to_s.split[3]
          !free || Integer(free, 10) * 1024 >= ROOM
        rescue SystemCallError, ArgumentError
          true
        end
      end
    end
  end
end
