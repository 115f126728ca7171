# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Says a condition as what must be so: "Fired weight must be at most Wet weight". For the sentence of
      # a check, which is also what a clerk reads when it refuses.
      class Requirement
        include Lookup

        RELATIONS = {
          "=" => "must equal",
          "<>" => "must not equal",
          "<" => "must be less than",
          "<=" => "must be at most",
          ">" => "must be more than",
          ">=" => "must be at least"
        }.freeze
        # The same for days and times.
        IN_TIME = {
          "<" => "must be before",
          "<=" => "must be on or before",
          ">" => "must be after",
          ">=" => "must be on or after"
        }.freeze
        TIMES = %i[date moment time].freeze
        CLOCK = %w[today now date edate eomonth time].freeze

        # @param scope [Scope]
        def initialize(scope)
          @scope = scope
          @humanizer = Humanizer.new(scope)
        end

        # @param tree [Nodes::Node] a condition
        # @return [String]
        def sentence(tree)
          text = phrase(tree)
          return Messages["expression.requirement.must_be_true", condition: @humanizer.condition(tree)] unless text

          "#{text[0].upcase}#{text[1..]}."
        end

        private

        # @return [String, nil] nil where it is said no better so
        def phrase(tree)
          case tree
          when Nodes::Comparison then "#{say(tree.left)} #{relation(tree)} #{say(tree.right)}"
          when Nodes::Range then "#{say(tree.value)} must be between #{say(tree.low)} and #{say(tree.high)}"
          when Nodes::Membership then membership(tree)
          when Nodes::BlankTest then "#{say(tree.value)} must be blank"
          when Nodes::TextTest then "#{say(tree.text)} must #{verb(tree.relation)} #{say(tree.part)}"
          when Nodes::Inversion then inverted(tree.operand)
          when Nodes::Logic then logic(tree)
          when Nodes::Conditional then conditional(tree)
          when Nodes::Field, Nodes::Path then "#{say(tree)} must be yes"
          end
        end

        def inverted(tree)
          case tree
          when Nodes::BlankTest then "#{say(tree.value)} must not be blank"
          when Nodes::Field, Nodes::Path then "#{say(tree)} must be no"
          when Nodes::TextTest then "#{say(tree.text)} must not #{verb(tree.relation)} #{say(tree.part)}"
          when Nodes::Membership then "#{say(tree.value)} must not be one of #{options(tree)}"
          when Nodes::Logic then "not allowed: #{@humanizer.condition(tree)}"
          end
        end

        def logic(tree)
          return both(tree) if tree.word == "and"

          rest = phrase(tree.right) or return
          return "once the record exists, #{rest}" if tree.left.is_a?(Nodes::IsNew)

          unless_so = opposite(tree.left)
          unless_so && "if #{unless_so}, #{rest}"
        end

        def both(tree)
          parts = [tree.left, tree.right].map { |part| phrase(part) }
          parts.join(", and ") if parts.all?
        end

        # "A or B" where A says what something is not, reads better as "if it is, B".
        def opposite(tree)
          case tree
          when Nodes::Comparison
            "#{say(tree.left)} = #{say(tree.right)}" if tree.sign == "<>"
          when Nodes::Inversion then @humanizer.condition(tree.operand)
          when Nodes::BlankTest then "#{say(tree.value)} is not blank"
          end
        end

        def conditional(tree)
          required = phrase(tree.consequence) or return
          return unless tree.alternative.is_a?(Nodes::Literal) && tree.alternative.value == true

          "if #{@humanizer.condition(tree.condition)}, #{required}"
        end

        def membership(tree)
          "#{say(tree.value)} must be #{"one of " unless tree.options.one?}#{options(tree)}"
        end

        def options(tree) = tree.options.map { |node| say(node) }.join(", ")

        def relation(tree)
          return RELATIONS.fetch(tree.sign) unless [tree.left, tree.right].any? { |side| time?(side) }

          IN_TIME.fetch(tree.sign) { RELATIONS.fetch(tree.sign) }
        end

        def time?(node)
          return CLOCK.include?(node.name) if node.is_a?(Nodes::Call)

          [Nodes::Field, Nodes::Path].include?(node.class) && TIMES.include?(entry_of(node)&.type)
        end

        # "contains" as it stands after "must".
        def verb(relation) = relation.sub(/\A(contain|start|end)s/, "\\1")

        # A value of several `if`s is no part of such a sentence.
        def say(node) = node.is_a?(Nodes::Conditional) ? "(#{node.accept(@humanizer)})" : node.accept(@humanizer)
      end
    end
  end
end
