# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Whether Up Tack can do its work here and now, for whatever watches over it.
      class Readiness
        # Bytes that a disk must have left.
        ROOM = 100 * 1024 * 1024
        # Times the usual span after which a backup is missed.
        ALARM = 3

        # @param schedule [#stalled?] what is done by the clock
        def initialize(schedule)
          @schedule = schedule
        end

        # @return [Hash{Symbol=>Boolean}] database: (read and written), disk: (has space), schedule: (runs), backup:
        #   (one is young enough)
        def call = {database: database?, disk: disk?, schedule: !@schedule.stalled?, backup: known { backup? }}

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

        def backup?
          settings = Backups.new(nil).settings
          return true if settings["every"] == "never"

          latest = Store::Backups.new.all.first&.made_at || Store::Revision.minimum(:made_at)
          latest.nil? || Time.now.utc - latest < ALARM * Backups::SPANS.fetch(settings["every"])
        end
      end
    end
  end
end
