# frozen_string_literal: true

module UpTack
  module Store
    # The conditions under which a column holds a value, as formulas compare it. Texts are
    # compared folded: those of plain letters by an index that pays no regard to capitals,
    # the few with others by an index of their own.
    module EqualityConditions
      # A condition in SQL with the values that belong in it.
      Condition = Struct.new(:sql, :values)

      module_function

      # @param field [Core::Design::Field]
      # @param value [Object, nil]
      # @param regard_case [Boolean] whether capitals tell texts apart
      # @return [Array<Condition>] ways in which the column can hold it, each of which an index can find
      def alternatives(field, value, regard_case)
        column = quoted(field.key)
        return [Condition.new("#{column} IS NULL", [])] if value.nil?

        cell = ColumnCodec.write(value, field)
        unless cell.is_a?(String) && !regard_case && Query::Keys.folded?(field)
          return [Condition.new("#{column} = ?", [cell])]
        end

        folded = Core::Unicode.folded(cell)
        other = Condition.new("#{other(column)} AND UP_TACK_FOLDED(#{column}) = ?", [folded])
        if folded.ascii_only?
          [Condition.new("#{column} = ? COLLATE NOCASE AND NOT (#{other(column)})", [folded]), other]
        else
          [other]
        end
      end

      # @return [String] SQL that says whether a text has other than plain letters
      def other(column) = "LENGTH(#{column}) <> LENGTH(CAST(#{column} AS BLOB))"

      def quoted(name) = Database.quoted(name)
    end
  end
end
