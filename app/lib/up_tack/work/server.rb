# frozen_string_literal: true

module UpTack
  module Work
    # The process that forks one for each piece of work. It has no thread but those that wait for them, and opens
    # no database. It ends when it is told to, or nobody is left who could ask, and leaves none of them behind.
    class Server
      # Seconds for what goes on to come to its end, and then for those that are told to end.
      ENDING = {"TERM" => 2, "KILL" => 1}.freeze

      # @param control [UNIXSocket] on which it is handed the other end of each line
      def initialize(control)
        @control = control
        @forked = []
      end

      # Runs once what every piece of work begins with, so that no forked process has to: in a database of its own,
      # which is closed before the first fork.
      # @return [void]
      def warm_up
        Dir.mktmpdir("up_tack_work") do |folder|
          Store::Database.open(File.join(folder, "empty.sqlite3"))
          Store::Person.first
          Store::Batch.first
          Store::Entry.first
          Store::Revision.first
        ensure
          Store::Database.close
        end
        ActiveRecord::Base.remove_connection
        GC.start
      end

      # @return [void]
      def run
        # Asked to end are those who ask it; their lines end with them.
        Signal.trap("INT", "IGNORE")
        loop do
          line = @control.recv_io(UNIXSocket)
          @forked << Process.detach(fork { serve(line) })
          line.close
          @forked.select!(&:alive?)
        end
      rescue SocketError, SystemCallError, SignalException
        end_forked
      end

      private

      # Nobody waits for them any more, which their lines have told them. What is cut off is undone at the next start.
      def end_forked
        Signal.trap("TERM", "IGNORE")
        ENDING.each do |signal, seconds|
          ends = now + seconds
          @forked.each { |each| each.join([ends - now, 0].max) }
          @forked.select(&:alive?).each { |each| Process.kill(signal, each.pid) }
        end
      rescue Errno::ESRCH
        retry
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      def serve(line)
        @control.close
        SemanticLogger.reopen
        Runner.new(line).run
      ensure
        exit!
      end
    end
  end
end
