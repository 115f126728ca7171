# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # One column of inputs: a formula, most often a field alone, and how the cells
      # beneath it are read.
      class Input
        include Expression::Lookup

        ORDERED = %i[number date time moment].freeze

        # @return [Expression::Formula]
        attr_reader :formula
        # @return [Design::Field, nil] the field, where the formula is a field alone
        attr_reader :field

        # @param formula [Expression::Formula]
        # @param table [Design::Table]
        def initialize(formula, table)
          @formula = formula
          @scope = table.scope
          @field = table.field(formula.tree.key) if formula.tree.is_a?(Expression::Nodes::Field) && !formula.tree.before
        end

        # @return [Symbol] what its values are in an expression
        def kind = formula.type

        # @return [Boolean] whether its values have an order, so that cells may compare
        def ordered? = ORDERED.include?(kind)

        # @return [Array<String>, nil] the only values that there are, nil where they are open
        def choices
          named = [Expression::Nodes::Field, Expression::Nodes::Path].any? { |node| formula.tree.is_a?(node) }
          if named
            entry_of(formula.tree)&.choices&.then { |all| all.empty? ? nil : all }
          end
        end

        # @return [Array<String>] those of them that a new record can have
        def open_choices = field ? field.open_choices : choices

        # @return [String] what stands at the head of the column
        def label = formula.words

        # @param text [String] as somebody typed it
        # @param reading [ParseContext]
        # @return [Object, Values::Unreadable] never nil
        def read(text, reading)
          value = reader.read(text, reading)
          value.nil? ? Values::Unreadable.new(code: "blank", message: Messages[
            "decisions.input.value_is_missing_here"
          ]) : value
        end

        # @return [String] the value as a cell keeps it: the same for every firm
        def cell_text(value)
          text = value.is_a?(String) ? value : Values.dump(value)
          text = (value ? "yes" : "no") if [true, false].include?(value)
          (text.match?(Cell::SPECIAL) || text == "blank") ? "\"#{text.gsub("\"", "\"\"")}\"" : text
        end

        # @return [String] the value for people
        def show(value) = value.nil? ? Wording["blank"] : reader.show(value)

        private

        # The field by which values are read: that of the column, or what stands in for one where it is no field.
        def reader = @reader ||= field || Column.new(label, Values[TYPES.fetch(kind)], nil, nil, Conventions.from({}))

        # As much of a field as a value type needs.
        Column = Struct.new(:label, :values, :decimals, :format, :conventions) do
          def read(text, reading) = values.read(text, self, reading)
          def show(value) = values.show(value, self)
        end
        private_constant :Column

        # The field type by which values of a kind are read.
        TYPES = {
          text: "text", number: "number", date: "date", time: "time", moment: "moment", yes_no: "yes_no"
        }.freeze
        private_constant :TYPES
      end
    end
  end
end
