# frozen_string_literal: true

module UpTack
  module Commands
    # Verifies a whole database: the file, links, the change log, calculated values and counters, a line each.
    #
    #   uptack check
    #   sound   Database file OK.
    #   BROKEN  Out of date: Loss of Pieces in 3.
    class Check < Command
      # @return [Integer] 1 if a problem was found
      def call(database: nil)
        Database.open(database) do |workspace|
          findings = UseCases::Maintenance::IntegrityCheck.new(workspace, progress: progress).call
          sound = findings.all?(&:sound)
          answer(sound ? 0 : 1, {sound: sound, findings: findings.map { |each| told(each) }}) do
            findings.each { |each| @out.puts "#{each.sound ? "sound   " : "BROKEN  "}#{each.message}" }
          end
        end
      end

      private

      def told(finding) = {sound: finding.sound, message: finding.message}
    end
  end
end
