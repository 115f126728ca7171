# frozen_string_literal: true

module UpTack
  module Work
    # Does one piece of work, in the process that was forked for it.
    class Runner
      # How much those who type go before what only reads. What is written has the lock now and then, and should not
      # have it for longer.
      NICE = 6

      # Tells how far it is, now and then.
      class Told < Progress
        EVERY = 0.1

        def initialize(&tell)
          @told_at = 0
          @tell = tell
          super do
            if done.zero? || now - @told_at > EVERY
              @told_at = now
              tell.call(:at, field, done, total)
            end
          end
        end

        def so_far(found) = @tell.call(:so_far, found)

        private

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end

      # @param line [UNIXSocket] to whoever asks
      def initialize(line)
        @line = line
        @turn = Mutex.new
      end

      # @return [void]
      def run
        @order = Wire.receive(@line)
        Core::Messages.language = @order.language
        prepare_beside if @order.divided?
        @progress = Told.new { |*message| tell(*message) }
        Thread.new { listen }
        Process.setpriority(Process::PRIO_PROCESS, 0, NICE) if @order.patient?
        Log.within(**@order.tags) { @order.tried? ? on_copy { work } : in_file { work } }
      rescue EOFError
        nil # Nobody waits for it.
      end

      private

      def work
        id, role = @order.person
        person = Store::Person.find(id).tap { |found| found.role = role }
        workspace = Workspace.new(person: person, apart: !@order.tried?)
        found = Store::Database.noting(@order.note) do
          TASKS.fetch(@order.task).call(workspace, @progress, **@order.arguments)
        end
        tell(:done, found)
      rescue => e
        failed(e)
      end

      def failed(error)
        tell(:failed, error)
      rescue TypeError
        tell(:failed, RuntimeError.new("#{error.class}: #{error.message}"))
      end

      def in_file
        Store::Database.connect(@order.path, pragmas: {synchronous: "full", cache_size: Store::Database::PAGES_ALONE})
        yield
      ensure
        Store::Database.close
        Beside.leave
      end

      # Nobody waits for the one lock while something is only tried.
      def on_copy
        @copy = Store::PrivateCopy.new(@order.path)
        @copy.open
        yield
      rescue Store::PrivateCopy::Failed => e
        failed(e)
      ensure
        Store::Database.close
        Beside.leave
        @copy&.drop
      end

      def prepare_beside
        line = @line
        Beside.prepare do |input, output|
          line.close
          UseCases::Imports::WorkerProcess.run(input, output)
        end
      end

      # Asked to stop, or left alone: what is only tried ends at once, what is written undoes what it has done.
      def listen
        Wire.receive(@line)
        stop
      rescue EOFError, SystemCallError
        stop
      end

      def stop
        return @progress.stop unless @order.harmless?

        @copy&.drop
        exit!
      end

      def tell(*message)
        @turn.synchronize { Wire.hand(message, @line) }
      rescue Errno::EPIPE, Errno::ECONNRESET
        @progress.stop
      end
    end
  end
end
