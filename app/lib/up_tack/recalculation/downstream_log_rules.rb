# frozen_string_literal: true

module UpTack
  module Recalculation
    # A calculated value can become another one because a record elsewhere was
    # saved. Stamps, tallies and log lines that wait for it act then too, on each
    # record that it concerns, as an entry of its own: "by a rule".
    class DownstreamLogRules
      # @param workspace [Workspace]
      def initialize(workspace)
        @workspace = workspace
      end

      # @param table [Core::Design::Table]
      # @param key [String] of a calculated field
      # @return [Boolean] whether anything waits for it
      def self.awaited?(table, key) = table.rules.any? { |rule| waiting?(rule, table, [key]) }

      # Only what names one of the fields: that a record followed another is no change made to it.
      def self.waiting?(rule, table, keys) = rule.logs? && rule.owns? && (rule.awaited(table) & keys).any?

      # @param moved [Hash{Array(String, String)=>Hash{Integer=>Object}}] by table and
      #   field, what the records held before, by their numbers
      def run(moved)
        moved.group_by { |(table, _), _| table }.each do |table, places|
          before = Hash.new { |hash, id| hash[id] = {} }
          places.each { |(_, key), values| values.each { |id, value| before[id][key] = value } }
          before.sort.each { |id, values| act(@workspace.table(table), id, values) }
        end
      end

      private

      def act(table, id, before)
        rows = Store::RecordTable.new(table)
        now = rows.find(id) or return
        context = @workspace.context
        outcome =
          Core::Save.call(
            @workspace.plan(table.key),
            Core::Save::Draft.new(typed: {}, stored: now.merge(before), id: id),
            context
          )
        rules = table.rules.select { |rule| DownstreamLogRules.waiting?(rule, table, before.keys) }.map(&:id)
        pressed = outcome.changes.select { |change| rules.include?(change.rule) }
        changes =
          if pressed.empty?
            []
          else
            pressed +
              outcome.changes.select do |change|
                table.worked_out?(change.field.key) && !before.key?(change.field.key)
              end
          end
        return if changes.empty?

        rows.update(id, changes.to_h { |change| [change.field.key, change.after] })
        log(
          table,
          id,
          now,
          outcome.changes.select { |change| changes.include?(change) || before.key?(change.field.key) },
          changes
        )
      end

      # What was written may be read elsewhere in turn.
      def log(table, id, now, told, changes)
        after = now.merge(changes.to_h { |change| [change.field.key, change.after] })
        upkeep = AfterSave.new(@workspace, table)
        followed = upkeep.run(id, before: now, after: after)
        Store::ChangeLog.add(
          table: table,
          record_id: id,
          action: "update",
          changes: told,
          followed: followed,
          workspace: @workspace,
          way: "rule",
          title: Core::Save::RecordTitle.of(table, id, after, @workspace.context)
        )
        upkeep.echo
      end
    end
  end
end
