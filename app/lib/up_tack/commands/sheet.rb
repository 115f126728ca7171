# frozen_string_literal: true

module UpTack
  module Commands
    # Writes the rule sheet of a project file as Markdown to standard output, its proofs run:
    #
    #   uptack sheet design.json > rules.md
    class Sheet < Command
      # @return [Integer]
      def call(file:)
        project = project_file(file).project
        run = Core::Bench::Run.new(project)
        results = project.tables.flat_map { |table| table.proofs.map { |proof| run.call(table, proof) } }
        coverage = Core::Bench::Coverage.of_results(project, results)
        states = results.to_h { |result| [result.proof.id, result.state] }
        @out.print Core::Bench::Sheet.new(project, coverage, states).markdown
        0
      end
    end
  end
end
