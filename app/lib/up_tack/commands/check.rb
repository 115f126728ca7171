# frozen_string_literal: true

module UpTack
  module Commands
    # Looks whether all of a database holds: the file, links, the change log, kept values
    # and counters, a line each.
    #
    #   uptack check
    #   sound   The file holds.
    #   BROKEN  Stale: Loss of Pieces in 3.
    #
    # The exit status is 0 when all holds, 1 when not, 2 when it can't be read.
    class Check
      USAGE = "[--database FILE]"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        path = Database.path(arguments)
        return tell_missing(path) unless File.file?(path)

        Database.open(path) do |workspace|
          next tell_missing(path) unless workspace

          findings = UseCases::Maintenance::IntegrityCheck.new(workspace).call
          findings.each { |each| @out.puts "#{each.sound ? "sound   " : "BROKEN  "}#{each.message}" }
          findings.all?(&:sound) ? 0 : 1
        end
      rescue ActiveRecord::ActiveRecordError, SQLite3::Exception => e
        @err.puts "#{path} can't be read as a database of Up Tack: #{e.message.lines.first.strip}"
        2
      end

      private

      def tell_missing(path)
        @err.puts Core::Messages["commands.all.there_is_no_project", path: path]
        2
      end
    end
  end
end
