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
          when Nodes::Range
            ends = {low: say(tree.low), high: say(tree.high)}
            Wording["%{value} must be between %{low} and %{high}", value: say(tree.value), **ends]
          when Nodes::Membership then membership(tree)
          when Nodes::BlankTest then Wording["%{value} must be blank", value: say(tree.value)]
          when Nodes::TextTest
            Wording["%{text} must %{verb} %{part}", verb: verb(tree.relation), text: say(tree.text),
              part: say(tree.part)]
          when Nodes::Inversion then inverted(tree.operand)
          when Nodes::Logic then logic(tree)
          when Nodes::Conditional then conditional(tree)
          when Nodes::Field, Nodes::Path then Wording["%{say} must be yes", say: say(tree)]
          end
        end

        def inverted(tree)
          case tree
          when Nodes::BlankTest then Wording["%{value} must not be blank", value: say(tree.value)]
          when Nodes::Field, Nodes::Path then Wording["%{say} must be no", say: say(tree)]
          when Nodes::TextTest
            tested = {text: say(tree.text), part: say(tree.part)}
            Wording["%{text} must not %{verb} %{part}", verb: verb(tree.relation), **tested]
          when Nodes::Membership
            Wording["%{value} must not be one of %{options}", value: say(tree.value), options: options(tree)]
          when Nodes::Logic then Wording["not allowed: %{condition}", condition: @humanizer.condition(tree)]
          end
        end

        def logic(tree)
          return both(tree) if tree.word == "and"

          rest = phrase(tree.right) or return
          return Wording["once the record exists, %{rest}", rest: rest] if tree.left.is_a?(Nodes::IsNew)

          unless_so = opposite(tree.left)
          unless_so && Wording["if %{unless_so}, %{rest}", unless_so: unless_so, rest: rest]
        end

        def both(tree)
          parts = @humanizer.chain(tree).map { |part| phrase(part) }
          return unless parts.all?

          parts.join(",#{(parts.length < Humanizer::LINES) ? " " : "\n"}#{Wording["and"]} ")
        end

        # "A or B" where A says what something is not, reads better as "if it is, B".
        def opposite(tree)
          case tree
          when Nodes::Comparison
            "#{say(tree.left)} = #{say(tree.right)}" if tree.sign == "<>"
          when Nodes::Inversion then @humanizer.condition(tree.operand)
          when Nodes::BlankTest then Wording["%{value} is not blank", value: say(tree.value)]
          end
        end

        def conditional(tree)
          required = phrase(tree.consequence) or return
          return unless tree.alternative.is_a?(Nodes::Literal) && tree.alternative.value == true

          Wording["if %{condition}, %{required}", condition: @humanizer.condition(tree.condition), required: required]
        end

        def membership(tree)
          value = say(tree.value)
          return Wording["%{value} must be %{option}", value: value, option: options(tree)] if tree.options.one?

          Wording["%{value} must be one of %{options}", value: value, options: options(tree)]
        end

        def options(tree) = tree.options.map { |node| say(node) }.join(", ")

        def relation(tree)
          return Wording[RELATIONS.fetch(tree.sign)] unless [tree.left, tree.right].any? { |side| time?(side) }

          Wording[IN_TIME.fetch(tree.sign) { RELATIONS.fetch(tree.sign) }]
        end

        def time?(node)
          return CLOCK.include?(node.name) if node.is_a?(Nodes::Call)

          [Nodes::Field, Nodes::Path].include?(node.class) && TIMES.include?(entry_of(node)&.type)
        end

        # "contains" as it stands after "must".
        def verb(relation) = Wording[relation.sub(/\A(contain|start|end)s/, "\\1")]

        # A value of several `if`s is no part of such a sentence.
        def say(node) = node.is_a?(Nodes::Conditional) ? "(#{node.accept(@humanizer)})" : node.accept(@humanizer)
      end
    end
  end
end
