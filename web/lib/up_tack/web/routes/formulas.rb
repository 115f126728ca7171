# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Formulas by themselves: what is wrong with one, and the way between a
      # formula and its pieces.
      module Formulas
        def self.registered(app)
          app.get("/api/names") { json(Render::Names.render(workspace.project, person.role)) }

          app.post("/api/tables/:table/formula") do
            scope = workspace.visibility.scope(workspace.table(params[:table]))
            text = design_parts("formula")["formula"].to_s
            begin
              formula = Core::Expression.compile(text, scope, expecting: sent["condition"] ? :yes_no : nil)
              found = {
                problems: [],
                warnings: formula.warnings.map { |each| Render::Mistake.render(each) },
                words: formula.words
              }
            rescue Core::Expression::Invalid => e
              found = {problems: e.problems.map { |each| Render::Mistake.render(each) }, warnings: [], words: nil}
            end
            json({**found, pieces: Core::Expression::StructuredForm.parse(text)})
          end

          app.post("/api/tables/:table/pieces") do
            workspace.table(params[:table])
            pieces = sent["pieces"]
            unless pieces.is_a?(Hash)
              raise Params::Requests::Malformed,
                Core::Messages["web.formulas.pieces_must_be_object"]
            end

            begin
              json({formula: Core::Expression::StructuredForm.write(pieces), problem: nil})
            rescue Core::Expression::Invalid => e
              json({formula: nil, problem: e.message})
            end
          end
        end
      end
    end
  end
end
