# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # How things stand at this moment, in numbers for whatever watches over the program.
      class State
        # @param schedule [#age] what is done by the clock
        # @param now [Time]
        def initialize(schedule, now: Time.now.utc)
          @schedule = schedule
          @now = now
        end

        # @return [Hash{Symbol=>Array(String, Numeric)}] what it is of, and the figure; nil where nobody knows
        def figures
          path = Store::Database.path
          {
            up_tack_jobs: ["Long work that goes on.", Jobs.going],
            up_tack_batches_being_written: ["Changes of many records that are being written.", batches],
            up_tack_log_position: ["Number of the latest entry of the change log.", Store::ChangeLog.latest],
            up_tack_design_revision: ["Number of the latest revision of the design.", Store::Revision.maximum(:id)],
            up_tack_database_bytes: ["Size of the database.", File.size?(path)],
            up_tack_journal_bytes: ["Size of what is not yet written into the database.", File.size?("#{path}-wal")],
            up_tack_disk_free_bytes: ["Room on the disk of the database.", Disk.free(path)],
            up_tack_last_backup_age_seconds: ["Seconds since the latest backup.", backup_age],
            up_tack_schedule_age_seconds: ["Seconds since the schedule last looked.", @schedule.age]
          }
        end

        private

        def batches = Store::RunningBatch.count
        def backup_age = Store::Backups.new.all.first&.then { |latest| (@now - latest.made_at).round }
      end
    end
  end
end
