# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Records: their values for programs and as people read them, those that are
      # never kept included.
      class Record
        # @param workspace [Workspace]
        # @param table [Core::Design::Table]
        # @param fields [Array<String>, nil] keys of those wanted; nil for all
        # @raise [Core::Invalid] for a field that the table does not have
        def initialize(workspace, table, fields: nil)
          Services::Fields.check(table, fields.to_h { |key| [key, nil] }, workspace.visibility) if fields
          @plan = workspace.plan(table.key)
          @table = table
          @seen = workspace.visibility.fields(table).select { |field| fields.nil? || fields.include?(field.key) }
          @read = fields && [*fields, table.title_field&.key].compact
          @context = workspace.context
          @upkeep = workspace.project.upkeep
        end

        # @param record [Core::StoredRecord]
        def render(record) = all([record]).first

        # @param records [Array<Core::StoredRecord>]
        # @return [Array<Hash>]
        def all(records)
          prepare(records)
          records.map { |record| one(record) }
        end

        private

        # Linked records are read in a few queries, not record by record.
        def prepare(records)
          batch = records.map { |record| [record.id, record.values] }
          paths =
            @table
              .fields
              .reject { |field| @table.kept?(field.key) || @read&.include?(field.key) == false }
              .flat_map { |field| @upkeep.paths(@upkeep.calculation(@table.key, field.key)) }
          @context.records.preload(paths, batch)
          @table
            .fields
            .select(&:link?)
            .each { |field| @context.records.load(field.target, batch.filter_map { |_, values| values[field.key] }) }
        end

        def one(record)
          values = @plan.complete(record.id, record.values, @context, @read)
          stored, texts = {}, {}
          lines.each do |key, field, type, as_is|
            value = values[key]
            # Most of what is shown is blank, or a text that is shown as it is.
            if value.nil? || as_is
              stored[key] = value
              texts[key] = value.to_s
              next
            end
            stored[key] = type.dump(value)
            texts[key] = field.show(value, @context.records)
          end
          former.each { |old, now| [stored, texts].each { |all| all[old] = all[now] if all.key?(now) } }
          {
            id: record.id,
            version: record.version,
            title: Core::Save::RecordTitle.find(@table, record.id, values, @context),
            values: stored,
            texts: texts
          }
        end

        # Programs that know a field by a key that it had before find its value there as well.
        def former = @former ||= @seen.flat_map { |field| field.aliases.map { |old| [old, field.key] } }

        # Each field with what is the same for all records.
        def lines =
          @lines ||=
            @seen.map { |field| [field.key, field, field.values, field.folded?] }
      end
    end
  end
end
