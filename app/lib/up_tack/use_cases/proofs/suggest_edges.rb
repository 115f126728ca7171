# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Suggests records at the edges of a table's rules, with what came of each now. What
      # must come of them is for the builder to say.
      class SuggestEdges
        # candidate:: Core::Bench::BoundaryCases::Candidate; expect:: Proposals of what was seen
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
          rules = rule ? [design.rule(rule) || raise(Store::NotFound, Core::Messages[
            "proofs.all.there_is_no_such_rule"
          ])] : design.rules
          around = RelatedRecords.new(@workspace)
          edges =
            Core::Bench::BoundaryCases.new(
              @workspace.ground,
              design,
              clock: SuggestEdges.clock(@workspace),
              records: around.records(design),
              profiles: {design.key => around.profile(design)}
            )
          found = edges.candidates(rules, only: only(point, open))
          suggested =
            found.map do |each|
              Suggested.new(
                candidate: each,
                expect: Core::Bench::SuggestedExpectations.new(each.trial, design).all.select(&:usual)
              )
            end
          suggested += slipping(design) unless rule || point
          kept = design.proofs.map { |proof| proof.script.slice("acts", "records") }
          suggested = suggested.reject { |each| kept.include?(each.candidate.script.slice("acts", "records")) }
          Found.new(suggestions: suggested.uniq { |each| each.candidate.script }, sound: edges.sound?)
        end

        # The same for a rule as somebody is writing it, in the place of that which is kept.
        # @param draft [Hash] a rule as a design has it; with the id of one that exists it stands for that
        # @return [Found]
        # @raise [Core::Invalid, Store::NotFound]
        def of_draft(table:, draft:)
          real = @workspace.table(table)
          project, design, rule = drafted(table, draft)
          around = RelatedRecords.new(@workspace)
          edges =
            Core::Bench::BoundaryCases.new(
              Core::Save::CompiledProject.new(project),
              design,
              clock: SuggestEdges.clock(@workspace),
              records: around.records(real),
              profiles: {design.key => around.profile(real)}
            )
          found =
            edges
              .candidates([rule])
              .map do |each|
                Suggested.new(
                  candidate: each,
                  expect: Core::Bench::SuggestedExpectations.new(each.trial, design).all.select(&:usual)
                )
              end
          Found.new(suggestions: found, sound: edges.sound?)
        end

        # One case typed over the real records, by a rule as somebody is writing it.
        # @param draft [Hash] as for of_draft
        # @param typed [Hash{String=>Object}] by field
        # @return [Found] with what the case comes to: what the rule sets, and what refuses it
        # @raise [Core::Invalid, Store::NotFound]
        def of_case(table:, draft:, typed:)
          project, design, rule = drafted(table, draft)
          Services::Fields.check(design, typed)
          script = {
            "person" => {
              "name" => @workspace.person.name,
              "email" => @workspace.person.email,
              "role" => @workspace.person.role
            },
            "acts" => [{"do" => "fill_in", "values" => typed}]
          }
          trial = over_real(Core::Save::CompiledProject.new(project), design, script)
          # What else such a record lacks says nothing of this rule.
          own =
            Core::Bench::SuggestedExpectations
              .new(trial, design)
              .all
              .select do |each|
                each.attributes["rule"] == rule.id ||
                  (each.attributes["what"] == "value" && rule.writes.include?(each.attributes["field"]))
              end
          candidate =
            Core::Bench::BoundaryCases::Candidate.new(
              words: [rule.sentence(design)],
              script: script,
              trial: trial,
              points: []
            )
          Found.new(suggestions: [Suggested.new(candidate: candidate, expect: own)], sound: true)
        end

        # A fixed hour, so that the same edges come out the whole day long.
        # @return [Core::Design::ScriptClock]
        def self.clock(workspace)
          conventions = workspace.project.conventions
          Core::Design::ScriptClock.at(
            Core::Design::ScriptClock.new(workspace.clock.now, conventions).to_s.sub(/T.*/, "T09:00"),
            conventions
          )
        end

        private

        # @return [Array(Core::Design::Project, Core::Design::Table, Core::Rules::Rule)] as they would be with the draft
        def drafted(table, draft)
          @workspace.table(table)
          project = Core::Design::Changes::PinRule.new(table: table, rule: draft).apply(@workspace.project)
          design = project.table(table)
          [project, design, draft["id"] ? design.rule(draft["id"]) : design.rules.last]
        end

        def over_real(ground, design, script)
          clock = Core::Design::ScriptClock.new(@workspace.clock.now, @workspace.project.conventions)
          Core::Bench::Trial.new(
            ground,
            design.key,
            Core::Design::Script.from(script),
            clock: clock,
            trace: :brief,
            **Play.real(ground, @workspace.context.records)
          ).play
        rescue ArgumentError, TypeError => e
          Core::Invalid.because(Core::Messages["proofs.suggest_edges.cant_be_tried", reason: e.message])
        end

        # Records for mistakes that the proofs of now do not notice, as far as they are counted.
        def slipping(design)
          make = NoticeMistake.new(@workspace)
          Mistakes.new(@workspace).found(design.key).map { |slip| make.suggestion(slip, design) }
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
