# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Says a formula with the values that went into one run of it, so that a
      # person can follow the sum: "640 + 55 = 695, not 700".
      class EvaluatedHumanizer < Humanizer
        FAILED = {
          "=" => "not",
          "<>" => "the same as",
          "<" => "not below",
          "<=" => "above",
          ">" => "not above",
          ">=" => "below"
        }.freeze

        # Linked records named in what an aggregate came to.
        MEMBERS = 3

        # @param evaluation [Evaluation]
        def initialize(scope, evaluation)
          super(scope)
          @evaluation = evaluation
          @compiler = Compiler.new(scope)
        end

        # @return [String]
        def humanize(tree)
          case tree
          when Nodes::Comparison then (value_of(tree) == false) ? failed(tree) : super
          when Nodes::Range then (value_of(tree) == false) ? outside(tree) : super
          else super
          end
        end

        def field(node)
          entry = entry_of(node)
          value = @compiler.compile(node).call(@evaluation)
          return Wording["blank"] if value.nil?
          return linked_title(entry, value) if entry.link?

          text = entry.show.call(value)
          (entry.type == :text) ? "“#{Values::Plain.cut(text, 60)}”" : text
        end

        def path(node) = field(node)

        # Its value stands for itself.
        def condition(tree) = humanize(tree)

        # The records that counted, as far as they can be told in a line.
        def aggregate(node)
          run = AggregateCompiler.new(@compiler, @scope, node)
          titles = []
          count = 0
          run.each_member.call(@evaluation) do |id, _|
            titles << (@evaluation.context.records.title(run.table, id) || "##{id}") if titles.length < MEMBERS
            count += 1
          end
          titles << Wording["%{count} more", count: count - MEMBERS] if count > MEMBERS
          "#{Humanizer.new(@scope).aggregate(without_condition(node))} " \
            "= #{shown(node)}#{" (#{titles.join(", ")})" if titles.any?}"
        end

        def changed(node) = "#{Humanizer.new(@scope).changed(node)}: #{answer(value_of(node) == true)}"

        def person(node) = "“#{value_of(node)}”"

        # Only the branch that was taken: the other had no part in the result.
        def conditional(node)
          met = value_of(node.condition)
          branch = met ? node.consequence : node.alternative
          condition = node.condition.accept(self)
          Wording["%{condition}: %{answer}, so %{result}", condition: condition, answer: answer(met),
            result: humanize(branch)]
        end

        def call(node)
          return shown(node) if node.arguments.empty? || fixed_date?(node)

          "#{super} = #{shown(node)}"
        end

        private

        def outside(tree)
          low, high = [tree.low, tree.high].map { |node| node.accept(self) }
          Wording["%{value} is not from %{low} to %{high}", value: tree.value.accept(self), low: low, high: high]
        end

        def without_condition(node)
          Nodes::Aggregate.new(
            name: node.name,
            source: node.source,
            separator: node.separator,
            from: node.from,
            to: node.to
          )
        end

        def linked_title(entry, id) = @evaluation.context.records.title(entry.target.call.key, id) || "##{id}"

        def failed(tree)
          left = tree.left.accept(self)
          right = tree.right.accept(self)
          right = "#{right} = #{shown(tree.right)}" if compound?(tree.right) && !tree.right.is_a?(Nodes::Call)
          if compound?(tree.left)
            left = "#{left} = #{shown(tree.left)}" unless tree.left.is_a?(Nodes::Call)
            "#{left}, #{Wording[FAILED.fetch(tree.sign)]} #{right}"
          else
            Wording["%{left} is %{failed} %{right}", left: left, failed: Wording[FAILED.fetch(tree.sign)], right: right]
          end
        end

        def answer(value)
          case value
          when true then Wording["yes"]
          when false then Wording["no"]
          else Wording["blank"]
          end
        end

        def compound?(node) = [Nodes::Arithmetic, Nodes::Call, Nodes::Conditional, Nodes::Join].include?(node.class)

        def value_of(node)
          @compiler.compile(node).call(@evaluation)
        rescue Numbers::TooLarge, Unicode::TooLong
          nil
        end

        def shown(node)
          value = value_of(node)
          value = Comparator.kept(value) if value.is_a?(BigDecimal)
          return answer(value) if [true, false, nil].include?(value)

          Values.show(value, @scope.conventions)
        end
      end
    end
  end
end
