# frozen_string_literal: true

module UpTack
  module Store
    # How long one question may take in this thread. Whatever goes through records one by one looks at it
    # with each, so that no condition, however dear, holds the server for longer.
    module Deadline
      KEY = :up_tack_deadline
      # Seconds for one question.
      USUAL = 20

      # The question took too long.
      class Passed < StandardError
        def initialize = super("This took too long and was stopped. Ask for fewer records, or by a simpler condition.")
      end

      module_function

      # @param seconds [Numeric]
      # @yield the work that must come to an end by then
      # @raise [Passed]
      def within(seconds = USUAL)
        before = Thread.current[KEY]
        Thread.current[KEY] = [now + seconds, before].compact.min
        yield
      ensure
        Thread.current[KEY] = before
      end

      # @raise [Passed] once the time is over; never where none is set
      def look
        ends = Thread.current[KEY]
        raise Passed if ends && now > ends
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
