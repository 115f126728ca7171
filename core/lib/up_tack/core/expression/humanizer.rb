# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Says a formula in words: fields by the labels that people see, signs as
      # they are read. For tacks and sentences, not to be parsed again.
      class Humanizer
        include Lookup

        SIGNS = {"=" => "=", "<>" => "≠", "<=" => "≤", ">=" => "≥", "*" => "×", "/" => "÷"}.freeze
        # Comparisons with the subject left out: "at most 90".
        ALONE = {
          "=" => "exactly",
          "<>" => "not",
          "<" => "below",
          "<=" => "at most",
          ">" => "above",
          ">=" => "at least"
        }.freeze

        # The same for days.
        DAYS_ALONE = {"<" => "before", "<=" => "on or before", ">" => "after", ">=" => "on or after"}.freeze
        AGGREGATES = {
          "count" => "number of",
          "sum" => "sum of",
          "average" => "average",
          "min" => "lowest",
          "max" => "highest",
          "join" => "all"
        }.freeze

        # @param scope [Scope]
        # @param subject [String, nil] key of the field that goes without saying
        def initialize(scope, subject: nil)
          @scope = scope
          @subject = subject
        end

        # @return [String]
        def humanize(tree) = (@subject && about_subject(tree)) || tree.accept(self)

        # @param tree [Nodes::Node] a condition
        # @return [String] the same, where a yes/no field alone stands for "is yes"
        def condition(tree)
          return "#{tree.accept(self)} is yes" if yes_no?(tree)
          return "#{tree.operand.accept(self)} is no" if tree.is_a?(Nodes::Inversion) && yes_no?(tree.operand)

          tree.accept(self)
        end

        def literal(node)
          case node.value
          when nil then "blank"
          when String then "“#{node.value}”"
          when true then "yes"
          when false then "no"
          else Values.show(node.value, @scope.conventions)
          end
        end

        def field(node)
          label = entry_of(node)&.label || node.key
          node.before ? "previous #{label}" : label
        end

        def path(node)
          entry = entry_of(node)
          "#{entry&.label || node.key} of #{node.owner.accept(self)}"
        end

        # Inside an aggregate the names are those of the linked record.
        def aggregate(node)
          source = Source.new(@scope, node.source)
          inner = self.class.new(*inside(source.reverse.scope))
          what = source.value.empty? ? nil : Aggregation.value_node(source.value).accept(inner)
          text = [AGGREGATES.fetch(node.name), what && "#{what} of", from_links(node, source)].compact.join(" ")
          node.condition ? "#{text} where #{inner.condition(node.condition)}" : text
        end

        def fits(node) = "#{node.text.accept(self)} fits #{node.mask.value}"
        def changed(node) = "#{node.field.accept(self)} changed"

        def person(node) = Scope::PERSON.fetch(node.name)
        def is_new(_node) = "the record is new" # rubocop:disable Naming/PredicatePrefix
        def negation(node) = "−#{grouped(node.operand)}"

        def arithmetic(node) =
          "#{grouped(node.left, node)} #{SIGNS.fetch(node.sign, node.sign).sub("-", "−")} #{grouped(node.right, node)}"

        def join(node) = node.parts.map { |part| part.accept(self) }.join(" & ")

        def comparison(node) =
          "#{node.left.accept(self)} #{SIGNS.fetch(node.sign, node.sign)} #{node.right.accept(self)}"

        def logic(node) = "#{alternative(node.left, node)} #{node.word} #{alternative(node.right, node)}"
        def range(node) = "#{node.value.accept(self)} from #{node.low.accept(self)} to #{node.high.accept(self)}"

        def membership(node) =
          "#{node.value.accept(self)} #{node.options.one? ? "is" : "is one of"} #{list(node.options)}"

        def blank_test(node) = "#{node.value.accept(self)} is blank"
        def text_test(node) = "#{node.text.accept(self)} #{node.relation} #{node.part.accept(self)}"

        def inversion(node)
          inner = node.operand
          return "#{inner.value.accept(self)} is not blank" if inner.is_a?(Nodes::BlankTest)

          "not (#{condition(inner)})"
        end

        def conditional(node)
          "if #{condition(node.condition)} then #{node.consequence.accept(self)}, " \
            "else #{node.alternative.accept(self)}"
        end

        def call(node)
          return Values.show(Functions::DateFunctions.iso(node.arguments.first.value)) if fixed_date?(node)

          Spoken.speak(node.name, node.arguments.map { |argument| grouped(argument) })
        end

        private

        def inside(scope) = [scope.within(@scope)]

        # "Pieces", or "Pieces of Maker" where links lead there first.
        def from_links(node, source)
          labels = [source.reverse.label]
          scope = @scope
          source.steps[0...-1].each do |step|
            entry = scope[step.key]
            labels << entry.label
            scope = entry.target.call
          end
          # Without a link that leads elsewhere they are those of the record at hand.
          labels << "this #{@scope.one.downcase}" if source.steps.one? && @scope.one
          labels.join(" of ")
        end

        def about_subject(tree)
          if tree.is_a?(Nodes::Comparison) && subject?(tree.left)
            words = (@scope[@subject].type == :date) ? ALONE.merge(DAYS_ALONE) : ALONE
            "#{words.fetch(tree.sign)} #{tree.right.accept(self)}"
          elsif tree.is_a?(Nodes::Range) && subject?(tree.value)
            "#{tree.low.accept(self)} to #{tree.high.accept(self)}"
          elsif tree.is_a?(Nodes::Membership) && subject?(tree.value)
            "one of #{list(tree.options)}"
          end
        end

        def yes_no?(node) = [Nodes::Field, Nodes::Path].include?(node.class) && entry_of(node)&.type == :yes_no

        # What is joined by `and` or `or`.
        def alternative(node, parent) = condition(node).then { |text| plain?(node) ? text : grouped(node, parent) }

        def plain?(node) = yes_no?(node) || (node.is_a?(Nodes::Inversion) && yes_no?(node.operand))

        def subject?(node) = node.is_a?(Nodes::Field) && !node.before && node.key == @subject

        def list(nodes) = nodes.map { |node| node.accept(self) }.join(", ")

        def fixed_date?(node)
          node.name == "date" && node.arguments.one? && node.arguments.first.is_a?(Nodes::Literal) &&
            node.arguments.first.value.is_a?(String)
        end

        # Puts back the brackets without which the words would mean something else.
        def grouped(node, parent = nil)
          text = node.accept(self)
          inner = [Nodes::Arithmetic, Nodes::Logic, Nodes::Comparison, Nodes::Conditional, Nodes::Join].include?(
            node.class
          )
          inner ||= node.is_a?(Nodes::Call) && Spoken::AFTER.include?(node.name)
          (inner && !same_level?(node, parent)) ? "(#{text})" : text
        end

        def same_level?(node, parent)
          case parent
          when Nodes::Arithmetic
            node.is_a?(Nodes::Arithmetic) && node.sign == parent.sign && %w[+ *].include?(node.sign)
          when Nodes::Logic
            node.is_a?(Nodes::Comparison) || (node.is_a?(Nodes::Logic) && node.word == parent.word)
          end
        end
      end
    end
  end
end
