# frozen_string_literal: true

module UpTack
  module Recalculation
    # What must be worked out again when the design became another one: every
    # kept calculation whose formula, or whose fields, are not what they were, and
    # whatever reads a field that was given other values.
    class AfterDesign
      # @param from [Core::Design::Project, nil]
      # @param to [Core::Design::Project]
      # @param replaced [Array<Store::Replaced>] fields with other values than before
      def initialize(from, to, replaced = [])
        @from = from
        @to = to
        @replaced = replaced
      end

      # @return [Recalculation::Dirty]
      def dirty
        before = @from ? marks(@from) : {}
        marks(@to).each_with_object(Dirty.new) do |(rule, (mark, place)), found|
          found.add(place, :all) unless before[rule]&.first == mark
        end.tap { |found| mark_readers(found) }
      end

      private

      def mark_readers(found)
        upkeep = @to.upkeep
        @replaced.each do |replaced|
          replaced.each(@to) do |table, field, ids|
            place = [table.key, field.key]
            found.add(place, ids) if lasting?(upkeep.calculation(*place)) && upkeep.kept?(*place)
            upkeep
              .readers(*place)
              .each { |reader| found.add(reader.calculation.place, DependentLookup.new(reader.steps).from(ids)) }
          end
        end
      end

      def lasting?(calculation) = !calculation.nil? && !calculation.rule.once?

      # What makes each calculation what it is, with names taken out: a field or
      # table that is only renamed changes nothing.
      # @return [Hash{String=>Array}] by rule id, the mark and the place
      def marks(project)
        names = Names.new(project)
        project
          .upkeep
          .calculations
          .reject { |each| each.rule.once? }
          .select { |each| project.upkeep.kept?(*each.place) }
          .to_h { |each| [each.rule.id, [names.mark(each), each.place]] }
      end

      # Writes formulas with the ids of fields and tables in the place of their keys.
      class Names
        def initialize(project)
          @project = project
        end

        # @return [Array]
        def mark(calculation)
          reads = calculation.formula.references.select(&:key).map { |each| field_mark(each.table, each.key) }
          [@project.conventions.attributes, field_mark(*calculation.place, deep: false), text(calculation), reads]
        end

        private

        def text(calculation)
          calculation
            .formula
            .references
            .select(&:from)
            .uniq(&:from)
            .sort_by(&:from)
            .reverse
            .reduce(calculation.formula.text) { |text, each| text[0...each.from] + id_of(each) + text[each.to..] }
        end

        def id_of(reference)
          table = @project.table(reference.table)
          reference.key ? table.field(reference.key).id : table.id
        end

        def field_mark(table, key, deep: true)
          field = @project.table(table).field(key)
          inner = (deep && !@project.upkeep.kept?(table, key)) ? mark(@project.upkeep.calculation(table, key)) : nil
          [
            field.id,
            field.type,
            field.decimals,
            field.choices,
            field.target && @project.table(field.target).id,
            @project.upkeep.kept?(table, key),
            inner
          ]
        end
      end
    end
  end
end
