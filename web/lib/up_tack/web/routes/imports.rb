# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Files with records: brought in, looked at, tried, and taken over.
      module Imports
        OPTIONS = Interchange::Source::OPTIONS

        def self.registered(app)
          uploads = UseCases::Imports::Uploads

          app.post("/api/imports") do
            unless request.media_type == "application/octet-stream"
              raise Params::Requests::Malformed,
                Core::Messages["web.imports.send_file_itself_as_application_octet_stream"]
            end

            upload = uploads.new(person).add(request.body, params[:name].to_s)
            json({id: upload.id, name: upload.name, several: Interchange::Collection.kind(upload.path)}, status: 201)
          rescue uploads::TooLarge
            problem(413, "too_large", Core::Messages["web.imports.file_of_up_to_1_gb"])
          end

          app.post("/api/imports/:id/look") do
            upload = uploads.new(person).find(params[:id])
            options = options_sent
            table = sent["table"] && workspace.table(sent["table"].to_s)
            as_was = sent["as_was"] == true
            present = ->(_, workspace) { Routes::Imports.shown(upload, options, table, workspace, as_was: as_was) }
            next json(present.call(nil, workspace)) unless sent["whole"] == true && !upload.seen(options)&.whole

            work_apart("look at file", {upload: upload, options: options}, present)
          end

          app.post("/api/tables/:table/import") do
            table = workspace.table(params[:table])
            upload = uploads.new(person).find(sent["id"].to_s)
            asked = {
              table: table.key,
              upload: upload,
              options: options_sent,
              overrides: settings_sent,
              keep: sent["keep"].to_s
            }
            present = ->(result, workspace) { Render::Import.result(result, table, workspace.visibility) }
            work_apart("import", asked, present)
          end

          # The rows that were refused, in the format that went in.
          app.get("/api/imports/:id/refused") do
            upload = uploads.new(person).find(params[:id])
            part = params[:part]&.to_i
            unless File.file?(upload.refused(part))
              raise Store::NotFound,
                Core::Messages["web.imports.no_row_of_file_was_refused"]
            end

            source = part ? part_of(upload, part).source : upload.source(params.slice(*OPTIONS))
            io = StringIO.new("".b)
            UseCases::Imports::CorrectedFile.write(
              upload,
              source,
              io,
              decimal_mark: workspace.project.conventions.decimal_mark,
              part: part
            )
            content_type Interchange::Writers::TYPES.fetch(source.format)
            attachment Routes::Imports.refused_name(upload, source, part && part_of(upload, part))
            io.string
          end

          app.post("/api/imports/:id/tables/look") do
            upload = uploads.new(person).find(params[:id])
            present = ->(found, _) { Render::Collection.look(upload, *found) }
            work_apart("look at tables", {upload: upload}, present, shared: "look at #{upload.id}")
          end

          app.post("/api/imports/:id/tables") do
            upload = uploads.new(person).find(params[:id])
            tables = design_parts("tables")["tables"]
            unless tables.is_a?(Array) && tables.all?(Hash)
              raise Params::Requests::Malformed, Core::Messages["web.imports.tables_must_be_list_of_objects"]
            end

            asked = {upload: upload, tables: tables, keep: sent["keep"].to_s}
            present = ->(result, _) do
              Proving.wake if result.batch
              Render::Collection.result(result)
            end
            work_apart("import of tables", asked, present)
          end

          app.post("/api/imports/table") do
            parts = design_parts("label", "fields", "id")
            fields = parts["fields"]
            unless fields.is_a?(Array) && fields.all? { |field| Routes::Imports.field?(field) }
              raise Params::Requests::Malformed, Core::Messages["web.imports.fields_must_be_list_of_objects"]
            end

            upload = parts["id"] && uploads.new(person).find(parts["id"].to_s)
            table =
              UseCases::Imports::MakeTable.new(workspace).call(label: parts["label"], fields: fields, upload: upload)
            Proving.wake
            table_json(table.key, status: 201)
          end

          app.error(Interchange::Unreadable) { |error| problem(422, "unreadable", error.message) }
          app.helpers BodyReader
        end

        # @return [Hash] what a file shows, from all rows if they were looked at before
        def self.shown(upload, options, table, workspace, as_was:)
          found = UseCases::Imports::FileAnalysis.new(workspace).call(
            upload.source(options), table, known: table ? upload.fields(table) : {}, seen: upload.seen(options),
            as_was: as_was
          )
          Render::Import.look(upload, found, table, UseCases::Imports::KnownNames.new(workspace))
        end

        # @return [String] of the file with the rows that were refused
        def self.refused_name(upload, source, part)
          name = part ? part.file : upload.name
          ending = File.extname(name).delete_prefix(".")
          "#{part ? part.name : File.basename(name, ".*")} (refused).#{ending.empty? ? source.format : ending}"
        end

        # @return [Boolean] whether something is a field with rules
        def self.field?(field) =
          field.is_a?(Hash) && (field["rules"].nil? || (field["rules"].is_a?(Array) && field["rules"].all?(Hash)))

        # Reads what was sent.
        module BodyReader
          # @return [Interchange::Collection::Part]
          # @raise [Store::NotFound]
          def part_of(upload, number)
            UseCases::Imports::Collections.open(upload).parts[number] ||
              raise(Store::NotFound, Core::Messages["web.imports.no_row_of_file_was_refused"])
          end

          # @return [Hash{String=>String}] how a file is to be read
          def options_sent = texts_sent(*OPTIONS).compact

          # @return [Hash{String=>Object}] how its columns are to be taken over
          def settings_sent
            attributes = design_parts("columns", "match", "blanks", "as_was")
            columns = attributes["columns"]
            sound =
              columns.nil? ||
              (columns.is_a?(Array) && columns.all? { |each| each.is_a?(Hash) && each["column"].is_a?(String) })
            sound ? attributes : raise(Params::Requests::Malformed, Core::Messages[
              "web.imports.columns_must_be_list_of_objects"
            ])
          end
        end
      end
    end
  end
end
