# frozen_string_literal: true

module UpTack
  # Sees to it that all proofs are run whenever the design has changed, in a process of its own. One run at a time,
  # whichever process asks for it; a change meanwhile begins it again.
  module Proving
    # How far the present run is.
    Stand = Struct.new(:done, :total)

    # Under which processes tell one another that proofs are wanted, also where they ran already, and how far they are.
    WANTED = "proofs wanted"
    AGAIN = "proofs wanted again"
    STAND = "proofs"

    @mutex = Mutex.new

    class << self
      # Sees to it that the proofs are run against the latest design.
      # @param again [Boolean] also where they were already
      def wake(again: false)
        Store::Shared.write(AGAIN, true) if again
        Store::Shared.write(WANTED, true)
        @mutex.synchronize do
          next if @thread&.alive?

          @thread = Thread.new { work }
          @thread.report_on_exception = false
        end
      end

      # @return [Stand, nil] nil while nothing runs
      def progress = Store::Shared[STAND]&.then { |done, total| Stand.new(done, total) }

      # Ends what this process runs.
      def stop
        @mutex.synchronize do
          @thread&.kill
          @thread&.join
          @thread = nil
        end
        [WANTED, AGAIN, STAND].each { |name| Store::Shared.delete(name) }
      end

      # Waits until everything is proven.
      # @param seconds [Numeric]
      # @return [Boolean] whether it is
      def join(seconds = 60) = (thread = @thread).nil? || !thread.join(seconds).nil?

      private

      def work
        path = Store::Database.path
        alone { run while wanted? && path == Store::Database.path } until ended?
      rescue Store::NotFound
        nil # There is no project yet.
      rescue => e
        Log["Proving"].error("The proofs could not be run", e)
      ensure
        ActiveRecord::Base.connection_handler.clear_active_connections!
      end

      # What is wanted in the very instant in which it ends is seen to as well.
      def ended? = @mutex.synchronize { !Store::Shared[WANTED] && (@thread = nil).nil? }

      # One process after the other; the lock is released with the process.
      def alone
        File.open("#{Store::Database.path}.proving", File::RDWR | File::CREAT, 0o600) do |lock|
          yield if lock.flock(File::LOCK_EX)
        end
      ensure
        Store::Shared.delete(STAND)
      end

      def wanted? = Store::Shared[WANTED].tap { |wanted| Store::Shared.delete(WANTED) if wanted }

      def run
        person = Store::Person.order(:id).first or return
        again = !Store::Shared[AGAIN].nil?
        Store::Shared.delete(AGAIN) if again
        stand = Progress.new { Store::Shared.write(STAND, [stand.done, stand.total], own: true) }
        Work.call("prove", {again: again}, person: person, progress: stand)
      end
    end
  end
end
