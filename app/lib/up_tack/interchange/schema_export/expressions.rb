# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # A condition over the fields of one record in SQL; nil where SQL would not say the
      # same. Blank is NULL in both, and both let pass what comes to it.
      class Expressions
        # @param table [Core::Design::Table]
        # @param dialect [Module] of Dialect::ALL
        def initialize(table, dialect)
          @table = table
          @dialect = dialect
        end

        # @param node [Core::Expression::Nodes::Node]
        # @return [String, nil]
        def sql(node) = node.accept(self)

        def literal(node)
          case node.value
          when BigDecimal then Core::Numbers.digits(node.value)
          when true, false then @dialect.answer(node.value)
          when String then node.value.ascii_only? ? "'#{node.value.gsub("'", "''")}'" : nil
          when nil then "NULL"
          end
        end

        def field(node)
          field = @table.field(node.key)
          if node.before || node.outside || field.nil? || field.bare || !@table.kept?(field.key) ||
              (field.link? || field.moment?)
            return
          end

          "\"#{field.key}\""
        end

        def arithmetic(node)
          return unless %w[+ - *].include?(node.sign) && [node.left, node.right].all? { |side| number?(side) }

          both(node.left, node.right) { |left, right| "(#{left} #{node.sign} #{right})" }
        end

        def negation(node) = number?(node.operand) ? sql(node.operand)&.then { |text| "(-#{text})" } : nil

        def comparison(node) =
          both(node.left, node.right) do |left, right|
            folded = [node.left, node.right].any? { |side| text?(side) }
            folded ? @dialect.compared(left, node.sign, right) : "(#{left} #{node.sign} #{right})"
          end

        def logic(node) = both(node.left, node.right) { |left, right| "(#{left} #{node.word.upcase} #{right})" }
        def inversion(node) = sql(node.operand)&.then { |text| "(NOT #{text})" }
        def blank_test(node) = sql(node.value)&.then { |text| "(#{text} IS NULL)" }

        def range(node)
          value, low, high = parts = node.children.map { |child| sql(child) }
          parts.include?(nil) ? nil : "(#{value} BETWEEN #{low} AND #{high})"
        end

        def membership(node)
          value, *options = parts = node.children.map { |child| sql(child) }
          return if parts.include?(nil)

          text?(node.children.first) ? @dialect.among(value, options) : "(#{value} IN (#{options.join(", ")}))"
        end

        %i[aggregate fits person is_new join conditional call changed path text_test].each do |name|
          define_method(name) { |_| nil }
        end

        private

        def both(left, right)
          one, other = sql(left), sql(right)
          (one && other) ? yield(one, other) : nil
        end

        def number?(node)
          case node
          when Core::Expression::Nodes::Literal then node.value.is_a?(BigDecimal)
          when Core::Expression::Nodes::Field then @table.field(node.key)&.numeric?
          when Core::Expression::Nodes::Arithmetic then node.children.all? { |child| number?(child) }
          when Core::Expression::Nodes::Negation then number?(node.operand)
          else false
          end
        end

        # Texts are compared without regard to capitals.
        def text?(node)
          (node.is_a?(Core::Expression::Nodes::Literal) && node.value.is_a?(String)) ||
            (node.is_a?(Core::Expression::Nodes::Field) && @table.field(node.key)&.folded?)
        end
      end
    end
  end
end
