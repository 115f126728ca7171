# frozen_string_literal: true

module UpTack
  # Long work in the background of this process, which others can look at and
  # stop. Forgotten some time after it has ended.
  module Jobs
    # Seconds for which the end of a job is remembered.
    MEMORY = 600
    # Pieces of work that one person can have going on at a time.
    MOST = 4

    # Somebody has as much going on as they may.
    class TooMany < StandardError
      def initialize = super(Core::Messages["app.jobs.you_have_pieces_of_long_work_going", most: MOST])
    end

    # How work may end by itself: stopped, refused, or without what it needs.
    EXPECTED = [
      Progress::Stopped, Core::Invalid, Services::NotAllowed, Services::Portions::Overtaken, Store::NotFound,
      Store::RunningBatch::Busy, Interchange::Unreadable
    ].freeze

    # One piece of work.
    class Job
      attr_reader :id, :owner, :shared, :words, :progress, :result, :error, :ended_at

      # @param report [Proc, nil] gives what is told at the end, from the result and the workspace of whoever asks
      # @param owner [Integer, nil] number of the person whose work it is
      # @param shared [String, nil] the name under which it is everybody's
      # @param words [String, nil] what others are told who have to wait for it; nil where nobody has to
      def initialize(id, report, owner = nil, shared = nil, words = nil, &work)
        @id = id
        @words = words
        @begun_at = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        @owner = owner
        @shared = shared
        @report = report
        @progress = Progress.new
        @thread = Thread.new { run(work) }
        @thread.report_on_exception = false
      end

      # @param seconds [Numeric]
      # @return [Boolean] whether it has ended by then
      def wait(seconds) = !@thread.join(seconds).nil?

      def running? = @ended_at.nil?

      # @return [Integer, nil] of hundred; nil while nobody knows
      def percent = progress.total.positive? ? [progress.done * 100 / progress.total, 99].min : nil

      # @return [Integer, nil] seconds, about
      def seconds_left
        return if progress.done.zero? || progress.total <= progress.done

        spent = Process.clock_gettime(Process::CLOCK_MONOTONIC) - @begun_at
        (spent / progress.done * (progress.total - progress.done)).ceil
      end

      # @param workspace [Workspace] of whoever asks, who is told what they may see
      # @return [Hash, Array, nil] what is told at the end; nil before, and where there is nothing to tell
      def report_to(workspace) = (!running? && error.nil? && @report) ? @report.call(result, workspace) : nil

      private

      def run(work)
        @result = work.call(progress)
      rescue => e
        @error = e
        # What people are told by a sentence is no failure of the program.
        Log["Jobs"].error("Work in the background failed", e) unless EXPECTED.any? { |kind| e.is_a?(kind) }
      ensure
        ActiveRecord::Base.connection_handler.clear_active_connections!
        @ended_at = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end

    @jobs = {}
    @mutex = Mutex.new

    class << self
      # @param report [Proc, nil] see Job
      # @param shared [String, nil] a name under which whoever asks while it runs gets the same job
      # @param words [String, nil] see Job
      # @yield [progress] the work; what it gives is the job's result
      # @return [Job] begun
      # @raise [TooMany]
      def start(report = nil, owner: nil, shared: nil, words: nil, &work)
        @mutex.synchronize do
          forget_old
          running = shared && @jobs.each_value.find { |job| job.shared == shared && job.running? }
          next running if running
          raise TooMany if owner && @jobs.each_value.count { |job| job.owner == owner && job.running? } >= MOST

          id = SecureRandom.uuid
          @jobs[id] = Job.new(id, report, owner, shared, words, &work)
        end
      end

      # @return [Array<Job>] those that others have to wait for
      def waited_for = @mutex.synchronize { @jobs.each_value.select { |job| job.words && job.running? } }

      # @return [Job]
      # @raise [Store::NotFound]
      def find(id) =
        @mutex.synchronize { @jobs[id] } ||
          raise(Store::NotFound, Core::Messages["common.there_is_no_such_job"])

      private

      def forget_old
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        @jobs.reject! { |_, job| job.ended_at && now - job.ended_at > MEMORY }
      end
    end
  end
end
