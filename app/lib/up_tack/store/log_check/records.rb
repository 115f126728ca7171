# frozen_string_literal: true

module UpTack
  module Store
    module LogCheck
      # Whether every record is as the log last said of it, and whether those numbers are noted as given that
      # it tells of. Fields that follow other records or the day are left out: they change without an entry.
      class Records
        BATCH = 100
        ENTRIES = "SELECT record_id, id, action, revision_id, differences FROM up_tack_entries WHERE " \
          "table_id = ? AND record_id IN (SELECT value FROM json_each(?)) ORDER BY id"
        # An entry as far as it matters here.
        LoggedChange = Struct.new(:id, :action, :revision_id, :changes)

        def initialize(verdict, progress)
          @verdict = verdict
          @progress = progress
          @project = CompiledDesign.current.project
          @names = PresentNames.new(CompiledDesign.current.revision_id)
          @watched = Watched.new(@project)
        end

        # @return [void]
        def run = @project.tables.each { |table| check(table) }

        private

        def check(table)
          rows = RecordTable.new(table)
          fields = @watched.fields(table).to_h { |field| [field.id, field] }
          numbers = Numbers.new(table)
          @progress.begin(table.label, "Records", rows.count)
          each_slice(table) do |ids|
            stored = rows.some(ids).to_h
            logged = entries(table, ids)
            ids.each { |id| compare(table, fields, id, stored[id], logged.fetch(id, []), numbers) }
            @progress.advance(stored.length)
          end
          numbers.faults.each { |text| @verdict.fault(text) }
        end

        # Numbers of records that are there, or of which the log tells.
        def each_slice(table)
          quoted = Database.connection.quote_table_name(table.key)
          last = 0
          loop do
            Deadline.look
            ids =
              Statements.run(
                "SELECT id FROM (SELECT id FROM #{quoted} WHERE id > ?1 UNION SELECT record_id FROM " \
                  "main.up_tack_entries WHERE table_id = ?2 AND record_id > ?1) ORDER BY 1 LIMIT #{BATCH}",
                last,
                table.id
              ).flatten
            break if ids.empty?

            yield ids
            last = ids.last
          end
        end

        def entries(table, ids)
          Statements
            .run(ENTRIES, table.id, JSON.generate(ids))
            .group_by(&:first)
            .transform_values do |all|
              all.map do |_, id, action, revision, differences|
                LoggedChange.new(id, action, revision, JSON.parse(differences).map { |each| FieldChange.new(*each) })
              end
            end
        end

        def compare(table, fields, id, row, logged, numbers)
          gone = logged.empty? ? nil : logged.last.action == "delete"
          if row && gone.nil?
            return @verdict.fault(
              Core::Messages["store.records.record_of_is_there_and_log", id: id, table: table.label]
            )
          end
          if row && gone
            return (
              @verdict.fault(
                Core::Messages[
                  "store.records.record_of_is_there_though_entry_tells",
                  id: id,
                  table: table.label,
                  entry: logged.last.id
                ]
              )
            )
          end
          if row.nil? && gone == false
            return @verdict.fault(Core::Messages["store.records.record_of_is_gone_and_log", id: id, table: table.label])
          end

          latest = {}
          logged.each do |entry|
            entry.changes.each do |change|
              numbers.met(change, id)
              latest[change.field_id] = [entry, change] if fields.key?(change.field_id)
            end
          end
          fields.each { |of, field| value(table, field, id, row, latest[of]) } if row
        end

        def value(table, field, id, row, said)
          return unless @watched.known?(table, field, said&.first&.revision_id)
          return if said && said.last.type != field.type

          expected = said ? @names.values(*said).last : nil
          return if same?(expected, row[field.key], field)

          @verdict.fault(
            Core::Messages[
              "store.records.of_record_of_is_not_what",
              field: field.label,
              id: id,
              table: table.label,
              source: said ? "entry #{said.first.id} tells" : "the log tells"
            ]
          )
        end

        def same?(expected, there, field)
          return true if expected == there || (expected.nil? && there == false) || (there.nil? && expected == false)

          expected && there && field.values.dump(expected) == field.values.dump(there)
        end
      end
    end
  end
end
