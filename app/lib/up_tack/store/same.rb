# frozen_string_literal: true

module UpTack
  module Store
    # The condition under which a column holds a value, as formulas compare it.
    class Same
      # @param model [Class] of the table
      # @param field [Core::Design::Field]
      # @param regard_case [Boolean] whether capitals tell texts apart
      def initialize(model, field, regard_case)
        @column = model.arel_table[field.key]
        @field = field
        @regard_case = regard_case
      end

      # @return [Arel::Nodes::Node]
      def as(value)
        return @column.eq(nil) if value.nil?

        cell = Cells.write(value, @field)
        (cell.is_a?(String) && !@regard_case && @field.values.column == :text && @field.type != "time") ? folded(cell) : @column.eq(cell)
      end

      private

      # Plain letters are compared by the database itself; only texts with others
      # are handed over one by one to be folded, which takes far longer.
      def folded(text)
        full = Arel::Nodes::NamedFunction.new("UP_TACK_FOLDED", [@column]).eq(Core::Expression::Text.folded(text))
        return full unless text.ascii_only?

        plain = Arel::Nodes::InfixOperation.new("COLLATE", @column, Arel.sql("NOCASE")).eq(Arel::Nodes.build_quoted(text))
        other = Arel::Nodes::InfixOperation.new("GLOB", @column, Arel::Nodes.build_quoted("*[^ -~]*"))
        Arel::Nodes::Grouping.new(plain.or(other.and(full)))
      end
    end
  end
end
