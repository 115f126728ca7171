# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The change log.
      module History
        PAGE = 40

        def self.registered(app)
          app.get("/api/history") do
            table = params[:table].to_s.empty? ? nil : workspace.table(params[:table])
            found = Store::ChangeLog.entries(table: table, record_id: number_in_query("record"), before: number_in_query("before"), limit: PAGE + 1)
            json({entries: Render::Entry.new(workspace).all(found.first(PAGE)), more: found.length > PAGE})
          end
        end
      end
    end
  end
end
