# frozen_string_literal: true

module UpTack
  module UseCases
    # The records of a table that a filter lets through, in the order of a field,
    # found by working out the filter and the field on every record: so it is the
    # same for fields that are kept and those that are not. What was found is
    # remembered until a record or the design changes.
    class Selection
      # Those of the latest questions.
      KNOWN = Memory.new(12)

      # @param workspace [Workspace]
      # @param table [Core::Design::Table]
      # @param filter [Core::Expression::Formula, nil]
      # @param sort [Core::Design::Field, nil] nil sorts by number
      def initialize(workspace, table, filter: nil, sort: nil, descending: false)
        @workspace = workspace
        @table = table
        @filter = filter
        @sort = sort
        @descending = descending
      end

      # @return [Array<Integer>] numbers of the records
      def ids = KNOWN.fetch(key) { ordered(found) }

      private

      def key
        fleeting = [@filter, sorting].compact.any? { |formula| upkeep.fleeting_in(formula).any? }
        [
          Store::Database.path, @workspace.revision_id, Store::Entry.maximum(:id), @table.key, @filter&.text, @sort&.key, @descending,
          fleeting ? [@workspace.clock.now.to_i / 60, @workspace.person.id] : nil
        ]
      end

      def upkeep = @workspace.project.upkeep

      # @return [Core::Expression::Formula, nil] of a field that is worked out on reading
      def sorting
        (@sort && !@table.kept?(@sort.key)) ? upkeep.calculation(@table.key, @sort.key).formula : nil
      end

      # @return [Array<Array(Object, Integer)>] sort keys with numbers
      def found
        ways = [@filter, sorting].compact.flat_map { |formula| upkeep.ways_of(formula) }.uniq.sort_by(&:length)
        matches = []
        Store::Rows.new(@table).each_batch do |batch|
          @context = @workspace.context
          Upkeep::Preload.new(ways, @context.records).for(batch)
          @context.records.load(@sort.target, batch.filter_map { |_, row| row[@sort.key] }) if @sort&.link?
          batch.each { |id, row| matches << [sort_key(id, row), id] if lets_through?(id, row) }
        end
        matches
      end

      def lets_through?(id, row) = @filter.nil? || @filter.call(evaluation(id, row)) == true

      def evaluation(id, row)
        Core::Expression::Evaluation.new(values: row, old: row, context: @context, is_new: false, id: id)
      end

      # As what is shown compares: text without regard to case, a link by its name.
      def sort_key(id, row)
        return unless @sort

        value = row.fetch(@sort.key) { @table.scope[@sort.key].computed.call(evaluation(id, row)) }
        case value
        when nil then nil
        when Integer then Core::Expression::Text.folded(@sort.show(value, @context.records))
        when String then Core::Expression::Text.folded(value)
        when true then 1
        when false then 0
        else value
        end
      end

      # Blanks come last both ways; records of one value keep the order of their numbers.
      def ordered(matches)
        return @descending ? matches.map(&:last).reverse : matches.map(&:last) unless @sort

        blank, filled = matches.partition { |value, _| value.nil? }
        sorted = @descending ? filled.sort_by { |value, id| [value, -id] }.reverse : filled.sort
        (sorted + blank).map(&:last)
      end
    end
  end
end
