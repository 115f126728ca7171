# frozen_string_literal: true

module UpTack
  module Store
    # Writes and reads the change log. Each save is one entry, with those changes
    # that the table's log watches.
    module ChangeLog
      module_function

      # @param changes [Array<Core::Save::Change>]
      # @param followed [Hash{Array(String, String)=>Integer}] how many calculated
      #   values of other records became other ones, by table and field
      # @param passed [Array<Core::Save::AcknowledgedWarning>] warnings passed with a reason
      # @param channel [String] one of Entry::CHANNELS
      # @param batch [Batch, nil] the greater change that it is a part of
      # @param workspace [Workspace] of whoever saves
      # @param records [LinkedRecords] by which links are named
      # @param log [LogWriter]
      # @param prepared [PreparedRow, nil] what is written down besides
      # @return [Integer] the entry's number, which is the record's version from now on
      def add(
        table:,
        record_id:,
        action:,
        changes:,
        workspace:,
        channel:,
        title:,
        followed: {},
        passed: [],
        batch: nil,
        records: workspace.context.records,
        log: LogWriter.new,
        prepared: nil
      )
        changes = changes.select { |change| table.logged?(change.field) } if table.log
        number, name = workspace.author
        name = PersonNames.seal(number, name)
        log.add(
          [
            nil,
            LogWriter.moment(workspace.clock.now),
            number,
            name,
            channel,
            action,
            table.id,
            record_id,
            title,
            workspace.revision_id,
            passed.empty? ? nil : JSON.generate(passed.map(&:to_h)),
            followed.empty? ? nil : JSON.generate(followed_by_label(workspace.project, followed)),
            batch&.id
          ],
          changes,
          records,
          prepared
        )
      end

      # @return [Integer, nil] number of the record's latest entry: its version
      def version_of(table, record_id)
        Statements.run(
          "SELECT MAX(id) FROM main.up_tack_entries WHERE table_id = ? AND record_id = ?",
          table.id,
          record_id
        ).dig(0, 0)
      end

      # @return [Integer] number of the latest entry, 0 where there is none
      def latest = Statements.run("SELECT MAX(id) FROM main.up_tack_entries").dig(0, 0).to_i

      # @param seen [Integer] number of an entry
      # @param table [Core::Design::Table]
      # @return [Integer] number of the latest entry after it that is of another table, 0 where there is none
      def others(seen, table) =
        Statements.run("SELECT MAX(id) FROM main.up_tack_entries WHERE id > ? AND table_id <> ?", seen, table.id)
          .dig(0, 0).to_i

      # @return [Hash{Integer=>Integer}] versions by record number
      def versions_of(table, record_ids)
        Statements.run(
          "SELECT record_id, MAX(id) FROM main.up_tack_entries WHERE table_id = ? " \
            "AND record_id IN (SELECT value FROM json_each(?)) GROUP BY record_id",
          table.id,
          JSON.generate(record_ids)
        ).to_h
      end

      # @return [String] SQL for the version of a record in `rows`
      def version_sql(table) =
        "(SELECT MAX(latest.id) FROM main.up_tack_entries AS latest WHERE latest.table_id = " \
          "#{Database.connection.quote(table.id)} AND latest.record_id = rows.id)"

      # @param version [Integer]
      # @return [String] SQL that says whether a record in `rows` was changed after it
      def changed_after_sql(table, version) =
        "rows.id IN (SELECT record_id FROM main.up_tack_entries NOT INDEXED WHERE id > #{Integer(version)} " \
          "AND table_id = #{Database.connection.quote(table.id)})"

      # @return [Array<Entry>] entries of the record after a version, oldest first
      def since(table, record_id, version)
        Entry.where(table_id: table.id, record_id: record_id).where("id > ?", version).order(:id).to_a
      end

      # @return [Array<Integer>] those of some records in which a field had a value once
      # @raise [LogFiles::Missing]
      def ever_given(table, field, record_ids)
        LogFiles.complete!
        FieldChangeIndex.telling(field.id).where(table_id: table.id, record_id: record_ids).distinct.pluck(:record_id)
      end

      def followed_by_label(project, followed)
        followed.reject { |_, count| count.zero? }.map do |(table, key), count|
          {"table" => project.table(table).label, "field" => project.table(table).field(key).label, "count" => count}
        end
      end
    end
  end
end
