# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The bench: scripts played without touching anything, and records at the edges.
      module Bench
        SCRIPT = %w[form person at start records acts].freeze

        def self.registered(app)
          app.post("/api/tables/:table/bench") do
            played = UseCases::Bench::Play.new(workspace).call(table: params[:table], script: script_sent, expect: expected, propose: sent["propose"] == true)
            json(Render::Trial.new(workspace, workspace.table(params[:table])).of(played, look_at: number_sent("look_at")))
          end

          app.post("/api/tables/:table/edges") do
            table = workspace.table(params[:table])
            rule, point = texts_sent("rule", "point").values_at("rule", "point")
            found = UseCases::Bench::SuggestEdges.new(workspace).call(table: table.key, rule: rule, point: point, open: sent["open"] == true)
            json({sound: found.sound, suggestions: found.suggestions.map { |each| Routes::Bench.suggestion(each) }})
          end

          app.helpers Sent
        end

        # @param each [UseCases::Bench::SuggestEdges::Suggested]
        def self.suggestion(each)
          moment = each.candidate.trial.last
          {
            words: each.candidate.words, script: each.candidate.script, state: moment.state, expect: each.expect.map(&:plain), expects: each.expect.map(&:words),
            messages: moment.message ? [moment.message] : (moment.outcome&.refusals || []).map(&:message)
          }
        end

        # Reads what was sent.
        module Sent
          # @return [Hash{String=>Object}] a script, with the day as a clock reads it
          def script_sent
            script = sound(design_parts(*SCRIPT).compact)
            person = number_sent("person_id")
            script["person"] = Routes::Bench.person(person) if person
            script["person"] ||= {"name" => workspace.person.name, "email" => workspace.person.email, "role" => workspace.person.role}.compact
            script["at"] = Trial.at(workspace, script["at"]) if script["at"]
            script
          end

          # @return [Array<Hash>] plain expectations
          def expected
            given = design_parts("expect")["expect"] || []
            given.is_a?(Array) ? given : raise(Requests::Malformed, "`expect` must be a list.")
          end

          private

          def sound(script)
            raise Requests::Malformed, "`form` and `at` must be texts." unless script.values_at("form", "at").compact.all?(String)

            script
          end
        end

        # @return [Hash{String=>String}]
        # @raise [Store::NotFound]
        def self.person(id)
          found = Store::Person.find_by(id: id) or raise Store::NotFound, "There is no such person."
          {"name" => found.name, "email" => found.email, "role" => found.role}.compact
        end
      end
    end
  end
end
