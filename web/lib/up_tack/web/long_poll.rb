# frozen_string_literal: true

module UpTack
  module Web
    # Questions that wait for something to happen. Each takes a thread, of which so many are left for those who type
    # and save; whoever comes when all places are taken is answered at once.
    module LongPoll
      # Questions at a time in one process, seconds for which one may wait, and seconds between two looks.
      MOST = 6
      LONGEST = 30
      LOOK = 0.2

      @waiting = 0
      @mutex = Mutex.new

      class << self
        # @param seconds [Integer]
        # @yield [] whether it has happened
        # @return [void] when it has, when the time is over, or when the server is to end
        def wait(seconds)
          return unless seconds.positive? && @mutex.synchronize { (@waiting < MOST) && @waiting += 1 }

          begin
            over = now + [seconds, LONGEST].min
            sleep(LOOK) until now > over || ending? || within { yield }
          ensure
            @mutex.synchronize { @waiting -= 1 }
          end
        end

        private

        def within(&)
          Store::Deadline.within(&)
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end

        # Whoever waits keeps no server from its end.
        def ending? = defined?(Puma::Server) && Puma::Server.current&.shutting_down?

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end
  end
end
