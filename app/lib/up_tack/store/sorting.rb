# frozen_string_literal: true

module UpTack
  module Store
    # Sorted pages of a table by keyset: a page begins after the last record of
    # the one before, so that the thousandth page is as quick as the first.
    # Blanks come last both ways; records of one value keep the order of their
    # numbers. Text sorts as formulas compare it, without regard to case.
    class Sorting
      # @param model [Class] of the table
      # @param field [Core::Design::Field, nil] nil sorts by number
      def initialize(model, field, descending)
        @model = model
        @field = field
        @descending = descending
        @ids = model.arel_table[:id]
      end

      # @param after [Rows::Cursor, nil]
      # @return [ActiveRecord::Relation]
      def page(after)
        return by_number(after) unless @field

        scope = @model.order(column.eq(nil).asc, @descending ? key.desc : key.asc, @ids.asc)
        after ? scope.where(rest(after)) : scope
      end

      private

      def by_number(after)
        return @model.order(@descending ? @ids.desc : @ids.asc) unless after

        page = @descending ? @ids.lt(after.id) : @ids.gt(after.id)
        by_number(nil).where(page)
      end

      def column = @model.arel_table[@field.key]

      def key = text? ? Arel::Nodes::NamedFunction.new("UP_TACK_FOLDED", [column]) : column

      def text? = @field.values.column == :text

      def rest(after)
        return column.eq(nil).and(@ids.gt(after.id)) if after.value.nil?

        bound = Arel::Nodes.build_quoted(@field.bare ? Cells.write(after.value, @field) : after.value, column)
        bound = Arel::Nodes::NamedFunction.new("UP_TACK_FOLDED", [bound]) if text?
        beyond = @descending ? key.lt(bound) : key.gt(bound)
        beyond.or(key.eq(bound).and(@ids.gt(after.id))).or(column.eq(nil))
      end
    end
  end
end
