# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The rule sheet as Markdown (CommonMark with the tables of GFM): every table, field
      # and rule in plain sentences, with how far it is proven and by what. For a colleague,
      # or for whoever comes after.
      class Sheet
        STATES = {
          "proven" => "proven",
          "partly" => "partly proven",
          "untried" => "not tried",
          "broken" => "broken"
        }.freeze

        # @param project [Design::Project]
        # @param coverage [Coverage]
        # @param states [Hash{String=>String}] by id of a proof, how it came out
        def initialize(project, coverage, states)
          @project = project
          @coverage = coverage.all.to_h { |each| [each.rule.id, each] }
          @counts = coverage.counts
          @states = states
        end

        # @return [String]
        def markdown
          passed = @states.values.count("passed")
          head = [
            "# #{escaped(@project.name)}: rule sheet",
            "",
            Messages[
              "bench.sheet.of_rules_are_proven",
              proven: @counts.first,
              all: @counts.last,
              passed: passed,
              proofs: @states.length
            ]
          ]
          "#{[*head, *@project.tables.flat_map { |table| ["", *of_table(table)] }].join("\n")}\n"
        end

        private

        def of_table(table)
          lines = [
            "## #{escaped(table.label)}",
            "",
            *[table.note.to_s, Design::Descriptions.table(table)]
              .reject(&:empty?)
              .flat_map { |text| [escaped(text), ""] }
          ]
          lines + table.fields.flat_map { |field| [*of_field(field, table), ""] } + of_proofs(table)
        end

        def of_field(field, table)
          rules = table.rules.select { |rule| rule.field == field.key }
          said =
            if rules.empty?
              [escaped(Design::Descriptions.field(field, table))]
            else
              rules.flat_map { |rule| of_rule(rule, table) }
            end
          ["### #{escaped(field.label)}", "", *[field.note].compact.flat_map { |note| [escaped(note), ""] }, *said]
        end

        def of_rule(rule, table)
          covered = @coverage.fetch(rule.id)
          names =
            covered.proofs.filter_map do |id|
              table.proof(id)&.name || @project.tables.filter_map { |other| other.proof(id)&.name }.first
            end
          shown = names.first(5).map { |name| "“#{escaped(name)}”" }
          shown << "#{names.length - 5} more" if names.length > 5
          by = shown.empty? ? "" : "; by #{Masks::Phrases.to_sentence(shown)}"
          [
            "- #{escaped(rule.sentence_above_rows(table))}#{" #{escaped(rule.note)}" if rule.note} " \
              "*(#{STATES.fetch(covered.state)}, #{covered.reached.length} of #{covered.points.length} " \
              "cases covered#{by})*",
            *decision_rows(rule, table),
            *case_rows(rule, table)
          ]
        end

        def decision_rows(rule, table)
          return [] unless rule.decides?

          heads = rule.columns(table).map(&:label) + rule.writes.map { |key| table.field(key).label }
          grid(heads, rule.rows.map { |row| heads.each_index.map { |index| row[index].to_s } })
        end

        # Chains of `if`s, which nobody follows within a sentence.
        def case_rows(rule, table)
          rule.case_rows(table).flat_map do |field, rows|
            grid(
              [Messages["bench.sheet.condition"], table.field(field).label],
              rows.map { |condition, value| [condition || Messages["bench.sheet.otherwise"], value] }
            )
          end
        end

        def grid(heads, rows)
          lines = [heads, heads.map { "---" }, *rows]
          ["", *lines.map { |cells| "  | #{cells.map { |cell| escaped(cell).gsub("|", "\\|") }.join(" | ")} |" }, ""]
        end

        def of_proofs(table)
          return [] if table.proofs.empty?

          telling = Design::ExpectationFormatter.new(table, Ports::NoRecords)
          [
            "### Proofs of #{escaped(table.label)}",
            "",
            *table.proofs.map { |proof| "- #{of_proof(proof, telling)}" },
            ""
          ]
        end

        def of_proof(proof, telling)
          state = @states.fetch(proof.id, "waiting")
          expected = proof.expectations.map { |each| telling.format(each) }.join(", ")
          [
            ("**#{state}** " unless state == "passed"),
            "#{escaped(proof.name)}: #{escaped(expected)}.",
            (" #{escaped(proof.note)}" if proof.note)
          ].join
        end

        # Signs that Markdown would take for its own.
        def escaped(text) = text.to_s.gsub(/\s*\n\s*/, " ").gsub(/([\\`*_<>\[\]#])/) { "\\#{_1}" }
      end
    end
  end
end
