# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The project file, out and in, and the rule sheet.
      module Project
        def self.registered(app)
          app.get("/api/project") do
            attachment "#{workspace.project.name.gsub(/[^\p{L}\p{N}]+/, "_").downcase}.json"
            content_type "application/json"
            UseCases::Design::WriteProjectFile.new(workspace).call
          end

          app.get("/api/project/conventions") { json(Project.conventions(workspace)) }

          app.post("/api/project/conventions/preview") do
            found = UseCases::Design::PreviewConventions.new(workspace).call(conventions_sent)
            json({shown: found.shown.map(&:to_h), typed: found.typed.map(&:to_h)})
          end

          app.patch("/api/project/conventions") do
            change = Core::Design::Changes::ChangeConventions.new(parts: conventions_sent)
            change_design(->(_, workspace) { Project.conventions(workspace) }) { |design| design.call(change) }
          end

          app.post("/api/project/preview") do
            preview = UseCases::Design::ApplyProjectFile.new(workspace).preview(file_sent)
            json(
              {
                name: preview.name,
                people: preview.people.map { |person| {name: person["name"], role: person["role"]} },
                losses: preview.losses.map { |label, count| {field: label, values: count} },
                differences: preview.differences.map { |each| each.to_h.slice(:what, :id, :place, :before, :after) }
              }
            )
          end

          app.post("/api/project/bring-in") do
            text = file_sent
            in_background(->(project, _) { {name: project.name} }) do |progress, workspace|
              UseCases::Design::ApplyProjectFile
                .new(workspace, progress: progress)
                .call(text)
                .tap { Proving.wake }
            end
          end

          app.get("/api/sheet.md") do
            overview = UseCases::Proofs::Overview.new(workspace)
            content_type "text/markdown", charset: "utf-8"
            Core::Bench::Sheet.new(
              workspace.project,
              overview.coverage,
              overview.lines.to_h { |line| [line.proof.id, line.state] }
            ).markdown
          end

          app.helpers BodyReader
        end

        # @return [Hash] how the firm writes, and the time zones there are
        def self.conventions(workspace) =
          workspace.project.conventions.attributes.merge(
            "time_zones" => TZInfo::Timezone.all_data_zone_identifiers.sort
          )

        # Reads what was sent.
        module BodyReader
          # @return [Hash{String=>String}]
          def conventions_sent = texts_sent("date_order", "decimal_mark", "group_mark", "time_zone").compact

          # @return [String] the text of a project file
          def file_sent
            text = sent["file"]
            text.is_a?(String) ? text : raise(Params::Requests::Malformed, Core::Messages[
              "web.project.file_must_be_text_of_project_file"
            ])
          end
        end
      end
    end
  end
end
