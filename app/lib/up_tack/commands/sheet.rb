# frozen_string_literal: true

module UpTack
  module Commands
    # Writes the rule sheet of a project file as Markdown to standard output, its proofs run:
    #
    #   uptack sheet FILE
    class Sheet
      USAGE = "FILE"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        path = arguments.first
        return missing unless path && File.file?(path)

        project = Core::Design::ProjectFile.read(File.binread(path)).project
        run = Core::Bench::Run.new(project)
        results = project.tables.flat_map { |table| table.proofs.map { |proof| run.call(table, proof) } }
        @out.print Core::Bench::Sheet.new(
          project,
          Core::Bench::Coverage.of_results(project, results),
          results.to_h { |result| [result.proof.id, result.state] }
        ).markdown
        0
      rescue Core::Invalid => e
        Commands.tell_problems(e.problems, path, @err)
      end

      private

      def missing
        @err.puts "Name a project file: uptack sheet #{USAGE}"
        2
      end
    end
  end
end
