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
      attr_reader :id, :owner, :shared, :progress, :result, :error, :ended_at

      # @param report [Proc, nil] gives what is told at the end, from the result and the workspace of whoever asks
      # @param owner [Integer, nil] number of the person whose work it is
      # @param shared [String, nil] the name under which it is everybody's
      def initialize(id, report, owner = nil, shared = nil, &work)
        @id = id
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
      # @yield [progress] the work; what it gives is the job's result
      # @return [Job] begun
      # @raise [TooMany]
      def start(report = nil, owner: nil, shared: nil, &work)
        @mutex.synchronize do
          forget_old
          running = shared && @jobs.each_value.find { |job| job.shared == shared && job.running? }
          next running if running
          raise TooMany if owner && @jobs.each_value.count { |job| job.owner == owner && job.running? } >= MOST

          id = SecureRandom.uuid
          @jobs[id] = Job.new(id, report, owner, shared, &work)
        end
      end

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
