# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # Some conditions of one table, with what they are made of (Leaves), and with what is told of
      # them: each field, path or calculation that stands beside a sign is an Unknown, and so is each
      # test that can't be taken apart further. So conditions can be tried without a record.
      class ConditionModel
        # text:: the formula that stands for it; kind:: its type, :test for a whole test
        # constants:: values that it is compared with; peers:: texts of other unknowns
        #   that it is compared with
        Unknown = Struct.new(:text, :node, :kind, :constants, :peers, keyword_init: true)

        Nodes = Expression::Nodes

        # @return [Conditions::Leaves]
        attr_reader :leaves
        # @return [Array<Array(Nodes::Node, Nodes::Node)>] what is compared
        attr_reader :pairs

        # @param table [Design::Table]
        # @param trees [Array<Nodes::Node>] checked
        def initialize(table, trees)
          @table = table
          @printer = Expression::Printer.new
          @leaves = Conditions::Leaves.new(table)
          @unknowns = {}
          @pairs = []
          trees.each do |tree|
            @leaves.find(tree)
            gather(tree)
            @leaves.walk(tree) { |node| @pairs.concat(compared(node)) }
          end
          @trees = trees
        end

        # @return [Conditions::Domains] values to try
        def domains = @domains ||= Conditions::Domains.new(@table, @leaves, @pairs, @trees)

        # @return [Array<Unknown>]
        def unknowns = @unknowns.values

        # @param tree [Nodes::Node] one of the conditions
        # @param given [Hash{String=>Object}] a value for each leaf
        # @return [true, false, nil] after SQL's three values
        def truth(tree, given) = @leaves.value(tree, given)

        # @param given [Hash{String=>Object}] a value for each leaf
        # @return [Hash{String=>Object}] a value for each unknown
        def values(given) = @unknowns.transform_values { |unknown| @leaves.value(unknown.node, given) }

        # Functions of which every result is found among the values to try.
        SEEN_THROUGH = %w[
          today
          now
          date
          days
          len
          abs
          round
          roundup
          rounddown
          floor
          ceiling
          year
          month
          day
          weekday
          hour
          minute
          mod
          edate
          eomonth
          coalesce
          min
          max
        ].freeze

        # @return [Boolean] whether a condition can only hold where the values to try show it: not where
        #   it looks at texts that are made of others
        def transparent?(tree)
          found = true
          @leaves.walk(tree) { |node| found &&= seen_through?(node) }
          found
        end

        private

        def seen_through?(node)
          case node
          when Nodes::Call then SEEN_THROUGH.include?(node.name)
          when Nodes::Join, Nodes::Fits, Nodes::Arithmetic
            node.is_a?(Nodes::Arithmetic) && node.sign != "^"
          else true
          end
        end

        def compared(node)
          case node
          when Nodes::Comparison then [[node.left, node.right]]
          when Nodes::Range then [[node.value, node.low], [node.value, node.high]]
          when Nodes::Membership then node.options.map { |option| [node.value, option] }
          else []
          end
        end

        def text(node) = @printer.print(node)
        def fixed?(node) = @leaves.find(node).empty?

        def gather(node)
          case node
          when Nodes::Logic
            node.children.each { |child| gather(child) }
          when Nodes::Inversion
            gather(node.operand)
          when Nodes::Literal
            nil
          when Nodes::Comparison
            meet(node.left, node.right)
          when Nodes::Range
            [node.low, node.high].each { |limit| meet(node.value, limit) }
          when Nodes::Membership
            node.options.each { |option| meet(node.value, option) }
          when Nodes::BlankTest
            unknown(node.value) unless fixed?(node.value)
          else
            @unknowns[text(node)] ||= Unknown.new(text: text(node), node: node, kind: :test, constants: [], peers: [])
          end
        end

        def meet(left, right)
          loose = [left, right].reject { |node| fixed?(node) }.map { |node| unknown(node) }
          return loose.first.peers |= [loose.last.text] if loose.length == 2 && loose.first.text != loose.last.text

          constant = [left, right].find { |node| fixed?(node) }
          loose.first.constants |= [@leaves.value(constant, {})].compact if loose.one? && constant
        end

        def unknown(node)
          @unknowns[text(node)] ||= Unknown.new(
            text: text(node),
            node: node,
            kind: kind(node),
            constants: [],
            peers: []
          )
        end

        def kind(node) = Expression.compile(text(node), @table.scope).type
      end
    end
  end
end
