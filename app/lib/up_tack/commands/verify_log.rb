# frozen_string_literal: true

module UpTack
  module Commands
    # Goes through the change log of a database and names the first entry that
    # does not hold:
    #
    #   uptack verify-log [FILE]
    #   change log: 412 entries, all hold
    #
    # Without a file, that of UP_TACK_DATA, or data/up_tack.sqlite3. The exit
    # status is 0 when all of it holds, 1 when not, 2 when there is no such file.
    class VerifyLog
      USAGE = "[FILE]"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        path = arguments.first || File.join(ENV["UP_TACK_DATA"].to_s.empty? ? File.join(App::ROOT, "data") : ENV["UP_TACK_DATA"], "up_tack.sqlite3")
        return missing(path) unless File.file?(path)

        Store::Database.open(path)
        tell(Store::LogCheck.run)
      rescue ActiveRecord::StatementInvalid, SQLite3::Exception => e
        @err.puts "#{path} can't be read as a database of Up Tack: #{e.message.lines.first.strip}"
        2
      ensure
        Store::Database.close if Store::Database.path
      end

      private

      def missing(path)
        @err.puts "There is no file #{path}."
        2
      end

      def tell(verdict)
        verdict.set_back.each { |id, seconds| @out.puts "change log: before entry #{id} the clock was set back by #{Clock.span(seconds)}" }
        return 0.tap { @out.puts "change log: #{verdict.entries} #{(verdict.entries == 1) ? "entry, it holds" : "entries, all hold"}" } if verdict.sound

        @out.puts "change log: entry #{verdict.broken} does not hold. #{verdict.why}"
        1
      end
    end
  end
end
