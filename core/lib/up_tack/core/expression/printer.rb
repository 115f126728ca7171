# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Writes a tree as text again, with the brackets that it needs and no
      # others: parsing that text gives the same tree.
      class Printer
        # How tightly each kind of node binds; a part that binds less tightly
        # than its surroundings stands in brackets.
        LEVELS = {
          "or" => 1,
          "and" => 2,
          "not" => 3,
          "compare" => 4,
          "&" => 5,
          "+" => 6,
          "-" => 6,
          "*" => 7,
          "/" => 7,
          "mod" => 7,
          "minus" => 8,
          "^" => 9
        }.freeze
        TIGHTEST = 10

        # @return [String]
        def print(tree) = tree.accept(self)

        def literal(node)
          case node.value
          when nil then "blank"
          when String then "\"#{node.value.gsub("\"", "\"\"")}\""
          when true then "yes"
          when false then "no"
          else Values.show(node.value)
          end
        end

        def field(node) = "#{"old." if node.before}#{"this." if node.outside}#{node.key}"
        def path(node) = "#{print(node.owner)}.#{node.key}"
        def person(node) = "user.#{node.name}"
        def is_new(_node) = "is_new" # rubocop:disable Naming/PredicatePrefix -- named after the word of the language

        # Two minus signs in a row would begin a comment.
        def negation(node) =
          "-#{within(node.operand, node.operand.is_a?(Nodes::Negation) ? TIGHTEST : LEVELS["minus"])}"

        def arithmetic(node)
          level = LEVELS.fetch(node.sign)
          "#{within(node.left, level)} #{node.sign} #{within(node.right, level + 1)}"
        end

        def join(node) = node.parts.map { |part| within(part, LEVELS["&"] + 1) }.join(" & ")
        def comparison(node) = "#{compared(node.left)} #{node.sign} #{compared(node.right)}"

        def logic(node)
          level = LEVELS.fetch(node.word)
          "#{within(node.left, level)} #{node.word} #{within(node.right, level + 1)}"
        end

        def inversion(node)
          inner = node.operand
          return "#{compared(inner.value)} is not blank" if inner.is_a?(Nodes::BlankTest)

          "not #{within(inner, LEVELS["not"])}"
        end

        def range(node) = "#{compared(node.value)} between #{compared(node.low)} and #{compared(node.high)}"
        def membership(node) = "#{compared(node.value)} in (#{node.options.map { |option| print(option) }.join(", ")})"
        def blank_test(node) = "#{compared(node.value)} is blank"
        def text_test(node) = "#{compared(node.text)} #{node.relation} #{compared(node.part)}"
        def fits(node) = "#{compared(node.text)} fits #{print(node.mask)}"
        def changed(node) = "changed(#{print(node.field)})"

        def conditional(node)
          "if #{print(node.condition)} then #{print(node.consequence)} else #{print(node.alternative)}"
        end

        def call(node) = "#{node.name}(#{node.arguments.map { |argument| print(argument) }.join(", ")})"

        def aggregate(node)
          inner = node.source.map(&:key).join(".")
          inner += ", #{print(node.separator)}" if node.separator
          inner += " where #{print(node.condition)}" if node.condition
          "#{node.name}(#{inner})"
        end

        private

        # A side of a comparison binds at least as tightly as `&`.
        def compared(node) = within(node, LEVELS["&"])

        def within(node, level)
          text = print(node)
          (level_of(node) < level) ? "(#{text})" : text
        end

        def level_of(node)
          case node
          when Nodes::Logic
            LEVELS.fetch(node.word)
          when Nodes::Arithmetic
            LEVELS.fetch(node.sign)
          when Nodes::Negation
            LEVELS["minus"]
          when Nodes::Join
            LEVELS["&"]
          when Nodes::Inversion
            node.operand.is_a?(Nodes::BlankTest) ? LEVELS["compare"] : LEVELS["not"]
          when Nodes::Comparison, Nodes::Range, Nodes::Membership, Nodes::BlankTest, Nodes::TextTest, Nodes::Fits
            LEVELS["compare"]
          when Nodes::Conditional
            0
          when Nodes::Literal
            (node.value.is_a?(BigDecimal) && node.value.negative?) ? LEVELS["minus"] : TIGHTEST
          else
            TIGHTEST
          end
        end
      end
    end
  end
end
