# frozen_string_literal: true

require "rufus-scheduler"

module UpTack
  # What happens by itself while the application runs. It only asks every minute;
  # what is due is said by the application's own clock.
  module Schedule
    # Seconds without a look after which it has stopped.
    STALLED = 300

    module_function

    # @return [Rufus::Scheduler]
    def start
      @looked_at = now
      Rufus::Scheduler.new.tap do |scheduler|
        scheduler.every("1m", first: :now, overlap: false) { look }
      end
    end

    # Does what is due, one after the other: what goes wrong in one must not keep the others from being done.
    # @return [void]
    def look
      person = Store::Person.order(:id).first or return
      workspace = Workspace.new(person: person)
      due(workspace).each do |name, work|
        work.call
      rescue => e
        Log["Schedule"].error("#{name} failed", e)
      end
    ensure
      @looked_at = now if @looked_at
      ActiveRecord::Base.connection_handler.clear_active_connections!
    end

    # @return [Boolean] whether it was started and has stopped since; work that takes long counts
    def stalled? = !@looked_at.nil? && now - @looked_at > STALLED

    # @return [Float] seconds that no change of the clock moves
    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    # @return [Hash{String=>Proc}]
    def due(workspace)
      {
        "signed end of the log" => -> { Store::Head.note(workspace.clock) },
        "unfinished changes" => -> { Services::Rollback.left },
        "backups" => -> do
          due = UseCases::Maintenance::Backups.new(workspace.clock).due?
          Work.call("backup when due", {}, person: workspace.person, progress: Progress.none) if due
        end,
        "notices" => -> { UseCases::Maintenance::SendNotices.new(workspace).call },
        "waiting files" => -> { UseCases::Imports::Uploads.forget_old }
      }
    end
  end
end
