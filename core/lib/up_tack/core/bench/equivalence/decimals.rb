# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class Equivalence
        # How many decimals a part of a formula can have at most, and a formula without the rounding that
        # changes nothing because there is nothing to round.
        class Decimals
          Nodes = Expression::Nodes
          ROUNDING = %w[round roundup rounddown].freeze

          # @param table [Design::Table]
          def initialize(table)
            @table = table
          end

          # @param node [Nodes::Node]
          # @return [Integer, nil] nil where there is no limit
          def places_of(node)
            case node
            when Nodes::Literal then node.value.is_a?(BigDecimal) ? node.value.scale : nil
            when Nodes::Field then number(node)
            when Nodes::Negation then places_of(node.operand)
            when Nodes::Arithmetic then combined(node.sign, places_of(node.left), places_of(node.right))
            when Nodes::Call then ROUNDING.include?(node.name) ? places(node) : nil
            end
          end

          # @param text [String] a formula
          # @return [String] the same without idle rounding
          def without_idle_rounding(text)
            idle = nil
            Expression.parse(text).walk { |node| idle ||= node if idle?(node) }
            return text unless idle

            inner = idle.arguments.first
            without_idle_rounding("#{text[0...idle.from]}(#{text[inner.from...inner.to]})#{text[idle.to..]}")
          end

          private

          def idle?(node)
            return false unless node.is_a?(Nodes::Call) && ROUNDING.include?(node.name) && (most = places(node))

            scale = places_of(node.arguments.first)
            !scale.nil? && scale <= most
          end

          def places(node)
            second = node.arguments[1] or return 0
            (second.is_a?(Nodes::Literal) && second.value.is_a?(BigDecimal)) ? second.value.to_i : nil
          end

          def number(node)
            field = node.outside ? nil : @table.field(node.key)
            field.decimals if field&.numeric?
          end

          def combined(sign, left, right)
            return if left.nil? || right.nil?

            {"+" => [left, right].max, "-" => [left, right].max, "*" => left + right}[sign]
          end
        end
      end
    end
  end
end
