# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # How far the rules of a project are proven: of each rule what was seen in a run
      # that came out as it must, and what was not.
      class Coverage
        # rule:: the Rule; table:: its Table; points:: all its Points
        # reached:: keys of those that were reached
        # proofs:: ids of the proofs that stand for it: those that expect something of it, else
        #   those that saw something
        # broken:: whether a proof that speaks of it did not come out as it must
        Covered = Struct.new(:rule, :table, :points, :reached, :proofs, :broken, keyword_init: true) do
          # @return [Array<CoverageTargets::Point>]
          def missing = points.reject { |point| reached.include?(point.key) }

          # @return [String] "broken", "proven", "partly" or "untried"
          def state
            return "broken" if broken
            return "untried" if reached.empty?

            missing.empty? ? "proven" : "partly"
          end
        end

        # @param project [Design::Project]
        # @param seen [Hash{String=>Hash{String=>Array<String>}}] by id of a proof that passed,
        #   keys of the points that it saw, by rule
        # @param broken [Enumerable<String>] ids of the rules of which broken proofs speak
        def initialize(project, seen, broken = [])
          @project = project
          @seen = seen
          @broken = broken.to_set
        end

        # @param results [Array<Run::Result>]
        # @return [Coverage]
        def self.of_results(project, results)
          passed, other = results.partition { |result| result.state == "passed" }
          new(
            project,
            passed.to_h { |result| [result.proof.id, result.reached] },
            other.flat_map { |result| result.differences.flat_map(&:rules) }
          )
        end

        # @return [Array<Covered>] one for each rule, in the order of tables and rules
        def all = @all ||= @project.tables.flat_map { |table| table.rules.map { |rule| covered(rule, table) } }

        # @return [Array<Integer>] how many rules are proven, and how many there are
        def counts = [all.count { |each| each.state == "proven" }, all.length]

        private

        def speaking =
          @speaking ||=
            @project.tables.flat_map { |table| table.proofs.map { |proof| [proof.id, proof.speaks_of(table)] } }.to_h

        def covered(rule, table)
          points = CoverageTargets.all(rule, table)
          keys = points.map(&:key)
          proofs = @seen.select { |_, rules| rules.key?(rule.id) }
          speaking_for_it = proofs.keys.select { |id| speaking.fetch(id, []).include?(rule.id) }
          Covered.new(
            rule: rule,
            table: table,
            points: points,
            reached: proofs.values.flat_map { |rules| rules[rule.id] }.uniq & keys,
            proofs: speaking_for_it.empty? ? proofs.keys : speaking_for_it,
            broken: @broken.include?(rule.id)
          )
        end
      end
    end
  end
end
