# frozen_string_literal: true

module UpTack
  module UseCases
    # What the records that a filter lets through come to, field by field.
    class ReckonTotals
      # total:: how many records the table has; matching:: how many the filter lets through
      # fields:: Totals by key
      Result = Struct.new(:total, :matching, :fields, keyword_init: true)
      # filled:: how many have a value; sum, average, least, greatest:: values or nil
      Total = Struct.new(:filled, :sum, :average, :least, :greatest, keyword_init: true)

      # Digits of a whole number that SQLite sums up by themselves, lest the sum outgrow its 64 bits.
      HALF = 1_000_000_000

      def initialize(workspace)
        @workspace = workspace
      end

      # @param table [String] key
      # @param filter [String, nil]
      # @param fields [Array<String>] keys of those to reckon
      # @return [Result]
      # @raise [Core::Design::Invalid, NotAllowed]
      def call(table:, filter: nil, fields: [])
        @view = View.new(@workspace, table, filter: filter)
        Fields.check(@view.table, fields.to_h { |key| [key, nil] })
        fields.each { |key| @view.check_open(@view.table.key, key) }
        @selection = @view.selection
        wanted = fields.map { |key| @view.table.field(key) }
        Result.new(total: Store::Rows.new(@view.table).count, matching: @selection.count, fields: wanted.to_h { |field| [field.key, total(field)] })
      end

      private

      def total(field) = (@selection.query.rest.nil? && @view.table.kept?(field.key)) ? in_database(field) : by_hand(field)

      def in_database(field)
        column = Store::Query::Keys.name(field)
        return Total.new(filled: reckon("COUNT(#{column})").first) unless %i[number date].include?(field.kind)

        sums = (field.kind == :number) ? Sum.parts(column) : []
        filled, least, greatest, *parts = reckon("COUNT(#{column})", "MIN(#{column})", "MAX(#{column})", *sums)
        return Total.new(filled: filled) if filled.zero?

        read = Store::Cells.reader(field)
        sum = (field.kind == :number) ? Sum.of(parts) || sum_by_values(column) : nil
        Total.new(filled: filled, sum: sum, average: sum && average(sum, filled), least: read.call(least), greatest: read.call(greatest))
      end

      # An exact sum of a column in one pass: SQLite would add up binary fractions, so they
      # are taken as whole millionths, and in two halves lest the sum outgrow its 64 bits.
      module Sum
        MILLION = 1_000_000
        # Numbers up to here have their millionths exactly.
        GREATEST = 9_000_000_000

        module_function

        # @return [Array<String>] SQL
        def parts(column)
          whole = "CASE typeof(#{column}) WHEN 'integer' THEN #{column} END"
          millionths = "CASE typeof(#{column}) WHEN 'real' THEN CAST(ROUND(#{column} * #{MILLION}.0) AS INTEGER) END"
          beyond = "CASE typeof(#{column}) WHEN 'real' THEN (ABS(#{column}) > #{GREATEST} OR ROUND(#{column} * #{MILLION}.0) / #{MILLION}.0 <> #{column}) END"
          ["SUM(#{whole} / #{HALF})", "SUM(#{whole} % #{HALF})", "SUM(#{millionths} / #{HALF})", "SUM(#{millionths} % #{HALF})", "SUM(#{beyond})"]
        end

        # @param found [Array<Integer, nil>] what the parts came to
        # @return [BigDecimal, nil] nil where there are finer fractions
        def of(found)
          high, low, fine_high, fine_low, beyond = found.map(&:to_i)
          return if beyond.positive?

          (BigDecimal(high) * HALF) + low + (((BigDecimal(fine_high) * HALF) + fine_low) / MILLION)
        end
      end
      private_constant :Sum

      # Fractions of any fineness, by their distinct values.
      def sum_by_values(column)
        @selection.query.reckon([column, "COUNT(*)"], and_where: "#{column} IS NOT NULL", group: column).reduce(BigDecimal(0)) { |sum, (value, times)| sum + ((value.is_a?(Float) ? BigDecimal(value, Core::Numbers::KEPT_DIGITS) : BigDecimal(value)) * times) }
      end

      def average(sum, count) = Core::Numbers.settle(sum.div(count, Core::Numbers::WORKING_DIGITS))

      def reckon(*expressions) = @selection.query.reckon(expressions).first

      def by_hand(field)
        values = every_value(field).compact
        return Total.new(filled: values.length) if values.empty? || !%i[number date].include?(field.kind)

        sum = (field.kind == :number) ? values.sum : nil
        Total.new(filled: values.length, sum: sum, average: sum && average(sum, values.length), least: values.min, greatest: values.max)
      end

      def every_value(field)
        values = []
        plan = @workspace.plan(@view.table.key)
        upkeep = @workspace.project.upkeep
        ways = @view.table.kept?(field.key) ? [] : upkeep.ways(upkeep.calculation(@view.table.key, field.key)).uniq.sort_by(&:length)
        Store::Rows.new(@view.table).each_batch(@view.filter && @selection.ids) do |batch|
          context = @workspace.context
          Upkeep::Preload.new(ways, context.records).for(batch)
          values.concat(batch.map { |id, row| plan.complete(id, row.to_h, context, [field.key])[field.key] })
        end
        values
      end
    end
  end
end
