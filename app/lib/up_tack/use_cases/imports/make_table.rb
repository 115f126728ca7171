# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Makes a table out of what NewTable proposed and the builder left of it, as one change of the
      # design; the rows come in afterwards.
      class MakeTable
        def initialize(workspace)
          @workspace = workspace
        end

        # @param label [String]
        # @param fields [Array<Hash>] "label", "type", "choices", "format", "target" and "rules" of each, plain, and
        #   the "column" of the file that it is made of
        # @param upload [Uploads::Upload, nil] the file, which remembers the fields of its columns
        # @return [Core::Design::Table]
        # @raise [Core::Invalid]
        def call(label:, fields:, upload: nil)
          given = fields.map { |field| field.slice("label", "type", "choices", "format", "target", "rules") }
          change = Core::Design::Changes::AddTables.new(tables: [{"label" => label, "fields" => given}])
          table = change.added_to(Design::ChangeDesign.new(@workspace).call(change)).first
          columns = fields.map { |field| field["column"] }
          upload&.remember(table, columns.zip(table.fields).select { |column, _| column.is_a?(String) }.to_h)
          table
        end
      end
    end
  end
end
