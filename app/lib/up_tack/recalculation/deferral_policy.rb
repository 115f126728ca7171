# frozen_string_literal: true

module UpTack
  module Recalculation
    # Whether what follows from the records of a table may wait while more of them are
    # written: not where their own rules read what follows, or where rules elsewhere act
    # each time that it becomes another value.
    class DeferralPolicy
      # @param project [Core::Design::Project]
      # @param table [Core::Design::Table]
      def initialize(project, table)
        @project = project
        @upkeep = project.upkeep
        @table = table
      end

      # @param readers [Array<Core::Analysis::DependencyGraph::Reader>] of fields of the table
      # @return [Boolean]
      def wait?(readers)
        reached = reached(readers)
        reached.none? { |table, key| table == @table.key || AwaitedFields.awaited?(@project.table(table), key) } &&
          @table.rules.flat_map { |rule| rule.references(@table) }.none? { |each| sees?(each, reached, []) }
      end

      private

      # @return [Set<Array(String, String)>] kept values that follow, and what follows from those
      def reached(readers)
        found = Set.new
        pending = readers.map(&:calculation)
        while (calculation = pending.pop)
          pending.concat(@upkeep.readers(*calculation.place).map(&:calculation)) if found.add?(calculation.place)
        end
        found
      end

      # What is never kept is read through.
      def sees?(reference, reached, passed)
        place = [reference.table, reference.key]
        return false if reference.key.nil? || passed.include?(place)
        return true if reached.include?(place)

        calculation = @upkeep.calculation(*place)
        calculation ? calculation.formula.references.any? { |each| sees?(each, reached, [*passed, place]) } : false
      end
    end
  end
end
