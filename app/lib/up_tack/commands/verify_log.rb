# frozen_string_literal: true

module UpTack
  module Commands
    # Verifies the change log of a database, what it vouches for and every record, without writing:
    #
    #   uptack verify-log
    #   change log: 412 entries and 31 events verified
    #   up to entry 412 (seal 3f0a…) and event 31 (seal 99c1…), signed under key 4076ce0d69c29c86
    #
    # The key is that of UP_TACK_KEY, or of up_tack.key beside the database.
    class VerifyLog < Command
      # @param file [String, nil] a database other than the usual one
      # @param against [String, nil] a backup, an export of the log, or the file of daily ends (up_tack-heads.jsonl)
      # @return [Integer] 1 if something was altered
      def call(file: nil, against: nil)
        path = existing(Database.path(file))
        existing(against) if against
        Store::Database.open_readonly(path)
        unkeyed(path) if Store::LogKey.ring.empty?

        verdict = Store::LogCheck.run(progress: progress, against: against)
        answer(verdict.sound ? 0 : 1, told(verdict)) { tell(verdict) }
      ensure
        Store::Database.close if Store::Database.path
      end

      private

      def unkeyed(path)
        raise Failure, Core::Messages["commands.verify_log.key_of_log_is_not_here", file: Store::LogKey.file(path)]
      end

      def told(verdict)
        {
          sound: verdict.sound,
          entries: verdict.entries,
          events: verdict.events,
          faults: verdict.faults,
          set_back: verdict.set_back.map { |id, seconds| {entry: id, seconds: seconds} },
          head: verdict.head
        }
      end

      def tell(verdict)
        verdict.set_back.each do |id, seconds|
          @out.puts "change log: before entry #{id} the clock was set back by #{Clock.span(seconds)}"
        end
        return verdict.faults.each { |text| @out.puts "change log: #{text}" } unless verdict.sound

        entries = counted(verdict.entries, "entry", "entries")
        @out.puts "change log: #{entries} and #{counted(verdict.events, "event", "events")} verified"
        head = verdict.head
        @out.puts "up to entry #{head["entry"]} (seal #{head["seal"]}) and event #{head["event"]} " \
                    "(seal #{head["event_seal"]}), signed under key #{head["key"]}"
      end

      def counted(count, one, many) = "#{count} #{(count == 1) ? one : many}"
    end
  end
end
