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
      def run(from, to)
        before =
          rules(from).to_h do |table, rule|
            [rule.id, [table.field(rule.field).id, rule.attributes.except("note", "name")]]
          end
        rules(to).each do |table, rule|
          unless before[rule.id] == [table.field(rule.field).id, rule.attributes.except("note", "name")]
            adopt(table, rule)
          end
        end
      end

      private

      def rules(project) =
        if project
          project.tables.flat_map { |table| table.rules.select(&:numbers?).map { |rule| [table, rule] } }
        else
          []
        end

      def adopt(table, rule)
        compiled = rule.compile(table)
        counters = Store::Counters.new(buffered: true)
        rows = Store::RecordTable.new(table)
        @progress.begin(table.label, table.field(rule.field).label, rows.count)
        rows.each_batch do |batch|
          take_note(compiled, batch, counters)
          counters.finish
          @progress.advance(batch.length)
        end
      end

      def take_note(compiled, batch, counters)
        context = @workspace.context
        paths =
          [compiled.formula, compiled.series].compact
            .flat_map { |formula| @workspace.project.upkeep.paths_of(formula) }
        context.records.preload(paths, batch)
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
