# frozen_string_literal: true

module UpTack
  module Recalculation
    # When a field begins to be numbered, the numbers that its records have
    # already are taken note of, so that none is given again and the count goes
    # on after the highest.
    class RegisterNumbers
      def initialize(workspace, progress: Progress.none)
        @workspace = workspace
        @progress = progress
      end

      # @param from [Core::Design::Project, nil]
      # @param to [Core::Design::Project]
      # @return [Array<Array(Core::Design::Table, Core::Rules::Rule)>] rules that number otherwise than before
      def self.fresh(from, to)
        known = rules(from).to_h { |table, rule| [rule.id, mark(table, rule)] }
        rules(to).reject { |table, rule| known[rule.id] == mark(table, rule) }
      end

      def self.rules(project) =
        project ? project.tables.flat_map { |table| table.rules.select(&:numbers?).map { |rule| [table, rule] } } : []

      def self.mark(table, rule) = [table.field(rule.field).id, rule.attributes.except("note", "name")]
      private_class_method :rules, :mark

      # @param from [Core::Design::Project, nil]
      # @param to [Core::Design::Project]
      # @param ahead [Ahead, nil] where the same was done before
      # @return [void]
      def run(from, to, ahead: nil) =
        RegisterNumbers.fresh(from, to).each { |table, rule| adopt(table, rule, ahead) }

      private

      def adopt(table, rule, ahead)
        compiled = rule.compile(table)
        left = ahead && take_over(table, compiled, ahead)
        counters = Store::Counters.new(buffered: true)
        rows = Store::RecordTable.new(table)
        @progress.begin(table.label, table.field(rule.field).label, left&.length || rows.count)
        rows.each_batch(left) do |batch|
          take_note(compiled, batch, counters)
          counters.finish
          @progress.advance(batch.length)
        end
      end

      # What was noted in a copy stands for all records that nobody has saved since.
      # @return [Array<Integer>, nil] those that somebody has; nil where the others may have changed nevertheless
      def take_over(table, compiled, ahead)
        return if paths_of(compiled).any?

        ahead.saved_in(table)&.tap { |saved| ahead.take_numbers(compiled.field, saved) }
      end

      def paths_of(compiled) =
        [compiled.formula, compiled.series].compact.flat_map { |formula| @workspace.project.upkeep.paths_of(formula) }

      def take_note(compiled, batch, counters)
        context = @workspace.context
        context.records.preload(paths_of(compiled), batch)
        batch.each do |id, values|
          number = values[compiled.field.key]
          next if number.nil?

          text = Core::Values.show(number)
          series, count =
            compiled.series_and_count(
              Core::Expression::Evaluation.new(values: values, old: values, context: context, is_new: false, id: id),
              text
            )
          counters.keep(compiled.counting(series || ""), count, text)
          counters.commit(id, finish: false)
        end
      end
    end
  end
end
