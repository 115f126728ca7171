# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Finds the fixed texts of a formula that stand for a choice: those compared with a choice
      # field, and those to which one is set.
      class ChoiceTexts
        include Lookup

        # fields:: [table, key] of each choice field that the text may stand for
        # value:: the text; from, to:: its place, quotes included
        Found = Struct.new(:fields, :value, :from, :to)

        # @param scope [Scope]
        def initialize(scope)
          @scope = scope
          @found = []
        end

        # @param tree [Nodes::Node] checked
        # @param given_to [Array(String, String), nil] table and key of the choice field that takes the whole
        # @return [Array<Found>] in the order of their places, each once
        def find(tree, given_to: nil)
          literals(tree).each { |each| add(each, [given_to]) } if given_to
          visit(tree)
          @found.uniq(&:from).sort_by(&:from)
        end

        # @param node [Nodes::Node]
        # @return [Array<Array(String, String)>] table and key of the choice fields whose value it hands on
        def sources(node)
          return flowing(node).flat_map { |each| sources(each) }.uniq if flowing(node).any?

          entry = entry_of(node)
          entry&.choices ? [[home(node).key, entry.key]] : []
        end

        private

        def visit(node)
          case node
          when Nodes::Comparison then pair([node.left, node.right])
          when Nodes::Membership then pair([node.value, *node.options])
          when Nodes::Aggregate then return inside(node)
          end
          node.children.each { |each| visit(each) }
        end

        def pair(sides)
          fields = sides.flat_map { |each| sources(each) }.uniq
          sides.flat_map { |each| literals(each) }.each { |each| add(each, fields) } if fields.any?
        end

        def add(literal, fields) = @found << Found.new(fields, literal.value, literal.from, literal.to)

        # The fixed texts from which it may take it.
        def literals(node)
          return [node].select { |each| each.value.is_a?(String) } if node.is_a?(Nodes::Literal)

          flowing(node).flat_map { |each| literals(each) }
        end

        # The parts of which one is handed on as it is.
        def flowing(node)
          case node
          when Nodes::Conditional then [node.consequence, node.alternative]
          when Nodes::Call then (node.name == "coalesce") ? node.arguments : []
          else []
          end
        end

        def home(node)
          return target_of(node.owner) if node.is_a?(Nodes::Path)

          node.outside ? @scope.outer : @scope
        end

        def inside(node)
          outer = @scope
          visit(node.separator) if node.separator
          @scope = Source.new(outer, node.source).reverse.scope.within(outer)
          visit(node.condition) if node.condition
        ensure
          @scope = outer
        end
      end
    end
  end
end
