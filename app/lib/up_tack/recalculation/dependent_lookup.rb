# frozen_string_literal: true

module UpTack
  module Recalculation
    # Goes back along the steps by which a calculation reads a value, from
    # changed records to those whose calculation reads them.
    class DependentLookup
      # @param steps [Array<Core::Expression::Step>] from the calculation to the value
      def initialize(steps)
        @steps = steps
      end

      # @param ids [Array<Integer>, :all] changed records
      # @param before [Hash{String=>Object}, nil] values that one of them had before:
      #   what it linked to then must follow as well
      # @return [Set<Integer>, :all] records of the calculation
      def from(ids, before: nil)
        return ids if ids == :all || @steps.empty?

        first = true
        @steps.reverse.reduce(Set.new(ids)) do |reached, step|
          found = (step.kind == :link) ? linking(step, reached) : linked(step, reached)
          found << before[step.key] if first && step.kind == :linked && before && before[step.key]
          first = false
          return :all if found.length > Dirty::MOST

          found
        end
      end

      private

      # Records whose link points to one of those reached.
      def linking(step, reached)
        rows = "SELECT id FROM #{quoted(step.table)} WHERE #{quoted(step.key)}"
        slices(reached) { |some| numbers(rows, some, "LIMIT #{Dirty::MOST + 1}") }
      end

      # Records to which those reached are linked.
      def linked(step, reached)
        rows = "SELECT DISTINCT #{quoted(step.key)} FROM #{quoted(step.table)} WHERE id"
        slices(reached) { |some| numbers(rows, some, "AND #{quoted(step.key)} IS NOT NULL") }
      end

      # One record, as a save has it, is asked for by what is prepared once.
      def numbers(rows, some, more)
        return Store::Statements.run("#{rows} = ? #{more}", some.first).flatten if some.length == 1

        Store::Database.connection.select_values("#{rows} IN (#{some.map { |id| Integer(id) }.join(",")}) #{more}")
      end

      def quoted(name) = Store::Database.connection.quote_table_name(name)

      def slices(reached)
        found = Set.new
        reached.each_slice(500) do |some|
          found.merge(yield(some))
          break if found.length > Dirty::MOST
        end
        found
      end
    end
  end
end
