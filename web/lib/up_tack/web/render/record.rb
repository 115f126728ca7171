# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Records: their values for programs and as people read them, those that are
      # never kept included.
      class Record
        # @param workspace [Workspace]
        # @param table [Core::Design::Table]
        def initialize(workspace, table)
          @plan = workspace.plan(table.key)
          @table = table
          @seen = Seen.new(workspace).fields(table)
          @context = workspace.context
          @upkeep = workspace.project.upkeep
        end

        # @param record [UseCases::Record]
        def of(record) = all([record]).first

        # @param records [Array<UseCases::Record>]
        # @return [Array<Hash>]
        def all(records)
          prepare(records)
          records.map { |record| one(record) }
        end

        private

        # Linked records are read in a few queries, not record by record.
        def prepare(records)
          batch = records.map { |record| [record.id, record.values] }
          ways = @table.fields.reject { |field| @table.kept?(field.key) }.flat_map { |field| @upkeep.ways(@upkeep.calculation(@table.key, field.key)) }
          Upkeep::Preload.new(ways.uniq.sort_by(&:length), @context.records).for(batch)
          @table.fields.select(&:link?).each { |field| @context.records.load(field.target, batch.filter_map { |_, values| values[field.key] }) }
        end

        def one(record)
          values = @plan.complete(record.id, record.values, @context)
          {
            id: record.id, version: record.version, title: UseCases::Titles.of(@table, record.id, values, @context),
            values: @seen.to_h { |field| [field.key, field.values.dump(values[field.key])] },
            texts: @seen.to_h { |field| [field.key, field.show(values[field.key], @context.records)] }
          }
        end
      end
    end
  end
end
