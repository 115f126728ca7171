# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # What conditions of one table are made of in the end: fields of the record, details of linked
      # records, values over linked records, the day and the person. Fields that always equal a formula
      # are taken apart further, so that several formulas of one field are seen together. With a value
      # for each leaf any part of the conditions can be worked out without a record.
      class Leaves
        Nodes = Expression::Nodes

        # text:: the formula that stands for it; kind:: its type
        # field:: the Design::Field, for a field of the record itself
        # blank:: whether it can be blank
        Leaf = Struct.new(:text, :node, :kind, :field, :blank, keyword_init: true)

        # Compiles trees in which each leaf stands for a value that is given.
        class Compiler < Expression::Compiler
          # @param leaves [Conditions::Leaves]
          def initialize(scope, leaves)
            super(scope)
            @leaves = leaves
          end

          def compile(node)
            text = @leaves.text_of(node)
            return ->(evaluation) { evaluation.values[text] } if text

            inner = @leaves.inner(node)
            return super unless inner

            field, tree = inner
            formula = compile(tree)
            lambda do |evaluation|
              value = field.coerce(formula.call(evaluation))
              value unless value.is_a?(Core::Values::Unreadable)
            end
          end
        end

        # @param table [Design::Table]
        def initialize(table)
          @table = table
          @printer = Expression::Printer.new
          @leaves = {}
          @texts = {}.compare_by_identity
          @inner = {}.compare_by_identity
          @compiled = {}.compare_by_identity
          @below = {}.compare_by_identity
        end

        # Takes a tree in.
        # @param tree [Nodes::Node] checked
        # @return [Array<String>] texts of the leaves that it is made of
        def find(tree) = @below[tree] ||= gather(tree, []).uniq

        # @return [Array<Leaf>]
        def all = @leaves.values

        # @return [Leaf]
        def [](text) = @leaves.fetch(text)

        # @param given [Hash{String=>Object}] a value for each leaf
        # @return [Object, nil] what a part comes to, of a tree that was taken in
        def value(node, given)
          formula = @compiled[node] ||= Compiler.new(@table.scope, self).compile(node)
          formula.call(Expression::Evaluation.new(values: given, old: given, context: Nowhere::CONTEXT, is_new: false))
        rescue Numbers::TooLarge, Unicode::TooLong
          nil
        end

        # Goes over a tree that was taken in, through fields that are taken apart, down to the leaves.
        # @yield [Nodes::Node]
        def walk(tree, &block)
          yield tree
          return if @texts.key?(tree)

          further = @inner[tree]
          (further ? [further.last] : tree.children).each { |child| walk(child, &block) }
        end

        # @return [String, nil] of the leaf that a node is
        def text_of(node) = @texts[node]

        # @return [Array(Design::Field, Nodes::Node), nil] the field and the formula that it always equals
        def inner(node) = @inner[node]

        # A place and time for what does not depend on them.
        module Nowhere
          CLOCK =
            Ports::StoppedClock.new(now: ::Time.utc(2026, 6, 1, 12), today: Calendar.day(2026, 6, 1)).freeze
          CONTEXT =
            Context.new(
              clock: CLOCK,
              person: Ports::Person.new(name: "Somebody", email: nil, role: "builder")
            )
        end

        private

        def gather(node, passed)
          further = calculated(node, passed)
          if further
            field, tree = further
            @inner[node] = further
            return gather(tree, [*passed, field.key])
          end
          return leaf(node) if leaf?(node)

          node.children.flat_map { |child| gather(child, passed) }
        end

        # What is worked out from the record alone, by what always holds.
        def calculated(node, passed)
          return unless node.is_a?(Nodes::Field) && !node.before && !node.outside && !passed.include?(node.key)

          rule = @table.calculation(node.key)
          return if rule.nil? || rule.once? || rule.formula(@table).fleeting.any?

          # Parsed anew, since the same text elsewhere may be taken in as something else.
          [@table.field(node.key), Expression::Parser.new(rule.attributes["formula"]).tree]
        end

        def leaf?(node)
          case node
          when Nodes::Field, Nodes::Path, Nodes::Aggregate, Nodes::Person, Nodes::IsNew, Nodes::Changed then true
          when Nodes::Call then node.arguments.empty?
          else false
          end
        end

        def leaf(node)
          text = @printer.print(node)
          @texts[node] = text
          @leaves[text] ||= Leaf.new(text: text, node: node, kind: kind(node), field: field(node), blank: blank?(node))
          [text]
        end

        def kind(node)
          return :yes_no if [Nodes::IsNew, Nodes::Changed].any? { |each| node.is_a?(each) }

          Expression.compile(@printer.print(node), @table.scope).type
        end

        def field(node) = (node.is_a?(Nodes::Field) && !node.before && !node.outside) ? @table.field(node.key) : nil

        def blank?(node)
          case node
          when Nodes::IsNew, Nodes::Changed, Nodes::Call, Nodes::Person then false
          when Nodes::Aggregate then !%w[count sum].include?(node.name)
          when Nodes::Field then node.before || !filled?(node.key)
          else true
          end
        end

        # A field that must be filled, or is given a number or a count, is never blank.
        def filled?(key)
          @table.rules.any? { |rule| rule.field == key && rule.fills_always? }
        end
      end
    end
  end
end
