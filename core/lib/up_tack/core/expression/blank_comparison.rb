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
          warn(node, "Nothing can be compared with #{said(value)}; write `#{@printer.of(other)} #{test}`.")
        end

        # @param node [Nodes::Membership]
        def of_options(node)
          value = node.options.find { |option| blank?(option) } or return
          warn(value, "A list never finds #{said(value)}; write `… or #{@printer.of(node.value)} is blank`.")
        end

        # @param node [Nodes::Range]
        def of_ends(node)
          value = [node.low, node.high].find { |limit| blank?(limit) } or return
          warn(value, "No value lies between #{said(value)} and another one; leave this end out with `>=` or `<=`.")
        end

        # @param node [Nodes::TextTest]
        def of_part(node)
          return unless blank?(node.part)

          warn(
            node.part,
            "No text #{node.relation} #{said(node.part)}; write `#{@printer.of(node.text)} is not blank`."
          )
        end

        private

        def blank?(node) = node.is_a?(Nodes::Literal) && Unicode.blank?(node.value)
        def said(node) = node.value.nil? ? "`blank`" : "an empty text"

        def warn(node, message)
          @checker.warnings << Problem.new(message: message, from: node.from, to: node.to)
        end
      end
    end
  end
end
