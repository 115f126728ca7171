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
          edges = Core::Bench::Edges.new(@workspace.ground, design, clock: SuggestEdges.clock(@workspace), records: around.records(design), profiles: {design.key => around.profile(design)})
          found = edges.candidates(rules, only: only(point, open))
          suggested = found.map { |each| Suggested.new(candidate: each, expect: Core::Bench::Proposal.new(each.trial, design).all.select(&:usual)) }
          suggested += slipping(design) unless rule || point
          kept = design.proofs.map { |proof| proof.script.slice("acts", "records") }
          suggested = suggested.reject { |each| kept.include?(each.candidate.script.slice("acts", "records")) }
          Found.new(suggestions: suggested.uniq { |each| each.candidate.script }, sound: edges.sound?)
        end

        # The same for a rule as somebody is writing it, in the place of that which is kept.
        # @param draft [Hash] a rule as a design has it; with the id of one that exists it stands for that
        # @return [Found]
        # @raise [Core::Design::Invalid, Store::NotFound]
        def of_draft(table:, draft:)
          real = @workspace.table(table)
          project = Core::Design::Changes::PinRule.new(table: table, rule: draft).apply(@workspace.project)
          design = project.table(real.key)
          rule = draft["id"] ? design.rule(draft["id"]) : design.rules.last
          around = Neighbourhood.new(@workspace)
          edges = Core::Bench::Edges.new(
            Core::Bench::Ground.new(project), design, clock: SuggestEdges.clock(@workspace), records: around.records(real), profiles: {design.key => around.profile(real)}
          )
          found = edges.candidates([rule]).map { |each| Suggested.new(candidate: each, expect: Core::Bench::Proposal.new(each.trial, design).all.select(&:usual)) }
          Found.new(suggestions: found, sound: edges.sound?)
        end

        # A fixed hour, so that the same edges come out the whole day long.
        # @return [Core::Bench::Clock]
        def self.clock(workspace)
          conventions = workspace.project.conventions
          Core::Bench::Clock.at(Core::Bench::Clock.new(workspace.clock.now, conventions).to_s.sub(/T.*/, "T09:00"), conventions)
        end

        private

        # Records for mistakes that the proofs of now do not notice, as far as they are counted.
        def slipping(design)
          make = NoticeMistake.new(@workspace)
          Mistakes.new(@workspace).found(design.key).map { |slip| make.of(slip, design) }
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
