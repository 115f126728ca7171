# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Records that a link can point to in a trial that brings its own: only those,
      # since the real ones are not there.
      class FindCandidates
        # Matches at most.
        MOST = 20

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] in which the link is
        # @param field [String] key of the link
        # @param text [String] part of a name
        # @param typed [Hash] the draft so far
        # @param records [Hash{String=>Hash{String=>Hash}}] the trial's own, plain
        # @return [Array<Store::NameSearch::Match>]
        # @raise [Store::NotFound, Core::Invalid]
        def call(table:, field:, text:, records:, typed: {})
          link = @workspace.field(table, field)
          Core::Invalid.because(Core::Messages["common.is_no_link", link: link.label], part: "field") unless link.link?

          check(table, records)
          trial = trial(table, records, typed.except(field))
          words = Core::Unicode.folded(text).split
          names = trial.world.present(link.target).map { |id, _| [id, trial.world.title(link.target, id).to_s] }
          found =
            names.select do |id, name|
              words.all? { |word| Core::Unicode.folded(name).include?(word) } && belongs?(trial, field, id)
            end
          found
            .sort_by { |id, name| [Core::Unicode.folded(name), id] }
            .first(MOST)
            .map { |id, name| Store::NameSearch::Match.new(id: id, title: name, details: []) }
        end

        private

        def check(table, records)
          proof =
            Core::Design::Proof.from(
              "name" => "trial",
              "at" => Core::Design::ScriptClock.new(@workspace.clock.now, @workspace.project.conventions).to_s,
              "records" => records,
              "acts" => [],
              "expect" => [{"what" => "saved"}]
            )
          problems =
            Core::Design::ProofInspection.new(proof, @workspace.table(table), @workspace.project.conventions).problems
          raise Core::Invalid, problems if problems.any?
        end

        def trial(table, records, typed)
          script = {
            "records" => records,
            "person" => {"name" => @workspace.person.name, "role" => @workspace.person.role},
            "acts" => [{"do" => "fill_in", "values" => typed}]
          }
          clock = Core::Design::ScriptClock.new(@workspace.clock.now, @workspace.project.conventions)
          Core::Bench::Trial.new(@workspace.ground, table, Core::Design::Script.from(script), clock: clock).play
        rescue ArgumentError, TypeError => e
          Core::Invalid.because(Core::Messages["proofs.all.records_of_proof_no_longer_fit_tables", reason: e.message])
        end

        def belongs?(trial, field, id)
          narrowing = trial.plan.narrowing(field)
          narrowing.nil? || narrowing.belongs?(id, trial.live.evaluation)
        end
      end
    end
  end
end
