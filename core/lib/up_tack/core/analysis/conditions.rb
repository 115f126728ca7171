# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Some conditions of one table, taken apart into what they compare: each field,
      # path or calculation that stands beside a sign is an Unknown, whatever it is
      # made of; each test that can't be taken apart further is one that is true or
      # false. So conditions can be tried without a record.
      class Conditions
        # text:: the formula that stands for it; kind:: its type, :test for a whole test
        # constants:: values that it is compared with; peers:: texts of other unknowns
        #   that it is compared with; blank:: whether a condition asks if it is blank
        Unknown = Struct.new(:text, :node, :kind, :constants, :peers, :blank, keyword_init: true)

        Nodes = Expression::Nodes

        # @param table [Design::Table]
        # @param trees [Array<Expression::Nodes::Node>] checked
        def initialize(table, trees)
          @table = table
          @printer = Expression::Printer.new
          @unknowns = {}
          trees.each { |tree| gather(tree) }
        end

        # @return [Array<Unknown>]
        def unknowns = @unknowns.values

        # @param given [Hash{String=>Object}] a value for each unknown, by its text
        # @return [true, false, nil] after SQL's three values
        def truth(node, given)
          case node
          when Nodes::Logic then joined(node, given)
          when Nodes::Inversion then truth(node.operand, given).then { |found| found.nil? ? nil : !found }
          when Nodes::Literal then node.value
          when Nodes::Comparison then compared(node.sign, value(node.left, given), value(node.right, given))
          when Nodes::Range then both(compared(">=", *[node.value, node.low].map { |each| value(each, given) }), compared("<=", *[node.value, node.high].map { |each| value(each, given) }))
          when Nodes::Membership then among(node, given)
          when Nodes::BlankTest then value(node.value, given).nil?
          else given[text(node)]
          end
        end

        # @return [Boolean] whether a node always has the same value
        def fixed?(node)
          case node
          when Nodes::Literal then true
          when Nodes::Negation then node.operand.is_a?(Nodes::Literal)
          when Nodes::Call then node.name == "date" && node.arguments.one? && node.arguments.first.is_a?(Nodes::Literal)
          else false
          end
        end

        private

        def text(node) = @printer.of(node)

        def gather(node)
          case node
          when Nodes::Logic then node.children.each { |child| gather(child) }
          when Nodes::Inversion then gather(node.operand)
          when Nodes::Literal then nil
          when Nodes::Comparison then meet(node.left, node.right)
          when Nodes::Range then [node.low, node.high].each { |limit| meet(node.value, limit) }
          when Nodes::Membership then node.options.each { |option| meet(node.value, option) }
          when Nodes::BlankTest then unknown(node.value).blank = true unless fixed?(node.value)
          else @unknowns[text(node)] ||= Unknown.new(text: text(node), node: node, kind: :test, constants: [], peers: [], blank: false)
          end
        end

        def meet(left, right)
          loose = [left, right].reject { |node| fixed?(node) }.map { |node| unknown(node) }
          return loose.first.peers |= [loose.last.text] if loose.length == 2 && loose.first.text != loose.last.text

          constant = [left, right].find { |node| fixed?(node) }
          loose.first.constants |= [fixed(constant)].compact if loose.one? && constant
        end

        def unknown(node)
          @unknowns[text(node)] ||= Unknown.new(text: text(node), node: node, kind: kind(node), constants: [], peers: [], blank: false)
        end

        def kind(node) = Expression.compile(text(node), @table.scope).type

        def fixed(node)
          case node
          when Nodes::Literal then node.value
          when Nodes::Negation then -node.operand.value
          else Expression::Functions::DateFunctions.iso(node.arguments.first.value)
          end
        end

        def value(node, given) = fixed?(node) ? fixed(node) : given[text(node)]

        def compared(sign, left, right)
          return if left.nil? || right.nil?

          Expression::Comparing::TESTS.fetch(sign).call(Expression::Comparing.order(left, right))
        end

        def joined(node, given)
          left, right = truth(node.left, given), truth(node.right, given)
          return both(left, right) if node.word == "and"

          both(left.nil? ? nil : !left, right.nil? ? nil : !right).then { |found| found.nil? ? nil : !found }
        end

        def both(left, right)
          return false if left == false || right == false

          (left.nil? || right.nil?) ? nil : true
        end

        def among(node, given)
          found = node.options.map { |option| compared("=", value(node.value, given), value(option, given)) }
          return true if found.include?(true)

          found.include?(nil) ? nil : false
        end
      end
    end
  end
end
