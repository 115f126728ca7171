# frozen_string_literal: true

module UpTack
  module Store
    # How long one question may take in this thread. Whatever goes through records one by one looks at it
    # with each, so that no condition, however dear, holds the server for longer. A question that is not
    # answered quickly goes on only while few others do, and waits for its turn otherwise.
    module Deadline
      KEY = :up_tack_deadline
      # Seconds for one question.
      USUAL = 20
      # Seconds of work after which a question counts as a long one, and how many of those go on at a time. On a busy
      # machine each takes longer by the clock: then short ones would wait for their turn as well.
      QUICK = 0.05
      TOGETHER = 2
      # Seconds of work after which others that wait go on first: Ruby itself lets a thread go on for 100 ms.
      SLICE = 0.005
      # Seconds for which a question waits while somebody types or saves, and after which they are no longer
      # waited for: what takes longer is long work itself.
      PAUSE = 0.03
      HURRY = 1
      # For those who know nothing of the store.
      LOOK = -> { look }

      # A question in this thread.
      # ends:: moment of the monotonic clock; looked:: the one at which its work was looked at
      # long, gave_way:: moments of the clock that counts what the thread works; turn:: whether it holds a turn
      Question = Struct.new(:ends, :looked, :long, :gave_way, :turn)

      # The question took too long.
      class Exceeded < StandardError
        def initialize = super(Core::Messages["store.deadline.took_too_long_and_was_stopped"])
      end

      @turns = Mutex.new
      @free = ConditionVariable.new
      @calm = ConditionVariable.new
      @hurrying = {}.compare_by_identity
      @going = 0

      module_function

      # @param seconds [Numeric, nil] nil for what may take as long as it takes, such as a file that is handed out
      # @yield the work that must come to an end by then
      # @raise [Exceeded]
      def within(seconds = USUAL)
        before = Thread.current[KEY]
        return yield if before

        Thread.current[KEY] = Question.new(seconds && (now + seconds), now, worked + QUICK, worked, false)
        yield
      ensure
        if before.nil?
          rest
          Thread.current[KEY] = nil
        end
      end

      # @return [nil]
      # @raise [Exceeded] once the time is over; never where none is set
      def look
        question = Thread.current[KEY] or return
        moment = now
        raise Exceeded if question.ends && moment > question.ends
        return if moment - question.looked < SLICE || Database.writing?

        question.looked = moment
        look_at_work(question)
      end

      # No more was worked than time has passed.
      def look_at_work(question)
        moment = worked
        wait_for_turn(question) if !question.turn && moment > question.long
        give_way(question) if moment - question.gave_way > SLICE
        nil
      end

      # What takes as long as there are records, such as writing a file, has no end of its own; it still gives
      # way, and has its turn like the others.
      # @yield
      def unhurried
        question = Thread.current[KEY] or return yield
        ends, question.ends = question.ends, nil
        begin
          yield
        ensure
          question.ends = ends && [ends, now + QUICK].max
        end
      end

      # @return [Numeric, nil] seconds that are left
      def left = Thread.current[KEY]&.ends&.then { |ends| ends - now }

      # Lets others have their turn, while nothing is done for this question.
      # @return [void]
      def rest
        question = Thread.current[KEY]
        return unless question&.turn

        question.turn = false
        Deadline.turns.synchronize do
          Deadline.going -= 1
          Deadline.free.signal
        end
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      def worked = Process.clock_gettime(Process::CLOCK_THREAD_CPUTIME_ID)

      def give_way(question)
        Deadline.hurried? ? Deadline.turns.synchronize { Deadline.calm.wait(Deadline.turns, PAUSE) } : Thread.pass
        question.gave_way = worked
        question.looked = now
      end

      # @yield what somebody types or saves, to whom questions give way
      def hurry
        begun = Object.new
        Deadline.turns.synchronize { Deadline.hurrying[begun] = now }
        yield
      ensure
        Deadline.turns.synchronize do
          Deadline.hurrying.delete(begun)
          Deadline.calm.broadcast if Deadline.hurrying.empty?
        end
      end

      def wait_for_turn(question)
        Deadline.turns.synchronize do
          while Deadline.going >= TOGETHER
            raise Exceeded if question.ends && now > question.ends

            Deadline.free.wait(Deadline.turns, question.ends && [question.ends - now, 0.01].max)
          end
          Deadline.going += 1
        end
        question.turn = true
      end

      class << self
        # @api private
        attr_reader :turns, :free, :calm, :hurrying
        # @api private
        attr_accessor :going

        # @return [Boolean] whether somebody types or saves right now
        def hurried? = hurrying.any? && turns.synchronize { hurrying.each_value.any? { |since| now - since < HURRY } }
      end
    end
  end
end
