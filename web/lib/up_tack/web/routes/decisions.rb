# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Decision tables while they are written: pasted, looked at as a whole, copied out.
      module Decisions
        def self.registered(app)
          app.post("/api/tables/:table/decisions/read") do
            text = sent["text"]
            unless text.is_a?(String)
              raise Params::Requests::Malformed,
                Core::Messages["web.decisions.text_must_be_text"]
            end

            parsed = Core::Decisions::TableText.read(text.scrub, workspace.table(params[:table]))
            json({columns: parsed.columns.map(&:to_h), rows: parsed.rows, notes: parsed.notes})
          rescue Core::Decisions::TableText::Invalid => e
            Core::Invalid.because(e.message, part: "text")
          end

          app.post("/api/tables/:table/decisions/review") do
            rule, design = Decisions.sound(workspace, params[:table], design_parts(*Rules::PARTS))
            json(Render::Review.render(Core::Decisions::CompletenessCheck.new(rule, design).report, rule, design))
          end

          app.post("/api/tables/:table/decisions/write") do
            rule, design = Decisions.sound(workspace, params[:table], design_parts(*Rules::PARTS))
            json(
              {
                text: Core::Decisions::TableText.write(rule, design,
                  separator: (sent["separator"] == "tab") ? "\t" : ",")
              }
            )
          end
        end

        # @return [Array(Kinds::Decision, Core::Design::Table)] the table as it would be with the rule
        # @raise [Core::Invalid]
        def self.sound(workspace, table, attributes)
          unless attributes["kind"] == "decision"
            Core::Invalid.because(Core::Messages["web.decisions.is_no_decision_table"],
              part: "kind")
          end
          workspace.table(table)
          design =
            Core::Design::Changes::PinRule
              .new(table: table, rule: attributes, records: workspace.context.records)
              .apply(workspace.project)
              .table(table)
          [attributes["id"] ? design.rule(attributes["id"]) : design.rules.last, design]
        end
      end
    end
  end
end
