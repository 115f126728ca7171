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

        # @return [Hash{Symbol=>Hash}] help: what it is of, and value: the figure, nil where nobody knows
        def figures
          path = Store::Database.path
          {
            up_tack_jobs: {help: "Long work that goes on.", value: Jobs.going},
            up_tack_batches_being_written: {help: "Changes of many records that are being written.", value: batches},
            up_tack_log_position: {help: "Number of the latest entry of the change log.",
                                   value: Store::ChangeLog.latest},
            up_tack_design_revision: {help: "Number of the latest revision of the design.",
                                      value: Store::Revision.maximum(:id)},
            up_tack_database_bytes: {help: "Size of the database.", value: File.size?(path)},
            up_tack_journal_bytes: {help: "Size of what is not yet written into the database.",
                                    value: File.size?("#{path}-wal")},
            up_tack_disk_free_bytes: {help: "Room on the disk of the database.", value: Disk.free(path)},
            up_tack_last_backup_age_seconds: {help: "Seconds since the latest backup.", value: backup_age},
            up_tack_schedule_age_seconds: {help: "Seconds since the schedule last looked.", value: @schedule.age}
          }
        end

        private

        def batches = Store::RunningBatch.count
        def backup_age = Store::Backups.new.all.first&.then { |latest| (@now - latest.made_at).round }
      end
    end
  end
end
