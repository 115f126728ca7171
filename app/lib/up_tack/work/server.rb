# frozen_string_literal: true

module UpTack
  module Work
    # The process that forks one for each piece of work. It has no thread but those that wait for them, and opens
    # no database. It ends when nobody is left who could ask.
    class Server
      # @param control [UNIXSocket] on which it is handed the other end of each line
      def initialize(control)
        @control = control
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
          Process.detach(fork { serve(line) })
          line.close
        end
      rescue SocketError, SystemCallError
        nil
      end

      private

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
