# frozen_string_literal: true

module UpTack
  module Commands
    # Runs the proofs of a project file, without a server and without a database:
    #
    #   uptack prove FILE
    #   passed  Pieces: Weights must add up
    #   BROKEN  Pieces: Raku up to 1000: expected that it is refused; it was saved
    #   39 passed, 1 failed
    #
    # The exit status is 0 when all come out as they must, 1 when not, 2 when the file can't
    # be read. Links in formulas, numbers and dates are those of the proofs' own records.
    class Prove
      USAGE = "FILE"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        path = arguments.first
        return usage if path.nil? || !path.start_with?("-") && !File.file?(path)

        prove(Core::Design::ProjectFile.read(File.binread(path)).project)
      rescue Core::Invalid => e
        Commands.tell_problems(e.problems, path, @err)
      end

      private

      def usage
        @err.puts "Name a project file: uptack prove #{USAGE}"
        2
      end

      def prove(project)
        run = Core::Bench::Run.new(project)
        results =
          project.tables.flat_map do |table|
            table.proofs.map { |proof| run.call(table, proof).tap { |result| tell(result) } }
          end
        passed = results.count { |result| result.state == "passed" }
        @out.puts "#{passed} passed, #{results.length - passed} failed"
        (passed == results.length) ? 0 : 1
      end

      def tell(result)
        name = "#{result.table.label}: #{result.proof.name}"
        return @out.puts "passed  #{name}" if result.state == "passed"

        differences = result.differences.map { |each| "expected that #{each.expected}; #{each.actual}" }
        @out.puts "BROKEN  #{name}: #{differences.join("; ")}"
      end
    end
  end
end
