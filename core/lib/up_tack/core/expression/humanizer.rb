# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Says a formula in words: fields by the labels that people see, signs as
      # they are read. For tacks and sentences, not to be parsed again.
      class Humanizer
        include Lookup

        SIGNS = {"=" => "=", "<>" => "≠", "<=" => "≤", ">=" => "≥", "*" => "×", "/" => "÷"}.freeze
        # Conditions from which on each has a line.
        LINES = 3
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
          return Wording["%{answer} is yes", answer: tree.accept(self)] if yes_no?(tree)
          if tree.is_a?(Nodes::Inversion) && yes_no?(tree.operand)
            return Wording["%{answer} is no", answer: tree.operand.accept(self)]
          end

          tree.accept(self)
        end

        def literal(node)
          case node.value
          when nil then Wording["blank"]
          when String then "“#{node.value}”"
          when true then Wording["yes"]
          when false then Wording["no"]
          else Values.show(node.value, @scope.conventions)
          end
        end

        def field(node)
          label = entry_of(node)&.label || node.key
          node.before ? Wording["previous %{label}", label: label] : label
        end

        def path(node)
          entry = entry_of(node)
          Wording["%{field} of %{owner}", field: entry&.label || node.key, owner: node.owner.accept(self)]
        end

        # Inside an aggregate the names are those of the linked record.
        def aggregate(node)
          source = Source.new(@scope, node.source)
          inner = self.class.new(*inside(source.reverse.scope))
          what = source.value.empty? ? nil : Aggregation.value_node(source.value).accept(inner)
          text = [Wording[AGGREGATES.fetch(node.name)], what && Wording["%{what} of", what: what],
            from_links(node, source)].compact.join(" ")
          return text unless node.condition

          Wording["%{total} where %{condition}", total: text, condition: inner.condition(node.condition)]
        end

        def fits(node) = Wording["%{text} fits %{value}", text: node.text.accept(self), value: node.mask.value]
        def changed(node) = Wording["%{field} changed", field: node.field.accept(self)]

        def person(node) = Wording[Scope::PERSON.fetch(node.name)]
        def is_new(_node) = Wording["the record is new"] # rubocop:disable Naming/PredicatePrefix
        def negation(node) = "−#{grouped(node.operand)}"

        def arithmetic(node) =
          "#{grouped(node.left, node)} #{SIGNS.fetch(node.sign, node.sign).sub("-", "−")} #{grouped(node.right, node)}"

        def join(node) = node.parts.map { |part| part.accept(self) }.join(" & ")

        def comparison(node) =
          "#{node.left.accept(self)} #{SIGNS.fetch(node.sign, node.sign)} #{node.right.accept(self)}"

        # Three conditions or more are read line by line.
        def logic(node)
          parts = chain(node).map { |part| alternative(part, node) }
          parts.join("#{(parts.length < LINES) ? " " : "\n"}#{Wording[node.word]} ")
        end

        def range(node)
          ends = {low: node.low.accept(self), high: node.high.accept(self)}
          Wording["%{value} from %{low} to %{high}", value: node.value.accept(self), **ends]
        end

        def membership(node) =
          "#{node.value.accept(self)} #{node.options.one? ? Wording["is"] : Wording["is one of"]} #{list(node.options)}"

        def blank_test(node) = Wording["%{value} is blank", value: node.value.accept(self)]
        def text_test(node) = "#{node.text.accept(self)} #{Wording[node.relation]} #{node.part.accept(self)}"

        def inversion(node)
          inner = node.operand
          return Wording["%{value} is not blank", value: inner.value.accept(self)] if inner.is_a?(Nodes::BlankTest)

          Wording["not (%{condition})", condition: condition(inner)]
        end

        def conditional(node)
          branches = {consequence: node.consequence.accept(self), alternative: node.alternative.accept(self)}
          Wording["if %{condition} then %{consequence}, else %{alternative}",
            condition: condition(node.condition), **branches]
        end

        def call(node)
          return Values.show(Functions::DateFunctions.iso(node.arguments.first.value)) if fixed_date?(node)

          Spoken.speak(node.name, node.arguments.map { |argument| grouped(argument) })
        end

        # @return [Array<Nodes::Node>] what the same `and` or `or` joins
        def chain(node)
          [node.left, node.right].flat_map do |part|
            (part.is_a?(Nodes::Logic) && part.word == node.word) ? chain(part) : [part]
          end
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
          labels << Wording["this %{record}", record: @scope.one.downcase] if source.steps.one? && @scope.one
          labels.reverse.reduce { |owner, part| Wording["%{part} of %{owner}", part: part, owner: owner] }
        end

        def about_subject(tree)
          if tree.is_a?(Nodes::Comparison) && subject?(tree.left)
            words = (@scope[@subject].type == :date) ? ALONE.merge(DAYS_ALONE) : ALONE
            "#{Wording[words.fetch(tree.sign)]} #{tree.right.accept(self)}"
          elsif tree.is_a?(Nodes::Range) && subject?(tree.value)
            Wording["%{low} to %{high}", low: tree.low.accept(self), high: tree.high.accept(self)]
          elsif tree.is_a?(Nodes::Membership) && subject?(tree.value)
            Wording["one of %{list}", list: list(tree.options)]
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
