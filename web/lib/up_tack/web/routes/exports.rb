# frozen_string_literal: true

require "tempfile"

module UpTack
  module Web
    module Routes
      # Records and tables as files of open formats. They are written to a file first, so
      # that one of any size takes no memory, and what goes wrong is told and not cut off.
      module Exports
        WHOLE = {
          "sql" => %w[sql application/sql],
          "postgresql" => %w[pg.sql application/sql],
          "sqlite" => %w[sqlite3 application/vnd.sqlite3],
          "package" => %w[zip application/zip]
        }.freeze

        def self.registered(app)
          Interchange::Writers::TYPES
            .except("ods")
            .each do |format, type|
              app.get("/api/tables/:table/export.#{format}") do
                table = workspace.table(params[:table])
                asked = {table: table.key, format: format, **view_in_query, fields: keys_in_query("fields")}
                hand_out("#{table.label}.#{format}", type) { |path| written("export", path: path, **asked) }
              end
            end

          app.get("/api/tables/:table/schema.json") do
            shape = params[:of] || Interchange::SchemaExport::JsonSchema::SHAPES.first
            json(UseCases::Exports::RecordSchema.new(workspace).call(table: params[:table], shape: shape))
          end

          app.get("/api/tables/:table/calendar.ics") do
            feed = UseCases::Exports::Calendar.new(workspace, place: place)
            content_type Interchange::Feeds::Calendar::TYPE
            feed.call(table: params[:table], field: params[:field].to_s.scrub, **feed_in_query)
          end

          app.get("/api/tables/:table/contacts.vcf") do
            feed = UseCases::Exports::Contacts.new(workspace, place: place)
            cards = +""
            feed.call(table: params[:table], io: cards, **feed_in_query)
            content_type Interchange::Feeds::Contacts::TYPE
            attachment "#{workspace.table(params[:table]).label}.vcf".gsub(Download::UNSAFE, "_")
            cards
          end

          WHOLE.each do |kind, (ending, type)|
            app.get("/api/export.#{ending}") do
              hand_out("#{workspace.project.name}.#{ending}", type) do |path|
                written("export of all", path: path, kind: kind.to_sym)
              end
            end
          end

          app.helpers Download
        end

        # Gives a file and takes it away afterwards.
        module Download
          # What is not taken for the name of a file.
          UNSAFE = /[^\p{L}\p{N}. ()-]+/

          # @return [String] where this application is reached
          def place = "#{request.base_url}#{request.script_name}"

          # @return [Hash{Symbol=>String}] which records a feed tells of
          def feed_in_query = view_in_query.slice(:filter, :search)

          # In a process of its own: a file of many records would keep those waiting who type.
          def written(task, **asked) = Work.call(task, asked, person: person, progress: Progress.none)

          # @yield [String] path of the file that is to be written
          def hand_out(name, type)
            file = Tempfile.new("up_tack_export", binmode: true)
            yield file.path
            content_type type
            attachment name.gsub(UNSAFE, "_")
            written = File.open(file.path, "rb")
            file.unlink
            headers "Content-Length" => written.size.to_s
            written.each(nil, 65_536)
          end
        end
      end
    end
  end
end
