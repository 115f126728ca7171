# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # What of a rule must have been seen before it counts as proven: each thing that
      # it can do, each side of each limit, each branch, both sides of each condition.
      class CoverageTargets
        # key:: names it among those of its rule; words:: for people
        # notes:: what a Probe has noted when it was seen, any of them; those that begin
        #   with a text are of a formula and are noted under whichever rule is at work
        # node:: the part of a formula that it is about, nil for the rule as a whole
        # part:: where that formula stands in the rule
        # inside:: the aggregate in whose condition it is, nil mostly
        Point = Struct.new(:key, :words, :notes, :node, :part, :inside, keyword_init: true)

        Nodes = Expression::Nodes
        # Parts of rules that are conditions as a whole.
        CONDITIONS = %w[when reaches].freeze
        ORDERED = %i[number date time moment].freeze
        SIDES = {"below" => "is below", "on" => "equals", "above" => "is above"}.freeze

        # @param rule [Rules::Rule]
        # @param table [Design::Table]
        # @return [Array<Point>]
        def self.all(rule, table) = new(rule, table).all

        def initialize(rule, table)
          @rule = rule
          @table = table
        end

        # @return [Array<Point>]
        def all
          own =
            @rule
              .outcomes(@table)
              .map do |key, words, marks|
                Point.new(key: key, words: words, notes: marks.map { |mark| [@rule.id, *mark] })
              end
          own + @rule.formula_parts.flat_map { |part, text| in_formula(part, text) }
        end

        private

        def in_formula(part, text)
          tree = Expression.parse(text)
          found = (CONDITIONS.include?(part) && !@rule.field_state?) ? whole(part, text, tree) : []
          walk(tree, @table.scope) do |node, scope, inside|
            found.concat(at(node, scope, part, text).each { |point| point.inside = inside })
          end
          found
        end

        # A condition that is one comparison has its sides, and needs nothing more.
        def whole(part, text, tree)
          if [Nodes::Comparison, Nodes::Range, Nodes::Membership, Nodes::BlankTest, Nodes::Literal].any? { |kind|
               tree.is_a?(kind)
             }
            return []
          end

          %w[yes no].map do |answer|
            point(
              "#{part} #{answer}",
              "#{say(tree, @table.scope)}: #{answer}",
              [text, "all", nil, answer],
              tree,
              part
            )
          end
        end

        def walk(node, scope, inside = nil, &block)
          block.call(node, scope, inside)
          return within(node, scope, &block) if node.is_a?(Nodes::Aggregate)

          node.children.each { |child| walk(child, scope, inside, &block) }
        end

        # The condition of an aggregate speaks of the linked records.
        def within(node, scope, &block)
          return unless node.condition

          walk(node.condition, Expression::Source.new(scope, node.source).reverse.scope.within(scope), node, &block)
        end

        def at(node, scope, part, text)
          case node
          when Nodes::Comparison
            compared(node, node.left, node.right, scope, part, text)
          when Nodes::Range
            [node.low, node.high].flat_map { |limit| compared(limit, node.value, limit, scope, part, text) }
          when Nodes::Membership
            among(node, scope, part, text)
          when Nodes::BlankTest
            value = say(node.value, scope)
            [
              branch(node, Wording["%{value} is blank", value: value], "blank", part, text),
              branch(node, Wording["%{value} has a value", value: value], "filled", part, text)
            ]
          when Nodes::Conditional
            {"then" => "so", "else" => "not so"}.map do |side, words|
              branch(node, "#{say(node.condition, scope)}: #{words}", side, part, text)
            end
          else
            []
          end
        end

        def compared(place, left, right, scope, part, text)
          one, other = [left, right].map { |node| say(node, scope) }
          return sides(place, one, other, part, text, without: impossible(left, right)) if ordered?(left, right, scope)

          notes = ->(sides) { sides.map { |side| [text, place.from, place.to, side] } }
          [
            ["on", Wording["%{one} is %{other}", one: one, other: other], %w[on]],
            ["off", Wording["%{one} is not %{other}", one: one, other: other], %w[below above]]
          ].map do |key, words, marks|
            Point.new(
              key: "#{part} #{place.from} #{key}",
              words: words,
              notes: notes.call(marks),
              node: place,
              part: part
            )
          end
        end

        def sides(place, one, other, part, text, without: [])
          SIDES
            .except(*without)
            .map do |side, words|
              Point.new(
                key: "#{part} #{place.from} #{side}",
                words: "#{one} #{Wording[words]} #{other}",
                notes: [[text, place.from, place.to, side]],
                node: place,
                part: part
              )
            end
        end

        # Nothing is counted less often than not at all.
        def impossible(left, right)
          count = ->(node) { node.is_a?(Nodes::Aggregate) && node.name == "count" }
          none = ->(node) { node.is_a?(Nodes::Literal) && node.value.is_a?(BigDecimal) && node.value.zero? }
          return ["below"] if count.call(left) && none.call(right)

          (none.call(left) && count.call(right)) ? ["above"] : []
        end

        def among(node, scope, part, text)
          value = say(node.value, scope)
          options =
            node.options.each_with_index.map do |option, index|
              branch(node, Wording["%{value} is %{option}", value: value, option: say(option, scope)],
                "option #{index + 1}", part, text)
            end
          options << branch(node, Wording["%{value} is none of them", value: value], "none", part, text)
        end

        # Fixed texts have no sides; whatever is worked out as a number or a day has.
        def ordered?(left, right, scope)
          [left, right].any? { |node| !node.is_a?(Nodes::Literal) && ORDERED.include?(type(node, scope)) }
        end

        def type(node, scope)
          return Values::Types.type_of(node.value) if node.is_a?(Nodes::Literal)

          Expression::Checker.new(scope).check(node, expecting: nil)
        end

        def branch(node, words, side, part, text) =
          point("#{part} #{node.from} #{side}", words, [text, node.from, node.to, side], node, part)

        def point(key, words, note, node, part) =
          Point.new(key: key, words: words, notes: [note], node: node, part: part)

        def say(node, scope) = node.accept(Expression::Humanizer.new(scope))
      end
    end
  end
end
