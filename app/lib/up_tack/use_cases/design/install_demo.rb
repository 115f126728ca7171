# frozen_string_literal: true

require "csv"

module UpTack
  module UseCases
    module Design
      # Fills an empty database with the demo: its design, its people and its
      # records, each saved through the rules by the person and at the hour that
      # the demo's files name, so that the change log tells a story too.
      class InstallDemo
        FOLDER = Installation.path("demo")

        def call
          demo = Core::Design::ProjectFile.read(File.read(File.join(FOLDER, "kiln_share.json")))
          Store::Database.write do
            Services::StartProject.new.call(design: demo.design, people: demo.people, tolerating: demo.tolerating)
            Store::Settings["demo"] = "yes"
            Store::Settings["demo_people"] = JSON.generate(Store::Person.ids)
            @people = Store::Person.all.index_by(&:name)
            saves.sort_by { |save| save[:at] }.each { |save| run(**save) }
          end
        end

        private

        # All saves of the demo, in no order yet.
        def saves
          %w[titles clays members pieces orders order_lines firings].flat_map { |table| records(table) } + edits
        end

        def records(table)
          rows("#{table}.csv").map do |row|
            typed = row.to_h.reject { |key, value| key.start_with?("_") || value.nil? }
            {at: row["_at"], by: row["_by"], table: table, typed: typed}
          end
        end

        def edits
          rows("edits.csv")
            .group_by { |row| row.values_at("at", "by", "table", "record") }
            .map do |(at, by, table, record), values|
              {
                at: at,
                by: by,
                table: table,
                id: record.to_i,
                typed: values.to_h { |row| row.values_at("field", "value") }
              }
            end
        end

        def run(at:, by:, **record)
          zone = Store::CompiledDesign.current.project.conventions.time_zone
          workspace = Workspace.new(person: @people.fetch(by), clock: Clock.stopped(zone, at))
          answer = Records::SaveRecord.new(workspace, channel: "form").call(**record)
          return if answer.state == :saved

          raise "The demo's own rules refuse #{record}: #{answer.outcome.refusals.map(&:message).join(" ")}"
        end

        def rows(file) = CSV.read(File.join(FOLDER, file), headers: true)
      end
    end
  end
end
