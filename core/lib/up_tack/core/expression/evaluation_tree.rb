# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Takes a formula apart for one run of it: each part in words, with what it came
      # to, and the parts that it is made of. A person unfolds it as far as they like.
      class EvaluationTree < EvaluatedHumanizer
        # words:: the part in words; value:: what it came to, in its reading format
        # parts:: those that it is made of, empty for a field or a fixed value
        Part = Struct.new(:words, :value, :parts, keyword_init: true)

        # Parts told at most, so that a formula of 4,000 characters stays readable.
        MOST = 200

        # @param tree [Nodes::Node]
        # @return [Part]
        def build(tree)
          @left = MOST
          part(tree)
        end

        private

        def part(node)
          @left -= 1
          Part.new(
            words: words_of(node),
            value: value_text(node),
            parts: @left.positive? ? inner(node).map { |each| part(each) } : []
          )
        end

        def words_of(node) = (@words ||= Humanizer.new(@scope)).humanize(node)

        def value_text(node)
          case node
          when Nodes::Field then field(node)
          when Nodes::Path then path(node)
          when Nodes::Aggregate then aggregate(node).split(" = ", 2).last
          else shown(node)
          end
        end

        # Of a choice only what had a part in the result.
        def inner(node)
          case node
          when Nodes::Field, Nodes::Path, Nodes::Aggregate, Nodes::Literal, Nodes::Changed then []
          when Nodes::Conditional then [node.condition, value_of(node.condition) ? node.consequence : node.alternative]
          when Nodes::Call then fixed_date?(node) ? [] : variable(node.children)
          when Nodes::Fits then [node.text]
          else variable(node.children)
          end
        end

        def variable(nodes) = nodes.reject { |each| each.is_a?(Nodes::Literal) }
      end
    end
  end
end
