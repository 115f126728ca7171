# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Warns of comparisons with blank, or with a text that is empty: they come to blank whatever
      # the other side is, and are written by people who mean `is blank`.
      class BlankComparison
        # @param checker [Checker] takes the warnings
        def initialize(checker)
          @checker = checker
          @printer = Printer.new
        end

        # @param node [Nodes::Comparison]
        def of_comparison(node)
          value = [node.left, node.right].find { |side| blank?(side) } or return
          other = value.equal?(node.right) ? node.left : node.right
          test = (node.sign == "<>") ? "is not blank" : "is blank"
          warn(
            node,
            Messages[
              "expression.blank_comparison.nothing_can_be_compared",
              value: word_for(value),
              other: @printer.print(other),
              test: test
            ]
          )
        end

        # @param node [Nodes::Membership]
        def of_options(node)
          value = node.options.find { |option| blank?(option) } or return
          warn(
            value,
            Messages["expression.blank_comparison.list_never_finds", value: word_for(value),
              field: @printer.print(node.value)]
          )
        end

        # @param node [Nodes::Range]
        def of_ends(node)
          value = [node.low, node.high].find { |limit| blank?(limit) } or return
          warn(value,
            Messages["expression.blank_comparison.no_value_lies_between_and_another_one", value: word_for(value)])
        end

        # @param node [Nodes::TextTest]
        def of_part(node)
          return unless blank?(node.part)

          warn(
            node.part,
            Messages[
              "expression.blank_comparison.no_text",
              relation: node.relation,
              part: word_for(node.part),
              text: @printer.print(node.text)
            ]
          )
        end

        private

        def blank?(node) = node.is_a?(Nodes::Literal) && Unicode.blank?(node.value)
        def word_for(node) = node.value.nil? ? "`blank`" : "an empty text"

        def warn(node, message)
          @checker.warnings << Problem.new(message: message, from: node.from, to: node.to)
        end
      end
    end
  end
end
