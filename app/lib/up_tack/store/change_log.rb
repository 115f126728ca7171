# frozen_string_literal: true

module UpTack
  module Store
    # Writes and reads the change log. Each save is one entry.
    module ChangeLog
      module_function

      # @param changes [Array<Core::Save::Change>]
      # @return [Entry]
      def add(table:, record_id:, action:, changes:, person:, way:, title:, at:, revision_id:)
        entry = Entry.create!(
          made_at: at, person_id: person.id, person_name: person.name, way: way, action: action,
          table_id: table.id, record_id: record_id, record_title: title, revision_id: revision_id
        )
        rows = changes.map { |change| row(entry, change) }
        FieldChange.insert_all!(rows) if rows.any?
        entry
      end

      # @return [Integer, nil] number of the record's latest entry: its version
      def version_of(table, record_id)
        Entry.where(table_id: table.id, record_id: record_id).maximum(:id)
      end

      # @return [Hash{Integer=>Integer}] versions by record number
      def versions_of(table, record_ids)
        Entry.where(table_id: table.id, record_id: record_ids).group(:record_id).maximum(:id)
      end

      # @return [Array<Entry>] entries of the record after a version, oldest first
      def since(table, record_id, version)
        Entry.where(table_id: table.id, record_id: record_id).where("id > ?", version).includes(:field_changes).order(:id).to_a
      end

      # @param before [Integer, nil] only entries older than this one
      # @return [Array<Entry>] newest first
      def entries(table: nil, record_id: nil, before: nil, limit: 50)
        scope = Entry.includes(:field_changes).order(id: :desc).limit(limit)
        scope = scope.where(table_id: table.id) if table
        scope = scope.where(record_id: record_id) if record_id
        scope = scope.where("id < ?", before) if before
        scope.to_a
      end

      def row(entry, change)
        values = change.field.values
        {
          entry_id: entry.id, field_id: change.field.id, field_label: change.field.label, type: change.field.type,
          before: json(values.dump(change.before)), after: json(values.dump(change.after)), rule_id: change.rule
        }
      end

      def json(plain) = plain.nil? ? nil : JSON.generate(plain)
    end
  end
end
