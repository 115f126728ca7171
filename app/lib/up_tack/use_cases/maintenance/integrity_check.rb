# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Looks whether all of the database holds: the file itself, its links, the change log,
      # the values that are kept, and the counters.
      class IntegrityCheck
        # what:: "file", "links", "log", "values" or "counters"; sound:: whether it holds
        # message:: in words
        Finding = Struct.new(:what, :sound, :message, keyword_init: true)
        # Numbers looked at together.
        PORTION = 500

        # @param progress [Progress]
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @return [Array<Finding>]
        # @raise [Recalculation::Stopped]
        def call = [file, links, log, values, counters]

        private

        def connection = Store::Database.connection

        def file
          @progress.begin("Database", "File", 1)
          said = connection.select_values("PRAGMA integrity_check")
          finding(
            "file",
            said == ["ok"],
            Core::Messages["maintenance.integrity_check.file_holds"],
            Core::Messages["maintenance.integrity_check.sqlite_says", findings: said.first(3).join("; ")]
          )
        end

        def links
          broken = connection.select_rows("PRAGMA foreign_key_check")
          finding(
            "links",
            broken.empty?,
            Core::Messages["maintenance.integrity_check.every_link_leads_to_record"],
            Core::Messages[
              "maintenance.integrity_check.links_lead_nowhere",
              number: broken.length,
              examples: broken.first(3).map { |table, id, target| "#{table} #{id} to #{target}" }.join(", ")
            ]
          )
        end

        def log
          verdict = Store::LogCheck.run(progress: @progress)
          finding(
            "log",
            verdict.sound,
            Core::Messages[
              "maintenance.integrity_check.all_entries_of_change_log_hold",
              entries: Core::Values::Plain.grouped(verdict.entries)
            ],
            Core::Messages["maintenance.integrity_check.log_does_not_hold", faults: verdict.faults.first(3).join(" ")]
          )
        end

        # Worked out anew and taken back: what would become another value is stale.
        def values
          project = @workspace.project
          kept =
            project
              .upkeep
              .calculations
              .reject { |each| each.rule.once? }
              .select { |each| project.upkeep.kept?(*each.place) }
          changed =
            Bulk.tried(@workspace) do
              dirty = Recalculation::Dirty.new
              kept.each { |each| dirty.add(each.place, :all) }
              Recalculation::Run.new(@workspace, progress: @progress).run(dirty).reject { |_, count| count.zero? }
            end
          words =
            changed.map do |(table, field), count|
              "#{project.table(table).field(field).label} of #{project.table(table).label} in #{count}"
            end
          finding(
            "values",
            changed.empty?,
            Core::Messages["maintenance.integrity_check.all_values_are_fresh", count: kept.length],
            Core::Messages["maintenance.integrity_check.stale", values: words.join(", ")]
          )
        end

        def counters
          problems =
            @workspace.project.tables.flat_map do |table|
              table.rules.select(&:numbers?).flat_map { |rule| of_numbers(table, table.field(rule.field)) }
            end
          finding(
            "counters",
            problems.empty?,
            Core::Messages["maintenance.integrity_check.every_counter_is_ahead_of_numbers"],
            problems.join(" ")
          )
        end

        def of_numbers(table, field) = behind(table, field) + unheld(table, field) + doubled(table, field)

        # While nobody numbered the field, people could give a number twice.
        def doubled(table, field)
          found = Store::Doubles.find(table, field)
          return [] if found.empty?

          number, count = found.first
          [
            Core::Messages[
              "maintenance.integrity_check.number_is_in_several_records",
              field: field.label,
              table: table.label,
              number: number,
              records: count,
              more: (found.length > 1) ? Core::Messages["common.and_more", number: found.length - 1] : ""
            ]
          ]
        end

        def behind(table, field)
          rows = connection.select_rows(<<~SQL)
            SELECT numbers.series, MAX(numbers.count), counters.next FROM up_tack_numbers AS numbers
            LEFT JOIN up_tack_counters AS counters
            ON counters.field_id = numbers.field_id AND counters.series = numbers.series
            WHERE numbers.field_id = #{connection.quote(field.id)} AND numbers.count IS NOT NULL GROUP BY numbers.series
          SQL
          rows
            .select { |_, highest, following| following.nil? || following <= highest }
            .map do |series, highest, following|
              Core::Messages[
                "maintenance.integrity_check.of_was_given_up",
                field: field.label,
                table: table.label,
                series: (" (#{series})" unless series.empty?),
                highest: highest,
                next_count: following || "nothing"
              ]
            end
        end

        # A number that a record has and nobody was given could be given once more.
        def unheld(table, field)
          missing = []
          Store::RecordTable
            .new(table)
            .each_batch(keys: [field.key]) do |batch|
              batch
                .filter_map { |id, row| [id, field.values.dump(row[field.key]).to_s] unless row[field.key].nil? }
                .each_slice(PORTION) do |some|
                  held =
                    connection.select_values(
                      "SELECT text FROM up_tack_numbers WHERE field_id = #{connection.quote(field.id)} AND text " \
                        "IN (#{some.map { |_, text| connection.quote(text) }.join(", ")})"
                    )
                  missing.concat(some.reject { |_, text| held.include?(text) })
                end
            end
          if missing.empty?
            []
          else
            [
              Core::Messages[
                "maintenance.integrity_check.records_have_number_is_not_noted",
                field: field.label,
                table: table.label,
                number: missing.length,
                example: missing.first.last
              ]
            ]
          end
        end

        def finding(what, sound, well, ill) = Finding.new(what: what, sound: sound, message: sound ? well : ill)
      end
    end
  end
end
