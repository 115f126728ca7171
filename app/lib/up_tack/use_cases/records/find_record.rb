# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Reads one record.
      class FindRecord
        # @return [String] what people are told
        def self.missing(design, id) = Core::Messages["common.there_is_no_record", id: id, table: design.label]

        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Services::StoredRecord]
        # @raise [Store::NotFound]
        def call(table:, id:)
          design = @workspace.table(table)
          values = Store::RecordTable.new(design).find(id) or raise Store::NotFound, FindRecord.missing(design, id)
          Services::StoredRecord.new(id: id, version: Store::ChangeLog.version_of(design, id), values: values)
        end
      end
    end
  end
end
