# frozen_string_literal: true

module UpTack
  module UseCases
    module Bench
      # Suggests records at the edges of a table's rules, with what came of each now. What
      # must come of them is for the builder to say.
      class SuggestEdges
        # candidate:: Core::Bench::Edges::Candidate; expect:: Proposals of what was seen
        Suggested = Struct.new(:candidate, :expect, keyword_init: true)
        # suggestions:: of Suggested; sound:: whether a record that passes was found to start from
        Found = Struct.new(:suggestions, :sound, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @param rule [String, nil] id of the one rule that is meant
        # @param point [String, nil] key of the one point of it that is meant
        # @param open [Boolean] whether only what no proof shows yet is meant
        # @return [Found]
        # @raise [Store::NotFound]
        def call(table:, rule: nil, point: nil, open: false)
          design = @workspace.table(table)
          rules = rule ? [design.rule(rule) || raise(Store::NotFound, "There is no such rule.")] : design.rules
          around = Neighbourhood.new(@workspace)
          edges = Core::Bench::Edges.new(@workspace.ground, design, clock: clock, records: around.records(design), profiles: {design.key => around.profile(design)})
          found = edges.candidates(rules, only: only(point, open))
          kept = design.proofs.map { |proof| proof.script.slice("acts", "records") }
          found = found.reject { |each| kept.include?(each.script.slice("acts", "records")) }
          Found.new(suggestions: found.map { |each| Suggested.new(candidate: each, expect: Core::Bench::Proposal.new(each.trial, design).all.select(&:usual)) }, sound: edges.sound?)
        end

        private

        # A fixed hour, so that the same edges come out the whole day long.
        def clock
          now = Core::Bench::Clock.new(@workspace.clock.now, @workspace.project.conventions)
          Core::Bench::Clock.at(now.to_s.sub(/T.*/, "T09:00"), @workspace.project.conventions)
        end

        def only(point, open)
          return ->(_, each) { each.key == point } if point
          return unless open

          missing = Overview.new(@workspace).coverage.all.to_h { |each| [each.rule.id, each.missing.map(&:key)] }
          ->(rule, each) { missing.fetch(rule.id, []).include?(each.key) }
        end
      end
    end
  end
end
