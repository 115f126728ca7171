# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # One or several columns of inputs that depend on the same fields, cut into as few points as
      # their cells can tell apart. A column that looks at a field of its own is cut into Regions;
      # columns that look at the same field, each in its own way, are tried together.
      class Axis
        # Combinations of values tried for columns that belong together.
        MOST = 20_000
        # value:: one for each column; region:: a Regions::Region, for a column by itself
        Point = Struct.new(:values, :region)

        # @return [Array<Integer>] places of its columns among all inputs
        attr_reader :columns
        # @return [Array<Point>]
        attr_reader :points
        # @return [Array<Integer>] for each point the rows whose cells let it pass, as bits
        attr_reader :masks

        # @param inputs [Array<Input>] of the table
        # @param rows [Array<ParseContext::Row>]
        # @param table [Design::Table]
        # @return [Array<Axis>]
        def self.build(inputs, rows, table)
          leaves = Conditions::Leaves.new(table)
          named = inputs.map { |input| leaves.find(input.formula.tree) }
          groups = inputs.each_index.map { |column| [column] }
          named.flatten.uniq.each do |text|
            together, others = groups.partition { |group| group.any? { |column| named[column].include?(text) } }
            groups = [*others, together.flatten.sort] if together.length > 1
          end
          groups.sort.map { |group| new(group, inputs, rows, table, leaves) }
        end

        def initialize(columns, inputs, rows, table, leaves)
          @columns = columns
          @inputs = inputs
          @rows = rows
          @table = table
          @leaves = leaves
          order_independent? ? cut : try
          freeze
        end

        # @return [Boolean] whether not every combination could be tried
        def partial? = @partial == true

        # @param indices [Array<Integer>] of some points, in their order
        # @return [Array<String>] for each column, for people
        def words(indices)
          return [@regions.words(indices.map { |index| points[index].region })] if @regions

          points[indices.first].values.zip(@columns).map { |value, column| @inputs[column].show(value) }
        end

        private

        def cells(column) = @rows.map { |row| row.cells[column] }

        # @return [Boolean] whether it is a column that looks at one field and nothing else does
        def order_independent?
          return false unless @columns.one?

          tree = @inputs[@columns.first].formula.tree
          @leaves.find(tree) == [@leaves.text_of(tree)]
        end

        def cut
          column = @columns.first
          input = @inputs[column]
          leaf = @leaves[@leaves.text_of(input.formula.tree)]
          @regions = Regions.new(input, cells(column), Conditions::Bounds.find(@table, input.field), blank: leaf.blank)
          @points = @regions.all.map { |region| Point.new([region.value], region) }
          @masks = @points.map { |point| mask(point.values) }
        end

        def try
          found = {}
          combinations.each do |given|
            values = @columns.map { |column| @leaves.value(@inputs[column].formula.tree, given) }
            (found[mask(values)] ||= []) << values
          end
          @points =
            found.values.map { |all| Point.new(all.min_by.with_index { |values, index| [values.count(nil), index] }) }
          @masks = found.keys
        end

        def combinations
          pairs =
            @columns.flat_map do |column|
              cells(column).flat_map(&:constants).uniq.map { |value| [@inputs[column].formula.tree, value] }
            end
          named = @columns.flat_map { |column| @leaves.find(@inputs[column].formula.tree) }.uniq
          values = Conditions::Domains.new(@table, @leaves, pairs).values.slice(*named)
          lists = values.values
          return [{}] if lists.empty?

          @partial = lists.map(&:length).reduce(1, :*) > MOST
          lists
            .first
            .lazy
            .flat_map { |first| rest(lists.drop(1)).map { |others| [first, *others] } }
            .first(MOST)
            .map { |all| values.keys.zip(all).to_h }
        end

        def rest(lists) = lists.empty? ? [[]] : lists.first.product(*lists.drop(1))

        # @return [Integer] the rows whose cells let the values pass, as bits
        def mask(values)
          all =
            (@cells ||= @columns.map { |column| cells(column) }).each_with_index.map do |cells, at|
              mask_of(cells, values[at])
            end
          all.reduce(:&)
        end

        # Written down as text first: a long whole number is made anew with each bit that is set.
        def mask_of(cells, value)
          text = "0" * cells.length
          cells.each_with_index { |cell, index| text.setbyte(-1 - index, 49) if cell.fits?(value) }
          text.to_i(2)
        end
      end
    end
  end
end
