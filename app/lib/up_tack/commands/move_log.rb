# frozen_string_literal: true

module UpTack
  module Commands
    # Moves older entries of the change log into a file beside the database, as a running server does:
    #
    #   uptack move-log --older-than 12
    #   Moved 41250 entries into data/log/up_tack-log-1-41250.sqlite3. They leave the database in an hour: run this
    #   again then, or leave it to the server.
    class MoveLog < Command
      # @param older_than [Integer, nil] months after which entries move; that of UP_TACK_LOG_MONTHS otherwise
      # @return [Integer]
      def call(database: nil, older_than: nil)
        result = Database.open(database) do |workspace|
          UseCases::Maintenance::MoveLog.new(
            workspace.clock, months: older_than || Environment.new.log_months, least: 1, progress: progress
          ).call
        end
        answer(0, result.to_h) { tell(result) }
      end

      private

      def tell(result)
        folder = Store::LogFiles::FOLDER
        @out.puts Core::Messages["commands.move_log.left", count: result.left] if result.left.positive?
        if result.file
          @out.puts Core::Messages["commands.move_log.moved", count: result.moved, file: "#{folder}/#{result.file}"]
        elsif result.left.zero?
          @out.puts Core::Messages["commands.move_log.nothing"]
        end
      end
    end
  end
end
