# frozen_string_literal: true

module UpTack
  module Store
    # A change of many records that is being written in portions, or was when its process ended. That it goes on
    # is told by a lock on a file, which is released with the process, however it ends.
    class RunningBatch < SystemRecord
      self.table_name = "up_tack_running"
      self.primary_key = "batch_id"

      belongs_to :batch, class_name: "UpTack::Store::Batch"

      # Somebody wants what a running change keeps from others.
      class Busy < StandardError
        # @return [RunningBatch]
        attr_reader :running

        # @param running [RunningBatch]
        def initialize(running)
          @running = running
          super(Core::Messages["store.running_batch.many_records_are_being_written"])
        end

        # @return [Integer] seconds after which it is worth another try
        def wait = running.seconds_left || 5
      end

      class << self
        # Within the transaction that makes the batch.
        # @param batch [Batch]
        # @param total [Integer] records, about
        # @param revision [Integer, nil] the design that the change has begun with, where it has made that
        # @return [RunningBatch]
        def begin(batch, total, revision: nil)
          @lock = File.open(lock_path(batch.id), File::RDWR | File::CREAT, 0o600)
          @lock.flock(File::LOCK_EX | File::LOCK_NB)
          @lock.write(Process.pid)
          @lock.flush
          create!(batch_id: batch.id, began_at: Time.now.utc, done: 0, total: total, revision_id: revision)
        end

        # @return [RunningBatch, nil] one that others write right now, or left
        def other = any_left? ? where.not(batch_id: Journal.batch).includes(:batch).first : nil

        # @raise [Busy] while one is being written
        def none! = other&.then { |running| raise Busy.new(running) }

        # @param table [Core::Design::Table]
        # @param record [Integer]
        # @raise [Busy] where an unfinished change has touched the record
        def check(table, record)
          return if Journal.batch || !any_left?

          holder = Journal.holder(table.id, record) or return
          find_by(batch_id: holder)&.then { |running| raise Busy.new(running) }
        end

        # @param patient [Boolean] whether to wait for processes that are still at it
        # @return [Array<RunningBatch>] those whose processes have ended
        def left(patient: false)
          order(batch_id: :desc).select { |running| free?(running.batch_id, patient) }
        end

        def lock_path(id) = "#{Database.path}.batch-#{id}"

        private

        def any_left? = Statements.run("SELECT 1 FROM up_tack_running LIMIT 1").any?

        def free?(id, patient)
          File.open(lock_path(id), File::RDWR | File::CREAT, 0o600) do |file|
            file.flock(patient ? File::LOCK_EX : File::LOCK_EX | File::LOCK_NB) == 0
          end
        end
      end

      # @param count [Integer] of records that were written
      # @return [void]
      def advance(count)
        self.done += count
        Statements.run("UPDATE up_tack_running SET done = ? WHERE batch_id = ?", done, batch_id)
      end

      # It has come to its end, or was undone.
      # @return [void]
      def end
        Statements.run("DELETE FROM up_tack_running WHERE batch_id = ?", batch_id)
      end

      # What others need no longer, once it has ended.
      # @return [void]
      def forget = FileUtils.rm_f(RunningBatch.lock_path(batch_id))

      # @return [Integer, nil] of hundred; nil while nobody knows
      def percent = total.positive? ? [done * 100 / total, 99].min : nil

      # @return [Integer, nil] seconds, about
      def seconds_left
        return if done.zero? || total <= done

        ((Time.now.utc - began_at) / done * (total - done)).ceil
      end

      # @return [String] who writes what
      def words =
        Core::Messages["store.running_batch.is_writing", what: batch.summary, whom: batch.person_name]
    end
  end
end
