# frozen_string_literal: true

module UpTack
  module Commands
    # Runs the proofs of a project file, without a server and without a database:
    #
    #   uptack prove demo/kiln_share.json
    #   passed  Pieces: Weights must add up
    #   BROKEN  Pieces: Raku up to 1000: expected that it is refused; it was saved
    #   39 passed, 1 failed
    #
    # Links in formulas, numbers and dates are those of the proofs' own records.
    class Prove < Command
      # @return [Integer] 1 if a proof fails
      def call(file:)
        project = project_file(file).project
        run = Core::Bench::Run.new(project)
        shown = progress
        proofs = project.tables.flat_map { |table| table.proofs.map { |proof| [table, proof] } }
        shown.begin(project.name, "Proofs", proofs.length)
        results = proofs.map { |table, proof| run.call(table, proof).tap { shown.advance(1) } }
        failed = results.count { |result| result.state != "passed" }
        counts = {passed: results.length - failed, failed: failed}
        answer(failed.zero? ? 0 : 1, {**counts, proofs: results.map { |result| told(result) }}) do
          results.each { |result| tell(result) }
          @out.puts "#{results.length - failed} passed, #{failed} failed"
        end
      end

      private

      def told(result)
        {table: result.table.key, proof: result.proof.name, state: result.state, differences: differences(result)}
      end

      def tell(result)
        name = "#{result.table.label}: #{result.proof.name}"
        return @out.puts "passed  #{name}" if result.state == "passed"

        @out.puts "BROKEN  #{name}: #{differences(result).join("; ")}"
      end

      def differences(result) = result.differences.map { |each| "expected that #{each.expected}; #{each.actual}" }
    end
  end
end
