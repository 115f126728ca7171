# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Compiles one aggregate: finds the record it starts from, goes over the
      # linked ones and keeps account.
      class AggregateCompiler
        # @param compiler [Compiler] of the record outside
        # @param scope [Scope] the same record's
        # @param node [Nodes::Aggregate] checked
        def initialize(compiler, scope, node)
          @compiler = compiler
          @scope = scope
          @node = node
          @source = Source.new(scope, node.source)
          @aggregation = Aggregation[node.name]
        end

        # @return [Proc] from an Evaluation to the value
        def to_proc
          return counted if @node.name == "count" && @source.value.empty? && @node.condition.nil?

          separator = @node.separator ? @compiler.compile(@node.separator) : ->(_) { ", " }
          aggregation = @aggregation
          each = each_member
          lambda do |evaluation|
            account = aggregation.account(separator.call(evaluation))
            each.call(evaluation) { |_, value| account.add(value) }
            account.result
          end
        end

        # @return [Proc] from an Evaluation; calls its block with number and value
        #   of each linked record that counts
        def each_member
          start = starting_id
          last = @source.steps.last
          table, link = last.table, last.key
          value, condition = inside
          keys = needed
          lambda do |evaluation, &block|
            id = start.call(evaluation) or next
            evaluation.context.records.each_linked(table, link, id, keys) do |number, values|
              record = evaluation.linked(number, values)
              next if condition && !condition.call(record)

              found = value.call(record)
              block.call(number, found) unless found.nil?
            end
          end
        end

        # @return [String] key of the table whose records it goes over
        def table = @source.steps.last.table

        private

        # How many there are is known without looking at each.
        def counted
          start = starting_id
          last = @source.steps.last
          lambda do |evaluation|
            id = start.call(evaluation)
            BigDecimal(id ? evaluation.context.records.count_linked(last.table, last.key, id) : 0)
          end
        end

        # @return [Array<String>, nil] the linked record's fields that are read; nil
        #   for all, where one of them is itself worked out from others
        def needed
          scope = @source.reverse.scope
          nodes = [@source.value.any? ? Aggregation.value_node(@source.value) : nil, @node.condition].compact
          keys = nodes.flat_map { |node| keys_in(node) }.uniq
          keys if keys.all? { |key| key && scope[key] && !scope[key].computed }
        end

        def keys_in(node)
          found = []
          node.walk do |each|
            found << each.key if each.is_a?(Nodes::Field) && !each.outside
            found << nil if each.is_a?(Nodes::Aggregate)
          end
          found
        end

        # The number of the record to which the others are linked: this one's, or
        # that at the end of the links before.
        def starting_id
          links = @source.steps[0...-1]
          return ->(evaluation) { evaluation.id } if links.empty?

          first, *rest = links
          lambda do |evaluation|
            rest.reduce(evaluation.values[first.key]) do |id, step|
              id && evaluation.context.records.find(step.table, id)&.fetch(step.key, nil)
            end
          end
        end

        # @return [Array(Proc, Proc)] the value and the condition, for a linked record
        def inside
          compiler = Compiler.new(@source.reverse.scope.within(@scope), text: @compiler.text)
          condition = @node.condition && compiler.compile(@node.condition)
          return [->(_) { true }, condition] if @source.value.empty?

          value = Aggregation.value_node(@source.value)
          [(@node.name == "join") ? compiler.as_text(value) : compiler.compile(value), condition]
        end
      end
    end
  end
end
