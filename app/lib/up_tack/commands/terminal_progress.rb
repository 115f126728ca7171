# frozen_string_literal: true

module UpTack
  module Commands
    # Shows on a terminal how far long work is, in one line that is written over.
    class TerminalProgress < Progress
      # Seconds between two looks.
      PAUSE = 0.2

      # @param out [IO] a terminal
      def initialize(out)
        super()
        @out = out
        @shown_at = 0
      end

      def advance(count)
        super
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        return if now - @shown_at < PAUSE

        @shown_at = now
        @out.print("\r#{field}: #{done} / #{total}\e[K")
      end

      # Clears the line for what comes after it.
      def finish = @out.print("\r\e[K")
    end
  end
end
