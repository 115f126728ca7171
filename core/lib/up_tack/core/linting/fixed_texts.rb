# frozen_string_literal: true

module UpTack
  module Core
    module Linting
      # Fixed texts of a rule's formulas that are no choice of the field which they are compared with, or
      # which is set to them: whether a slip of the hand, or a choice that is gone since.
      class FixedTexts
        # @param rule [Rules::Rule]
        # @param table [Design::Table]
        def initialize(rule, table)
          @rule = rule
          @table = table
        end

        # @return [Array<String>] sentences, each once
        def all = (compared + given).uniq

        # @return [Array<String>] of those to which a field would be set
        def given
          results.flat_map do |field, text|
            tree = parsed(text) or next []
            literals(tree).filter_map { |value| missing(field, value) }
          end.uniq
        end

        private

        def compared
          @rule.formula_parts.values.flat_map do |text|
            Expression.compile(text, @table.scope, counting: true).warnings.map(&:message).grep(/ has no choice /)
          rescue Expression::Invalid
            []
          end
        end

        # @return [Array<Array(Design::Field, String)>] choice fields with the formulas for their values
        def results
          attributes = @rule.attributes
          pairs = Array(attributes["sets"]).flat_map { |set| [[set["field"], set["to"]], [set["field"], set["else"]]] }
          pairs << [@rule.field, attributes["formula"]] if @rule.defaults? || @rule.calculates?
          pairs.filter_map do |key, text|
            ((field = @table.field(key)) && field.listed? && text) ? [field, text] : nil
          end
        end

        def parsed(text)
          Expression.parse(text)
        rescue Expression::Invalid
          nil
        end

        # What a formula may come to, as far as it is a fixed text.
        def literals(node)
          case node
          when Expression::Nodes::Literal
            node.value.is_a?(String) ? [node.value] : []
          when Expression::Nodes::Conditional
            literals(node.consequence) + literals(node.alternative)
          when Expression::Nodes::Call
            (node.name == "coalesce") ? node.arguments.flat_map { |each| literals(each) } : []
          else
            []
          end
        end

        def missing(field, value)
          folded = Unicode.folded(value)
          return if value.empty? || field.choices.any? { |choice| Unicode.folded(choice) == folded }

          near = Expression::Spelling.nearest(folded, field.choices.map { |choice| Unicode.folded(choice) })
          meant = near && field.choices.find { |choice| Unicode.folded(choice) == near }
          unknown = Wording["%{field} has no choice “%{value}”", field: field.label, value: value]
          meant ? Wording["%{problem}; did you mean “%{choice}”?", problem: unknown, choice: meant] : "#{unknown}."
        end
      end
    end
  end
end
