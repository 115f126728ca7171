# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Checks one aggregate: that the records are linked, that its value is of a
      # type it can take, and that its condition is one.
      class AggregateCheck
        # @param checker [Checker] takes problems and references
        # @param node [Nodes::Aggregate]
        # @param scope [Scope] of the record that the aggregate belongs to
        def initialize(checker, node, scope)
          @checker = checker
          @node = node
          @scope = scope
          @aggregation = Aggregation[node.name]
        end

        # @return [Symbol] the type of the whole
        def type
          source = Source.new(@scope, @node.source)
          @checker.refer_all(source.references)
          check_separator
          inner = inside(source)
          return :broken if inner == :broken

          @aggregation.result(inner)
        rescue Source::Mistake => e
          @checker.problem(e.segment, e.message)
        end

        private

        def inside(source)
          @checker.within(source.reverse.scope, source.steps) do
            check_condition
            value_type(source)
          end
        end

        def check_condition
          condition = @node.condition or return
          type = condition.accept(@checker)
          return if Values::Types.fit?(type, :yes_no)

          @checker.problem(
            condition,
            Messages[
              "expression.aggregate_check.where_needs_condition_something_is_yes",
              type: Values::Types.phrase(type)
            ]
          )
        end

        def check_separator
          separator = @node.separator or return
          type = separator.accept(@checker)
          unless Values::Types.fit?(type, :text)
            @checker.problem(
              separator,
              Messages["expression.aggregate_check.what_stands_between_parts_is_text", type: Values::Types.phrase(type)]
            )
          end
        end

        def value_type(source)
          return without_value(source) if source.value.empty?

          value = Aggregation.value_node(source.value)
          if @node.name == "count"
            return (
              @checker.problem(
                source.value.first,
                Messages[
                  "expression.aggregate_check.count_counts_records_not_values",
                  source: @node.source.first.key,
                  field: source.value.first.key
                ]
              )
            )
          end

          type = value.accept(@checker)
          return type if type == :broken
          return @checker.problem(source.value.last, @checker.link_mistake(value)) if type == :link
          return type if @aggregation.takes?(type)

          @checker.problem(
            source.value.last,
            Messages[
              "expression.aggregate_check.this_is",
              function: @node.name,
              taken_in_words: @aggregation.taken_in_words,
              type: Values::Types.phrase(type)
            ]
          )
        end

        def without_value(source)
          return :number if @node.name == "count"

          table = source.reverse.scope
          field = table.entries.values.find { |entry| @aggregation.takes?(entry.type) }
          such = field ? ", as in `#{@node.name}(#{@node.source.map(&:key).join(".")}.#{field.key})`" : ""
          @checker.problem(
            @node,
            Messages["expression.aggregate_check.say_which_field_of_to_take", table: table.label, such: such]
          )
        end
      end
    end
  end
end
