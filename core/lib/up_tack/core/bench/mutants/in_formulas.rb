# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class Mutants
        # Mistakes in the formulas of a rule, made in their text so that all else stays as it is.
        class InFormulas
          Nodes = Expression::Nodes
          # Signs off by one, and turned round.
          SIGNS = {
            "<" => %w[<= >],
            "<=" => %w[< >=],
            ">" => %w[>= <],
            ">=" => %w[> <=],
            "=" => %w[<>],
            "<>" => %w[=]
          }.freeze
          SUMS = {"+" => "-", "-" => "+", "*" => "+", "/" => "*"}.freeze
          # Functions mixed up with one that takes the same.
          ALIKE = {
            "round" => "roundup",
            "roundup" => "rounddown",
            "rounddown" => "round",
            "floor" => "ceiling",
            "ceiling" => "floor",
            "left" => "right",
            "right" => "left",
            "upper" => "lower",
            "lower" => "upper",
            "proper" => "upper",
            "year" => "month",
            "month" => "day",
            "day" => "month",
            "hour" => "minute",
            "minute" => "hour",
            "min" => "max",
            "max" => "min",
            "edate" => "eomonth",
            "eomonth" => "edate",
            "sum" => "max",
            "average" => "max"
          }.freeze
          RELATIONS = {"contains" => "starts with", "starts with" => "ends with", "ends with" => "contains"}.freeze

          # @param rule [Rules::Rule]
          # @param table [Design::Table]
          def initialize(rule, table)
            @rule = rule
            @table = table
          end

          # @return [Array<Mutant>]
          def all
            @rule.formula_parts.flat_map do |part, text|
              @part, @text = part, text
              tree = Expression.parse(text)
              whole(tree) + walk(tree, @table.scope)
            end
          end

          private

          # A whole condition, the other way round.
          def whole(tree)
            condition = Expression.compile(@text, @table.scope, counting: true).type == :yes_no
            (condition && !tree.is_a?(Nodes::Literal)) ? [edit("negated", tree, "not (#{@text})")] : []
          rescue Expression::Invalid
            []
          end

          def walk(node, scope)
            found = find(node, scope)
            return found + renamed(node) + within(node, scope) if node.is_a?(Nodes::Aggregate)

            # `is not blank` is one test, turned once.
            children =
              if node.is_a?(Nodes::Inversion) && node.operand.is_a?(Nodes::BlankTest)
                node.operand.children
              else
                node.children
              end
            found + children.flat_map { |child| walk(child, scope) }
          end

          def turned(operand) =
            operand.is_a?(Nodes::BlankTest) ? "#{source_of(operand.value)} is blank" : "(#{source_of(operand)})"

          def within(node, scope)
            source = Expression::Source.new(scope, node.source)
            inner = source.reverse.scope.within(scope)
            dropped = node.condition ? [edit("dropped", node, source_of(node).sub(/\s+where\s+.*(?=\)\z)/m, ""))] : []
            dropped + (node.condition ? walk(node.condition, inner) : [])
          end

          def find(node, scope)
            case node
            when Nodes::Comparison
              compared(node, scope)
            when Nodes::Logic
              joined(node)
            when Nodes::Inversion
              [edit("negated", node, turned(node.operand))]
            when Nodes::Literal
              constant(node)
            when Nodes::Membership
              options(node, scope)
            when Nodes::Conditional
              [node.consequence, node.alternative].map { |branch| edit("dropped", node, "(#{source_of(branch)})") }
            when Nodes::Arithmetic
              summed(node)
            when Nodes::Field
              fields(node, scope)
            when Nodes::TextTest
              [between("text", node.text, node.part, RELATIONS.fetch(node.relation))]
            when Nodes::Call
              renamed(node)
            when Nodes::BlankTest
              [edit("negated", node, "#{source_of(node.value)} is not blank")]
            when Nodes::Join
              if node.parts.length > 1
                node.parts.each_index.map { |index| edit("dropped", node, others(node.parts, index)) }
              else
                []
              end
            else
              []
            end.compact
          end

          def compared(node, scope)
            signs = SIGNS.fetch(node.sign).map { |sign| between("sign", node.left, node.right, sign) }
            signs + choices(node.left, node.right, scope) + choices(node.right, node.left, scope)
          end

          # A choice mixed up with another one of its list.
          def choices(side, other, scope)
            return [] unless other.is_a?(Nodes::Literal) && other.value.is_a?(String)

            list = choices_of(side, scope) or return [edit("text", other, quoted("#{other.value} x"))]
            near = list.find { |choice| Unicode.folded(choice) != Unicode.folded(other.value) }
            near ? [edit("choice", other, quoted(near))] : []
          end

          def choices_of(node, scope)
            return unless node.is_a?(Nodes::Field)

            here = node.outside ? scope.outer : scope
            entry = here && here[node.key]
            entry&.choices&.then { |all| all.empty? ? nil : all }
          end

          def options(node, scope)
            dropped =
              if node.options.length > 1
                node.options.each_index.map do |index|
                  edit("list", node, "#{source_of(node.value)} in (#{others(node.options, index, ", ")})")
                end
              else
                []
              end
            dropped + node.options.flat_map { |option| choices(node.value, option, scope) }
          end

          def joined(node)
            other = (node.word == "and") ? "or" : "and"
            [
              between("logic", node.left, node.right, other),
              edit("dropped", node, "(#{source_of(node.left)})"),
              edit("dropped", node, "(#{source_of(node.right)})")
            ]
          end

          def summed(node)
            other = SUMS[node.sign] or return []
            [between("sign", node.left, node.right, other)]
          end

          # A number one step up and down, in its own last place.
          def constant(node)
            return [] unless node.value.is_a?(BigDecimal)

            step = BigDecimal("1e-#{node.value.scale}")
            [1, -1].map { |sign| edit("constant", node, literal(node.value + (sign * step))) }
          end

          def literal(number) = number.negative? ? "(#{Numbers.digits(number)})" : Numbers.digits(number)

          # A field mixed up with the next one of its type.
          def fields(node, scope)
            here = node.outside ? scope.outer : scope
            own = here&.[](node.key) or return []
            like =
              here.entries.values.select do |entry|
                entry.type == own.type && entry.key != own.key &&
                  (!own.link? || entry.target.call.key == own.target.call.key)
              end
            near = like.find { |entry| entry.choices == own.choices } || like.first
            near ? [edit("field", node, "#{"old." if node.before}#{"this." if node.outside}#{near.key}")] : []
          end

          def renamed(node)
            other = ALIKE[node.name] or return []
            [edit("function", node, source_of(node).sub(/\A\w+/, other))]
          end

          # Another sign between two parts.
          def between(sort, left, right, sign)
            made(
              sort,
              @text[0...left.to] + outside(left.to, right.from, sign) + @text[right.from..],
              @text[left.from...right.to]
            )
          end

          # What stands between two parts, brackets kept, with another sign in it.
          def outside(from, to, sign)
            gap = @text[from...to]
            "#{gap[/\A[\s)]*/]} #{sign} #{gap[/[\s(]*\z/]}"
          end

          def others(nodes, index, sign = " & ") =
            nodes.each_with_index.reject { |_, at| at == index }.map { |node, _| "(#{source_of(node)})" }.join(sign)

          def edit(sort, node, text) = made(sort, @text[0...node.from] + text + @text[node.to..], source_of(node))

          def made(sort, text, before)
            texts = {before: Values::Plain.cut(before, 60), after: Values::Plain.cut(text, 120)}
            words = Wording["`%{before}` changed: `%{after}`", **texts]
            Mutant.new(sort: sort, words: words, attributes: put(text))
          end

          def put(text)
            attributes = Marshal.load(Marshal.dump(@rule.attributes))
            *path, last = @part.split(".").map { |step| step.match?(/\A\d+\z/) ? step.to_i : step }
            (path.empty? ? attributes : attributes.dig(*path))[last] = text
            attributes
          end

          # Brackets around a part belong to no node.
          def source_of(node) = @text[node.from...node.to]
          def quoted(text) = %("#{text.gsub('"', '""')}")
        end
      end
    end
  end
end
