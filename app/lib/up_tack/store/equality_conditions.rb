# frozen_string_literal: true

module UpTack
  module Store
    # The conditions under which a column holds a value, as formulas compare it. Texts are
    # compared folded: those of plain letters by an index that pays no regard to capitals,
    # the few with others by an index of their own.
    module EqualityConditions
      # A condition. kind:: key of SQL; value:: what belongs in it, if the kind takes one
      Condition = Struct.new(:kind, :value)

      # By kind, the condition on a column.
      SQL = {
        blank: ->(column) { "#{column} IS NULL" },
        equal: ->(column) { "#{column} = ?" },
        plain: ->(column) { "#{column} = ? COLLATE NOCASE AND NOT (#{other(column)})" },
        other: ->(column) { "#{other(column)} AND UP_TACK_FOLDED(#{column}) = ?" }
      }.freeze
      BLANK = [Condition.new(:blank).freeze].freeze

      module_function

      # @param field [Core::Design::Field]
      # @param value [Object, nil]
      # @param regard_case [Boolean] whether capitals tell texts apart
      # @return [Array<Condition>] ways in which the column can hold it, each of which an index can find
      def alternatives(field, value, regard_case)
        return BLANK if value.nil?

        cell = ColumnCodec.write(value, field)
        unless cell.is_a?(String) && !regard_case && Query::Keys.folded?(field)
          return [Condition.new(:equal, cell)]
        end

        folded = Core::Unicode.folded(cell)
        other = Condition.new(:other, folded)
        folded.ascii_only? ? [Condition.new(:plain, folded), other] : [other]
      end

      # @return [String] SQL of a condition of that kind
      def sql(kind, key) = SQL.fetch(kind).call(quoted(key))

      # @return [String] SQL that says whether a text has other than plain letters
      def other(column) = "LENGTH(#{column}) <> LENGTH(CAST(#{column} AS BLOB))"

      def quoted(name) = Database.quoted(name)
    end
  end
end
