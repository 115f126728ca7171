# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # What every calculated field of a project reads, along links and among
      # linked records too; hence which of them are kept, in which order they
      # are worked out, and what must follow when a value changes.
      class DependencyGraph
        # One calculated field.
        # table:: its Design::Table; field:: its Design::Field; rule:: its Kinds::Calculation
        # formula:: the compiled Expression::Formula
        Calculation = Struct.new(:table, :field, :rule, :formula, keyword_init: true) do
          # @return [Array(String, String)]
          def place = [table.key, field.key]
        end

        # A calculation that reads a field, and how it gets there.
        Reader = Struct.new(:calculation, :steps, keyword_init: true)

        # @param tables [Array<Design::Table>] whose rules are sound
        def initialize(tables)
          @tables = tables
        end

        # @return [Array<Calculation>] all, in the order of tables and fields
        def calculations = by_place.values

        # @return [Calculation, nil]
        def calculation(table, key) = by_place[[table, key]]

        # @return [Boolean] whether values of the field have a column
        def kept?(table, key)
          found = calculation(table, key)
          found.nil? || found.rule.once? || (found.rule.always? && fleeting(table, key).empty?)
        end

        # @return [Array<String>] what in a calculation, or in what it reads,
        #   changes with the hour or the person, in words
        def fleeting(table, key)
          @fleeting ||= {}
          @fleeting.fetch([table, key]) do |place|
            # One that leads back to itself, of which the circle is told later, adds nothing on the way.
            @fleeting[place] = []
            found = calculation(table, key)
            @fleeting[place] = (found.nil? || found.rule.once?) ? [] : fleeting_in(found.formula)
          end
        end

        # @param formula [Expression::Formula] any formula of a table of the project
        # @return [Array<String>] what in it changes with the hour or the person
        def fleeting_in(formula) = formula.fleeting | named(formula).flat_map { |each| via(each) }

        # @return [Array<Calculation>] each after those whose values it reads
        def order
          @order ||= TopologicalSort.build(calculations) { |each| read_by(each) }.sorted
        end

        # @return [Array<Calculation>, nil] the members of a circle
        def circle = TopologicalSort.build(calculations) { |each| read_by(each) }.circle

        # @return [Array<Reader>] kept calculations that read a field; those that
        #   are never kept are passed through to what they read in turn
        def readers(table, key) = all_readers.fetch([table, key], [])

        # @return [Array<Array<Step>>] the ways along which a calculation reads other
        #   records, each after those that are its beginning
        def paths(calculation) = (@paths ||= {})[calculation.place] ||= paths_of(calculation.formula)

        # @param formula [Expression::Formula] any formula of a table of the project
        # @return [Array<Array<Step>>]
        def paths_of(formula)
          reads(formula, [])
            .map(&:last)
            .flat_map { |steps| (1..steps.length).map { |count| steps.first(count) } }
            .uniq
            .sort_by(&:length)
        end

        private

        def by_place
          @by_place ||= @tables.flat_map do |table|
            table.rules.select(&:calculates?).map do |rule|
              Calculation.new(table: table, field: table.field(rule.field), rule: rule, formula: rule.formula(table))
            end
          end.to_h { |each| [each.place, each] }
        end

        def named(formula) = formula.references.select { |each| each.key && !each.before }

        def via(reference)
          return [] unless calculation(reference.table, reference.key)

          label = calculation(reference.table, reference.key).field.label
          fleeting(reference.table, reference.key).map do |words|
            words.end_with?(" in #{label}") ? words : "#{words} in #{label}"
          end
        end

        def read_by(calculation) =
          named(calculation.formula).filter_map { |each| self.calculation(each.table, each.key) }.uniq(&:place)

        def all_readers
          @all_readers ||= order.select { |each| kept?(*each.place) }.each_with_object({}) do |calculation, found|
            reads(calculation.formula, []).each do |place, steps|
              list = (found[place] ||= [])
              reader = Reader.new(calculation: calculation, steps: steps)
              list << reader unless list.include?(reader)
            end
          end
        end

        # @return [Array<Array(Array(String, String), Array<Step>)>] places with the steps that lead there
        def reads(formula, steps)
          named(formula).flat_map do |reference|
            place = [reference.table, reference.key]
            further = steps + reference.steps
            kept?(*place) ? [[place, further]] : reads(calculation(*place).formula, further)
          end
        end
      end
    end
  end
end
