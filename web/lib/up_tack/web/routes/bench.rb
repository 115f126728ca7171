# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The bench: scripts played without touching anything, and records at the edges.
      module Bench
        SCRIPT = %w[form person at start records acts].freeze

        def self.registered(app)
          app.post("/api/tables/:table/bench") do
            played =
              UseCases::Proofs::Play.new(workspace).call(
                table: params[:table],
                script: script_sent,
                expect: expected,
                propose: sent["propose"] == true
              )
            json(
              Render::Trial.new(workspace, workspace.table(params[:table])).render(
                played,
                look_at: number_sent("look_at")
              )
            )
          end

          app.post("/api/tables/:table/edges") do
            table = workspace.table(params[:table])
            draft = rule_sent
            edges = UseCases::Proofs::SuggestEdges.new(workspace)
            if draft
              next json(
                Routes::Bench.suggestions(
                  if sent["typed"]
                    edges.of_case(table: table.key, draft: draft, typed: typed)
                  else
                    edges.of_draft(table: table.key, draft: draft)
                  end
                )
              )
            end

            rule, point = texts_sent("rule", "point").values_at("rule", "point")
            found = edges.call(table: table.key, rule: rule, point: point, open: sent["open"] == true)
            json(Routes::Bench.suggestions(found))
          end

          app.get("/api/tables/:table/mistakes") do
            Proving.wake unless UseCases::Proofs::Overview.new(workspace).fresh?
            json(
              Routes::Bench.mistakes(
                UseCases::Proofs::Mistakes.new(workspace).call(params[:table]),
                workspace.table(params[:table])
              )
            )
          end

          app.post("/api/tables/:table/mistakes/record") do
            rule, mistake = texts_sent("rule")["rule"], number_sent("mistake")
            unless rule && mistake&.between?(0, 1_000)
              raise Params::Requests::Malformed, Core::Messages["web.bench.rule_and_mistake_say_which_mistake"]
            end

            made =
              UseCases::Proofs::NoticeMistake.new(workspace).call(table: params[:table], rule: rule, mistake: mistake)
            json({suggestion: made && Routes::Bench.suggestion(made)})
          end

          app.helpers BodyReader
        end

        # @param found [UseCases::Proofs::SuggestEdges::Found]
        def self.suggestions(found) =
          {sound: found.sound, suggestions: found.suggestions.map { |each| suggestion(each) }}

        # @param each [UseCases::Proofs::SuggestEdges::Suggested]
        def self.suggestion(each)
          moment = each.candidate.trial.last
          {
            words: each.candidate.words,
            script: each.candidate.script,
            state: moment.state,
            expect: each.expect.map(&:attributes),
            expects: each.expect.map(&:words),
            messages: moment.message ? [moment.message] : (moment.outcome&.refusals || []).map(&:message)
          }
        end

        # @param count [UseCases::Proofs::Mistakes::Count, nil]
        # @param table [Core::Design::Table]
        def self.mistakes(count, table)
          unless count
            return {
              state: "waiting",
              done: 0,
              total: table.rules.length,
              tried: nil,
              noticed: nil,
              slipping: [],
              harmless: []
            }
          end

          slipping =
            count.slipping.filter_map do |each|
              mistake(each, table)&.merge(mistake: each.mistake, alike: each.looked && each.script.nil?)
            end
          harmless = count.harmless.filter_map { |each| mistake(each, table)&.merge(why: each.why) }
          {
            state: count.state,
            done: count.done,
            total: count.total,
            tried: count.tried,
            noticed: count.noticed,
            slipping: slipping,
            harmless: harmless
          }
        end

        # @return [Hash, nil] nil where its rule is gone
        def self.mistake(each, table)
          rule = table.rule(each.rule) or return
          {
            rule: rule.id,
            field: table.field(rule.field)&.label || rule.field,
            tack: rule.tack(table),
            words: each.words
          }
        end

        # Reads what was sent.
        module BodyReader
          # @return [Hash{String=>Object}] a script, with the day as a clock reads it
          def script_sent
            script = sound(design_parts(*SCRIPT).compact)
            person = number_sent("person_id")
            script["person"] = Routes::Bench.person(person) if person
            script["person"] ||= {
              "name" => workspace.person.name,
              "email" => workspace.person.email,
              "role" => workspace.person.role
            }.compact
            script["at"] = Params::Trial.at(workspace, script["at"]) if script["at"]
            script
          end

          # @return [Hash{String=>Object}, nil] a rule as somebody is writing it
          def rule_sent
            given = design_parts("draft")["draft"]
            return given&.slice(*Rules::PARTS) if given.nil? || given.is_a?(Hash)

            raise Params::Requests::Malformed, Core::Messages["web.bench.draft_must_be_rule"]
          end

          # @return [Array<Hash>] plain expectations
          def expected
            given = design_parts("expect")["expect"] || []
            given.is_a?(Array) ? given : raise(Params::Requests::Malformed, Core::Messages[
              "web.bench.expect_must_be_list"
            ])
          end

          private

          def sound(script)
            unless script.values_at("form", "at").compact.all?(String)
              raise Params::Requests::Malformed, Core::Messages["web.bench.form_and_at_must_be_texts"]
            end

            script
          end
        end

        # @return [Hash{String=>String}]
        # @raise [Store::NotFound]
        def self.person(id)
          found = UseCases::People::Directory.find(id) or
            raise Store::NotFound, Core::Messages["common.there_is_no_such_person"]
          {"name" => found.name, "email" => found.email, "role" => found.role}.compact
        end
      end
    end
  end
end
