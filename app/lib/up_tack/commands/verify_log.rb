# frozen_string_literal: true

module UpTack
  module Commands
    # Goes through the change log of a database, what it vouches for and every record, without writing, and
    # says what does not hold:
    #
    #   uptack verify-log [FILE]
    #   change log: 412 entries and 31 events, all hold
    #   up to entry 412 (seal 3f0a…) and event 31 (seal 99c1…), signed under key 4076ce0d69c29c86
    #
    # Without a file, that of UP_TACK_DATA, or data/up_tack.sqlite3. --against FILE compares it with what was
    # kept elsewhere: a backup, an export of the log, or the file of daily ends (up_tack-heads.jsonl). The key
    # is that of UP_TACK_KEY or of up_tack.key beside the database. The exit status is 0 when all of it holds,
    # 1 when not, 2 when it can't be checked.
    class VerifyLog
      USAGE = "[FILE] [--against FILE]"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        at = arguments.index("--against")
        against = arguments.slice!(at, 2)[1] if at
        path = arguments.first || Database.path([])
        [path, *([against] if at)].each { |file| return missing(file) unless File.file?(file.to_s) }

        Store::Database.open_readonly(path)
        return unkeyed(path) if Store::LogKey.ring.empty?

        tell(Store::LogCheck.run(against: against))
      rescue Store::LogCheck::Unchecked, Store::LogKey::Unfit => e
        @err.puts e.message
        2
      rescue ActiveRecord::ActiveRecordError, SQLite3::Exception => e
        @err.puts "#{path} can't be read as a database of Up Tack: #{e.message.lines.first.strip}"
        2
      ensure
        Store::Database.close if Store::Database.path
      end

      private

      def missing(path)
        @err.puts path ? Core::Messages[
          "commands.all.there_is_no_file", path: path
        ] : "Say which file to compare with: --against FILE"
        2
      end

      def unkeyed(path)
        @err.puts Core::Messages["commands.verify_log.key_of_log_is_not_here", file: Store::LogKey.file(path)]
        2
      end

      def tell(verdict)
        verdict.set_back.each do |id, seconds|
          @out.puts "change log: before entry #{id} the clock was set back by #{Clock.span(seconds)}"
        end
        return holds(verdict) if verdict.sound

        verdict.faults.each { |text| @out.puts "change log: #{text}" }
        1
      end

      def holds(verdict)
        counts =
          [[verdict.entries, "entry", "entries"], [verdict.events, "event", "events"]].map do |count, one, many|
            "#{count} #{(count == 1) ? one : many}"
          end
        @out.puts "change log: #{counts.join(" and ")}, all hold"
        head = verdict.head
        @out.puts "up to entry #{head["entry"]} (seal #{head["seal"]}) and event #{head["event"]} " \
          "(seal #{head["event_seal"]}), signed under key #{head["key"]}"
        0
      end
    end
  end
end
