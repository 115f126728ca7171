# frozen_string_literal: true

module UpTack
  # Long work in the background of this process, which others can look at and stop. Forgotten some time after it
  # has ended. What other processes have to know of it while it goes on is in Store::Shared; whoever asks for a job
  # is led to its process, whose number its own begins with.
  module Jobs
    # Seconds for which the end of a job is remembered.
    MEMORY = 600
    # Pieces of work that one person can have going on at a time.
    MOST = 4

    # Somebody has as much going on as they may.
    class TooMany < StandardError
      def initialize = super(Core::Messages["app.jobs.you_have_pieces_of_long_work_going", most: MOST])
    end

    # What is the same work goes on in another process.
    class Elsewhere < StandardError
      # @return [String] number of the job
      attr_reader :id

      def initialize(id)
        @id = id
        super
      end
    end

    # Under which it is told, and seconds between two tellings of how far it is.
    TOLD = "job "
    EVERY = 0.25

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
        @begun_at = now
        @owner = owner
        @shared = shared
        @report = report
        @progress = Progress.new { tell_now_and_then }
        tell
        said = Log.tags
        @thread = Thread.new { Log.within(**said, job: id) { run(work) } }
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

        spent = now - @begun_at
        (spent / progress.done * (progress.total - progress.done)).ceil
      end

      # @param workspace [Workspace] of whoever asks, who is told what they may see
      # @return [Hash, Array, nil] what is told at the end; nil before, and where there is nothing to tell
      def report_to(workspace) = (!running? && error.nil? && @report) ? @report.call(result, workspace) : nil

      # @return [Hash{String=>Object}] what other processes are told of it
      def to_h = {"owner" => owner, "shared" => shared, "words" => words, "percent" => percent, "left" => seconds_left}

      private

      def tell_now_and_then
        tell if now - @told_at > EVERY
      end

      def tell
        @told_at = now
        Store::Shared.write("#{TOLD}#{id}", to_h, own: true)
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      def run(work)
        @result = work.call(progress)
      rescue => e
        @error = e
        # What people are told by a sentence is no failure of the program.
        Log["Jobs"].error("Work in the background failed", e) unless EXPECTED.any? { |kind| e.is_a?(kind) }
      ensure
        ActiveRecord::Base.connection_handler.clear_active_connections!
        @ended_at = now
        Store::Shared.delete("#{TOLD}#{id}")
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
      # @raise [Elsewhere] where the shared job goes on in another process
      def start(report = nil, owner: nil, shared: nil, words: nil, &work)
        @mutex.synchronize do
          forget_old
          Store::Shared.exclusively do
            going = Store::Shared.all(TOLD)
            id, = shared && going.find { |_, job| job["shared"] == shared }
            next known(id.delete_prefix(TOLD)) if id
            raise TooMany if owner && going.each_value.count { |job| job["owner"] == owner } >= MOST

            fresh = "#{Process.pid}-#{SecureRandom.uuid}"
            @jobs[fresh] = Job.new(fresh, report, owner, shared, words, &work)
          end
        end
      end

      # @return [Integer] how many go on, in whatever process
      def going = Store::Shared.all(TOLD).length

      # @return [Array<Hash{String=>Object}>] those that others have to wait for, in whatever process: "words",
      #   "percent" and seconds that are "left"
      def waited_for
        told = Store::Shared.all(TOLD).to_h { |name, job| [name.delete_prefix(TOLD), job] }
        # What goes on here is known to the instant.
        here = @mutex.synchronize { @jobs.select { |_, job| job.running? }.transform_values(&:to_h) }
        told.merge(here).values.select { |job| job["words"] }
      end

      # @return [Job]
      # @raise [Store::NotFound]
      def find(id) =
        @mutex.synchronize { @jobs[id] } ||
          raise(Store::NotFound, Core::Messages["common.there_is_no_such_job"])

      # @param id [String] of a job
      # @return [Integer] number of its process
      def process(id) = id.to_i

      # Asks all that go on in this process to end, and waits for it.
      # @param seconds [Numeric]
      # @return [Boolean] whether they have
      def stop_all(seconds)
        going = @mutex.synchronize { @jobs.values.select(&:running?) }
        going.each { |job| job.progress.stop }
        until_when = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
        going.all? { |job| job.wait([until_when - Process.clock_gettime(Process::CLOCK_MONOTONIC), 0].max) }
      end

      private

      def known(id) = @jobs[id] || raise(Elsewhere.new(id))

      def forget_old
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        @jobs.reject! { |_, job| job.ended_at && now - job.ended_at > MEMORY }
      end
    end
  end
end
