# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Reads the names of all tables that links lead to, so that the first who types one does not wait for it.
      class ReadNames
        def initialize(workspace)
          @workspace = workspace
        end

        # @return [void]
        def call
          targets = @workspace.project.tables.flat_map { |table| table.fields.filter_map(&:target) }.uniq
          targets.each { |target| Store::NameIndex.find(@workspace.plan(target), @workspace.context) }
        end
      end
    end
  end
end
