# frozen_string_literal: true

module UpTack
  module Services
    # A calculated value can become another one because a record elsewhere was
    # saved. Stamps, tallies and log lines that wait for it act then too, on each
    # record that it concerns, as an entry of its own: "by a rule".
    class DownstreamLogRules
      # @param workspace [Workspace]
      def initialize(workspace)
        @workspace = workspace
        @writers = Hash.new { |hash, key| hash[key] = RecordWriter.new(workspace, key, channel: "rule") }
      end

      # @param moved [Hash{Array(String, String)=>Hash{Integer=>Object}}, nil] by table and
      #   field, what the records held before, by their numbers
      # @return [void]
      def write(moved)
        return if moved.nil?

        moved.group_by { |(table, _), _| table }.each do |table, places|
          before = Hash.new { |hash, id| hash[id] = {} }
          places.each { |(_, key), values| values.each { |id, value| before[id][key] = value } }
          before.sort.each { |id, values| act(@workspace.table(table), id, values) }
        end
      end

      private

      def act(table, id, before)
        now = Store::RecordTable.new(table).find(id) or return
        changes =
          Core::Save
            .call(
              @workspace.plan(table.key),
              Core::Save::Draft.new(typed: {}, stored: now.merge(before), id: id),
              @workspace.context
            )
            .changes
        written = to_write(table, changes, before)
        return if written.empty?

        @writers[table.key].amend(
          StoredRecord.new(id: id, values: now),
          written,
          logged: changes.select { |change| written.include?(change) || before.key?(change.field.key) }
        )
      end

      # @return [Array<Core::Save::Change>] those of the rules that waited, and what is calculated from them
      def to_write(table, changes, before)
        rules = Recalculation::AwaitedFields.waiting(table, before.keys).map(&:id)
        made = changes.select { |change| rules.include?(change.rule) }
        return made if made.empty?

        made + changes.select { |change| table.worked_out?(change.field.key) && !before.key?(change.field.key) }
      end
    end
  end
end
