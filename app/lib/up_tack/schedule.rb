# frozen_string_literal: true

require "rufus-scheduler"

module UpTack
  # What happens by itself while the application runs. It only asks every minute;
  # what is due is said by the application's own clock.
  module Schedule
    # Seconds without a look after which it has stopped.
    STALLED = 300

    # Seconds between two looks, and after which another process may do it that was not the one before.
    EVERY = 60
    TAKE_OVER = 5
    # Seconds between two looks whether webhooks are to be told of something.
    TELL = 1
    LOOKED = "schedule looked"

    class << self
      # Several processes may; one of them does it, and another one once that has ended.
      # @return [Rufus::Scheduler]
      def start
        Store::Checkpoint.leave
        Store::Shared.write(LOOKED, now - EVERY) unless Store::Shared[LOOKED]
        Rufus::Scheduler.new.tap do |scheduler|
          scheduler.every("#{TAKE_OVER}s", first: :now, overlap: false) { look if mine? && due_by_now? }
          scheduler.every("#{TELL}s", overlap: false) { tell if mine? }
          scheduler.every("#{TELL}s", overlap: false) { tidy_file if mine? }
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
        @looked = now
        Store::Shared.write(LOOKED, now) if Store::Shared[LOOKED]
        ActiveRecord::Base.connection_handler.clear_active_connections!
      end

      # Tells webhooks what was saved since.
      # @return [void]
      def tell
        return unless Store::Webhook.exists?(active: true)

        person = Store::Person.order(:id).first or return
        UseCases::Webhooks::Deliver.due(Workspace.new(person: person))
      rescue => e
        Log["Schedule"].error("webhooks failed", e)
      ensure
        ActiveRecord::Base.connection_handler.clear_active_connections!
      end

      # Brings into the file what waits beside it.
      # @return [void]
      def tidy_file
        waiting = Store::Checkpoint.waiting
        return if waiting < Store::Checkpoint::WORTH
        return Store::Checkpoint.call if waiting < Store::Checkpoint::LONG

        person = Store::Person.order(:id).first or return
        Work.call("checkpoint", {}, person: person, progress: Progress.none)
      rescue => e
        Log["Schedule"].error("checkpoint failed", e)
      ensure
        ActiveRecord::Base.connection_handler.clear_active_connections!
      end

      # @return [Boolean] whether it was started and has stopped since; work that takes long counts
      def stalled? = age.then { |seconds| !seconds.nil? && seconds > STALLED }

      # @return [Float, nil] seconds since it last looked; nil where it was not started
      def age = Store::Shared[LOOKED]&.then { |looked| now - looked }

      # @return [Boolean] whether it is this process that does it: the lock is released with the process
      def mine?
        @lock ||= File.open("#{Store::Database.path}.schedule", File::RDWR | File::CREAT, 0o600)
        @mine ||= @lock.flock(File::LOCK_EX | File::LOCK_NB) == 0
      end

      # @return [Float] seconds that no change of the clock moves
      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      private

      def due_by_now? = now - [@looked, Store::Shared[LOOKED]].compact.max.to_f >= EVERY

      # @return [Hash{String=>Proc}]
      def due(workspace)
        {
          "signed end of the log" => -> { Store::Head.note(workspace.clock) },
          "unfinished changes" => -> { UseCases::Maintenance::UndoLeft.call },
          "backups" => -> do
            due = UseCases::Maintenance::Backups.new(workspace.clock).due?
            Work.call("backup when due", {}, person: workspace.person, progress: Progress.none) if due
          end,
          "proven restore" => -> do
            due = UseCases::Maintenance::ProveRestore.due?(workspace.clock.now)
            Work.call("prove restore", {}, person: workspace.person, progress: Progress.none) if due
          end,
          "older entries of the log" => -> do
            due = UseCases::Maintenance::MoveLog.new(workspace.clock).due?
            Work.call("move log", {}, person: workspace.person, progress: Progress.none) if due
          end,
          "size" => -> { UseCases::Maintenance::Space.note(workspace.clock) },
          "what is kept no longer" => -> { UseCases::Maintenance::Ageing.call(workspace.clock) },
          "notices" => -> { UseCases::Maintenance::SendNotices.new(workspace).call },
          "waiting files" => -> { UseCases::Imports::Uploads.forget_old },
          "what processes tell one another" => -> { Store::Shared.sweep }
        }
      end
    end
  end
end
