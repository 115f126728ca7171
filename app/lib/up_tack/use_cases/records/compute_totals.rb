# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # What the records that a filter lets through come to, field by field.
      class ComputeTotals
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
        # @param fields [Array<String>] keys of those to reckon
        # @param view [Hash] filter, search and changed_after, as View takes them
        # @return [Result]
        # @raise [Core::Invalid, Services::NotAllowed]
        def call(table:, fields: [], **view)
          @view = Services::View.new(@workspace, table, **view)
          Services::Fields.check(@view.table, fields.to_h { |key| [key, nil] }, @workspace.visibility)
          fields.each { |key| @view.check_open(@view.table.key, key) }
          @selection = @view.selection
          wanted = fields.map { |key| @view.table.field(key) }
          said, other = wanted.partition { |field| @selection.query.rest.nil? && @view.table.kept?(field.key) }
          matching, totals = in_database(said)
          totals = totals.merge(other.to_h { |field| [field.key, by_hand(field)] })
          Result.new(
            total: Store::RecordTable.new(@view.table).count,
            matching: matching,
            fields: wanted.to_h { |field| [field.key, totals[field.key]] }
          )
        end

        private

        # All of them in one pass over the records.
        # @return [Array(Integer, Hash{String=>Total})] how many records, and what each field comes to
        def in_database(fields)
          return [@selection.count, {}] if @selection.query.rest

          asked = fields.map { |field| expressions(field) }
          matching, *found = @selection.query.reckon(["COUNT(*)", *asked.flatten]).first
          [matching, fields.zip(asked).to_h { |field, part| [field.key, total(field, found.shift(part.length))] }]
        end

        def expressions(field)
          column = Store::Query::Keys.name(field)
          case field.kind
          when :number then ["COUNT(#{column})", "MIN(#{column})", "MAX(#{column})", *Sum.parts(column)]
          when :date then ["COUNT(#{column})", "MIN(#{column})", "MAX(#{column})"]
          else ["COUNT(#{column})"]
          end
        end

        def total(field, found)
          filled, least, greatest, *parts = found
          return Total.new(filled: filled) if filled.zero? || !%i[number date].include?(field.kind)

          read = Store::ColumnCodec.reader(field)
          sum = (field.kind == :number) ? Sum.join(parts) || sum_by_values(Store::Query::Keys.name(field)) : nil
          Total.new(
            filled: filled,
            sum: sum,
            average: sum && average(sum, filled),
            least: read.call(least),
            greatest: read.call(greatest)
          )
        end

        # An exact sum of a column in one pass: SQLite would add up binary fractions, so they
        # are taken as whole millionths, and in two halves lest the sum outgrow its 64 bits.
        module Sum
          MILLION = 1_000_000
          # Numbers up to here have their millionths exactly.
          GREATEST = 9_000_000_000
          # How far a number may be from its millionths, beside its size, and is still read as them: less than half of
          # the last of KEPT_DIGITS. What was computed outside is often the next binary fraction.
          NEXT = 4e-16

          module_function

          # @return [Array<String>] SQL
          def parts(column)
            # Rounded away from zero; ROUND itself takes many times as long.
            millionths = "CAST(#{column} * #{MILLION}.0 + (0.5 - (#{column} < 0)) AS INTEGER)"
            [
              "SUM(#{millionths} / #{HALF})",
              "SUM(#{millionths} % #{HALF})",
              "SUM(ABS(#{column}) > #{GREATEST} OR ABS(#{millionths} / #{MILLION}.0 - #{column}) > " \
                "#{NEXT} * ABS(#{column}))"
            ]
          end

          # @param found [Array<Integer, nil>] what the parts came to
          # @return [BigDecimal, nil] nil where there are finer fractions, or numbers beyond
          def join(found)
            high, low, beyond = found.map(&:to_i)
            return if beyond.positive?

            BigDecimal((high * HALF) + low) / MILLION
          end
        end
        private_constant :Sum

        # Fractions of any fineness, by their distinct values.
        def sum_by_values(column)
          @selection
            .query
            .reckon([column, "COUNT(*)"], and_where: "#{column} IS NOT NULL", group: column)
            .reduce(BigDecimal(0)) do |sum, (value, times)|
              sum + ((value.is_a?(Float) ? BigDecimal(value, Core::Numbers::KEPT_DIGITS) : BigDecimal(value)) * times)
            end
        end

        def average(sum, count) = Core::Numbers.normalize(sum.div(count, Core::Numbers::WORKING_DIGITS))

        def by_hand(field)
          values = every_value(field).compact
          return Total.new(filled: values.length) if values.empty? || !%i[number date].include?(field.kind)

          sum = (field.kind == :number) ? values.sum : nil
          Total.new(
            filled: values.length,
            sum: sum,
            average: sum && average(sum, values.length),
            least: values.min,
            greatest: values.max
          )
        end

        def every_value(field)
          values = []
          plan = @workspace.plan(@view.table.key)
          upkeep = @workspace.project.upkeep
          paths =
            if @view.table.kept?(field.key)
              []
            else
              upkeep.paths(upkeep.calculation(@view.table.key, field.key))
            end
          Store::RecordTable
            .new(@view.table)
            .each_batch(@view.whole? ? nil : @selection.ids) do |batch|
              context = @workspace.context
              context.records.preload(paths, batch)
              values.concat(batch.map { |id, row| plan.complete(id, row.to_h, context, [field.key])[field.key] })
            end
          values
        end
      end
    end
  end
end
