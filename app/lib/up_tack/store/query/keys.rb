# frozen_string_literal: true

module UpTack
  module Store
    class Query
      # Columns as SQL compares them the way formulas do.
      module Keys
        module_function

        # Texts are compared folded. Plain letters are folded by the database itself; only
        # texts with others are handed over one by one, which takes far longer.
        # @param field [Core::Design::Field] a kept one
        # @return [String] SQL
        def expression(field)
          column = name(field)
          return column unless folded?(field)

          "CASE WHEN #{EqualityConditions.other(column)} THEN UP_TACK_FOLDED(#{column}) ELSE LOWER(#{column}) END"
        end

        # @param value [Object] not blank
        # @return [String] SQL that says whether a field holds a value
        def equal(field, value)
          return "(#{expression(field)} = #{value(value, field)})" unless folded?(field) && value.ascii_only?

          column = name(field)
          "(#{column} = #{value(value, field)} COLLATE NOCASE OR " \
            "(#{EqualityConditions.other(column)} AND UP_TACK_FOLDED(#{column}) " \
            "= #{value(value, field)}))"
        end

        # @return [String] SQL for a value beside such a key
        def value(value, field)
          cell = ColumnCodec.write(value, field)
          return cell.to_s if value.is_a?(BigDecimal)

          quoted((folded?(field) && cell.is_a?(String)) ? Core::Unicode.folded(cell) : cell)
        end

        def folded?(field) = field.folded?

        def name(field) = "rows.#{Database.connection.quote_column_name(field.key)}"

        def quoted(value) = Database.connection.quote(value)
      end
    end
  end
end
