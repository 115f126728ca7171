# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Proofs with what came of them, and how far they cover the rules.
      module Proofs
        module_function

        # @param overview [UseCases::Proofs::Overview]
        def render(overview)
          progress = Proving.progress
          proven, rules = overview.coverage.counts
          {
            running: progress && {done: progress.done, total: progress.total},
            fresh: overview.fresh?,
            proven: proven,
            rules: rules,
            proofs: overview.lines.map { |line| line(line) },
            coverage: overview.coverage.all.map { |covered| covered(covered) }
          }
        end

        def line(line)
          run = line.run
          {
            id: line.proof.id,
            table: line.table.key,
            name: line.proof.name,
            group: line.proof.group,
            note: line.proof.note,
            state: line.state,
            differences:
              if run && line.state != "waiting"
                run.differences.map { |each| each.slice("expected", "actual", "field") }
              else
                []
              end,
            first_step:
              (line.state == "broken" && run.first_difference) ? step(run.first_difference, line.table) : nil,
            good_at: run&.good_at&.getutc&.iso8601
          }
        end

        # @param found [Hash] as Core::Bench::Divergence::Found has it
        def step(found, table)
          rule = found["rule"] && table.rule(found["rule"])
          stage = Core::Stages::ALL.find { |each| each.key == found["stage"] }
          {
            stage: stage ? stage.label : "Typed",
            field: table.field(found["field"])&.label || found["field"],
            rule: rule&.tack(table),
            was: found["was"],
            now: found["now"]
          }
        end

        def covered(covered)
          {
            table: covered.table.key,
            rule: covered.rule.id,
            field: covered.rule.field,
            tack: covered.rule.tack(covered.table),
            kind: covered.rule.kind,
            state: covered.state,
            seen: covered.reached.length,
            of: covered.points.length,
            missing: covered.missing.map { |point| {key: point.key, words: point.words} },
            proofs: covered.proofs
          }
        end

        # @param found [UseCases::Proofs::AffectedProofs::Found]
        def endangered(found)
          change = ->(each) do
            {
              table: each.table.key,
              id: each.proof.id,
              name: each.proof.name,
              differences: each.differences.map { |one| one.to_h.slice(:expected, :actual, :field) }
            }
          end
          {broken: found.broken.map(&change), mended: found.mended.map(&change), tried: found.tried}
        end
      end
    end
  end
end
