# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The fields of a table.
      module Fields
        PARTS = %w[
          label
          key
          type
          decimals
          choices
          retired
          list
          format
          target
          on_delete
          reverse
          note
          access
          renamed
          aliases
        ].freeze

        def self.registered(app)
          changes = Core::Design::Changes

          app.post("/api/tables/:table/fields") do
            workspace.table(params[:table])
            change =
              changes::AddField.new(
                table: params[:table],
                parts: design_parts(*PARTS - %w[renamed aliases]),
                position: number_sent("position")
              )
            change_design(whole_table(params[:table]), status: 201) { |design| design.call(change) }
          end

          app.patch("/api/tables/:table/fields/:field") do
            workspace.field(params[:table], params[:field])
            position = number_sent("position")
            change =
              if position
                changes::MoveField.new(table: params[:table], field: params[:field], position: position)
              else
                changes::ChangeField.new(
                  table: params[:table],
                  field: params[:field],
                  parts: design_parts(*PARTS - ["key"])
                )
              end
            change_design(whole_table(params[:table])) { |design| design.call(change) }
          end

          app.post("/api/tables/:table/fields/:field/choices/preview") do
            workspace.field(params[:table], params[:field])
            change =
              changes::ChangeField.new(
                table: params[:table],
                field: params[:field],
                parts: design_parts("choices", "retired", "renamed")
              )
            json(Render::Choices.foreseen(UseCases::Design::PreviewChoices.new(workspace).call(change)))
          end

          app.delete("/api/tables/:table/fields/:field") do
            workspace.field(params[:table], params[:field])
            change = changes::RemoveField.new(table: params[:table], field: params[:field])
            change_design(whole_table(params[:table])) { |design| design.call(change) }
          end

          app.post("/api/tables/:table/details") do
            workspace.table(params[:table])
            change =
              changes::AddLinkedField.new(
                table: params[:table],
                link: sent["link"].to_s,
                detail: sent["detail"].to_s,
                copy: sent["copy"] == true
              )
            change_design(whole_table(params[:table]), status: 201) { |design| design.call(change) }
          end

          app.get("/api/tables/:table/fields/:field/losses") do
            choices = params[:choices]&.to_s&.lines(chomp: true)
            json(
              UseCases::Design::PreviewLosses
                .new(workspace)
                .call(
                  table: params[:table],
                  field: params[:field],
                  type: params[:type],
                  choices: choices,
                  list: params[:list]&.to_s,
                  target: params[:target]&.to_s
                )
                .to_h
            )
          end
        end
      end
    end
  end
end
