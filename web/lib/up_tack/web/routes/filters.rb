# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Views of records that are kept under a name.
      module Filters
        def self.registered(app)
          changes = Core::Design::Changes

          app.post("/api/tables/:table/filters") do
            workspace.table(params[:table])
            parts = design_parts("name", "formula", "sort", "columns")
            change =
              changes::SaveFilter.new(
                table: params[:table],
                name: parts["name"],
                formula: parts["formula"],
                sort: parts["sort"],
                columns: parts["columns"]
              )
            change_design(whole_table(params[:table]), status: 201) { |design| design.call(change) }
          end

          app.delete("/api/tables/:table/filters/:filter") do
            workspace.table(params[:table])
            change = changes::DeleteFilter.new(table: params[:table], filter: params[:filter])
            change_design(whole_table(params[:table])) { |design| design.call(change) }
          end
        end
      end
    end
  end
end
