# frozen_string_literal: true

module UpTack
  module Recalculation
    # What stamps and tallies would have written on records that exist, as far as
    # the change log knows: read from their entries, the oldest first.
    class BackfillFromLog
      # What an entry made of a record.
      Stage = Struct.new(:entry, :before, :after, keyword_init: true)

      # @param workspace [Workspace]
      # @param table [Core::Design::Table]
      def initialize(workspace, table)
        @workspace = workspace
        @table = table
        @names = Store::PresentNames.new(workspace.revision_id)
        @fields = table.fields.to_h { |field| [[field.id, field.type], field.key] }
      end

      # Fills stamps and tallies that are new or changed, where they are blank.
      # @param from [Core::Design::Project, nil]
      # @param replaced [Store::Replaced] takes note of what is filled
      # @param ahead [Ahead, nil] where the same was done before
      # @return [void]
      def self.run(workspace, from, to, replaced, progress: Progress.none, ahead: nil)
        fresh(from, to).each { |table, rules| new(workspace, table).fill(rules, replaced, progress, ahead) }
      end

      # @return [Array<Array(Core::Design::Table, Array<Core::Rules::Rule>)>] stamps and tallies that are new or changed
      def self.fresh(from, to)
        known = from ? from.tables.flat_map { |table| table.rules.map(&:attributes) } : []
        to.tables
          .map { |table| [table, table.rules.select { |rule| rule.backfills? && !known.include?(rule.attributes) }] }
          .reject { |_, rules| rules.empty? }
      end

      def fill(rules, replaced, progress, ahead)
        rows = Store::RecordTable.new(@table)
        compiled = rules.map { |rule| rule.compile(@table) }
        saved = ahead.saved_in(@table) if ahead && rules.none?(&:looks_at_other_records?)
        left = saved && take_over(rules, replaced, ahead, saved)
        progress.begin(@table.label, rules.map { |rule| @table.field(rule.field).label }.join(", "),
          left&.length || rows.count)
        rows.each_batch(left) do |batch|
          found = values(compiled, batch)
          filled = {}
          batch.each do |id, row|
            missing = found.fetch(id).select { |key, value| row[key].nil? && !value.nil? }
            rows.update(id, missing) if missing.any?
            missing.each { |key, value| (filled[key] ||= {})[id] = value }
          end
          note(filled, replaced)
          progress.advance(batch.length)
        end
      end

      # What was filled in a copy stands for all records that nobody has saved since.
      # @param saved [Array<Integer>] those that somebody has
      # @return [Array<Integer>] those that are left
      def take_over(rules, replaced, ahead, saved)
        rules.each do |rule|
          field = @table.field(rule.field)
          replaced.note(@table, field, ahead.fill(@table, field, saved))
        end
        saved
      end

      def note(filled, replaced)
        filled.each do |key, values|
          Store::FilledFromLog.note(@table.field(key), values)
          replaced.note(@table, @table.field(key), values.keys)
        end
      end

      # @param rules [Array<#rule>] compiled
      # @param batch [Array<Array(Integer, #[])>] numbers with values
      # @return [Hash{Integer=>Hash{String=>Object}}] by record and field, nil where the log does not know
      def values(rules, batch)
        Store::LogFiles.complete!
        entries =
          Store::Entry.where(table_id: @table.id, record_id: batch.map(&:first)).order(:id).group_by(&:record_id)
        @context = @workspace.context
        batch.to_h do |id, row|
          stages = stages(entries.fetch(id, []), row)
          [id, rules.to_h { |rule| [rule.field.key, coerced(rule.field, value(rule, stages, id))] }]
        end
      end

      private

      # The record before and after each of its entries, found by going back from what it is now.
      def stages(entries, row)
        after = @table.fields.to_h { |field| [field.key, row.fetch(field.key) { nil }] }
        entries
          .reverse
          .map do |entry|
            before = after.dup
            entry.field_changes.reverse_each do |change|
              (key = @fields[[change.field_id, change.type]]) && before[key] = @names.values(entry, change).first
            end
            Stage.new(entry: entry, before: (before unless made?(entry)), after: after).tap { after = before }
          end
          .reverse
          .select { |stage| %w[create update].include?(stage.entry.action) }
      end

      def made?(entry) = entry.action == "create"

      def value(compiled, stages, id)
        return tally(compiled, stages) if compiled.rule.counts_changes?

        case compiled.rule.event
        when "made" then mark(compiled, stages.find { |stage| made?(stage.entry) })
        when "changed" then mark(compiled, stages.reverse.find { |stage| changed?(compiled, stage) })
        else reached(compiled, stages, id)
        end
      end

      def tally(compiled, stages)
        BigDecimal(stages.count { |stage| stage.before && changed?(compiled, stage) }) if stages.any?
      end

      def changed?(compiled, stage) = compiled.watched.keys.any? { |key| stage.after[key] != stage.before&.fetch(key) }

      def reached(compiled, stages, id)
        stages.reduce(nil) do |held, stage|
          holds = holds?(compiled, stage.after, id)
          next (compiled.rule.clears? ? nil : held) unless holds
          next held if (stage.before && holds?(compiled, stage.before, id)) || (held && !compiled.rule.last?)

          mark(compiled, stage)
        end
      end

      def holds?(compiled, values, id)
        compiled.condition.call(
          Core::Expression::Evaluation.new(values: values, old: values, context: @context, is_new: false, id: id)
        ) == true
      end

      def mark(compiled, stage) = stage && compiled.mark(stage.entry.made_at, stage.entry.person_name, @workspace.clock)

      def coerced(field, value)
        value = field.coerce(value) if field.numeric?
        value.is_a?(Core::Values::Unreadable) ? nil : value
      end
    end
  end
end
