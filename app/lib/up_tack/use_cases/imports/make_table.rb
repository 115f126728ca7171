# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Makes a table out of what NewTable proposed and the builder left of it. Each step
      # is a change of the design like one made by hand; the rows come in afterwards.
      class MakeTable
        def initialize(workspace)
          @workspace = workspace
        end

        # @param label [String]
        # @param fields [Array<Hash>] "label", "type", "choices" and "rules" of each, plain
        # @return [Core::Design::Table]
        # @raise [Core::Invalid]
        def call(label:, fields:)
          if fields.empty?
            Core::Invalid.because(Core::Messages["imports.make_table.table_needs_at_least_one_field"],
              part: "fields")
          end
          @workspace.write do
            before = @workspace.project.tables.map(&:id)
            change(Core::Design::Changes::AddTable.new(label: label))
            known = @workspace.project.tables.find { |table| !before.include?(table.id) }.key
            @workspace
              .table(known)
              .fields
              .map(&:key)
              .each { |key| change(Core::Design::Changes::RemoveField.new(table: known, field: key)) }
            fields.each { |field| add(known, field) }
            @workspace.table(known)
          end
        end

        private

        def change(change) = Design::ChangeDesign.new(@workspace).call(change).tap { @workspace.renew }

        def add(table, field)
          change(
            Core::Design::Changes::AddField.new(
              table: table,
              parts: {"label" => field["label"], "type" => field["type"], "choices" => field["choices"]}.compact
            )
          )
          key = @workspace.table(table).fields.last.key
          (field["rules"] || []).each do |rule|
            change(Core::Design::Changes::PinRule.new(table: table, rule: rule.merge("field" => key)))
          end
        end
      end
    end
  end
end
