# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Takes a tree apart into pieces, as far as it is made of them.
      class StructuredFormReader
        # Thrown for a node that no piece can show.
        UNKNOWN = :unknown

        # @return [Hash, nil]
        def read(tree)
          catch(UNKNOWN) { return whole(tree) }
          nil
        end

        private

        def unknown = throw(UNKNOWN)

        def whole(node)
          case node
          when Nodes::Conditional then conditional(node)
          when Nodes::Join, Nodes::Path then {"shape" => "text", "parts" => parts(node)}
          when Nodes::Field, Nodes::Literal then {"shape" => "text", "parts" => parts(node)}
          else {"shape" => "condition", **tests(node)}
          end
        end

        # A field that brings its own surroundings along is a part, not a choice.
        def conditional(node)
          optional = optional(node)
          return {"shape" => "text", "parts" => [optional]} if optional

          {
            "shape" => "choice",
            **tests(node.condition),
            "met" => parts(node.consequence),
            "unmet" => parts(node.alternative)
          }
        end

        def parts(node)
          return node.parts.map { |part| part(part) } if node.is_a?(Nodes::Join)
          return [] if node.is_a?(Nodes::Literal) && ["", nil].include?(node.value)

          [part(node)]
        end

        def part(node)
          case node
          when Nodes::Literal then node.value.is_a?(String) ? {"text" => node.value} : unknown
          when Nodes::Conditional then optional(node) || unknown
          else {"field" => name(node)}
          end
        end

        # @return [Hash, nil] `if f is blank then "" else "a" & f & "b"`
        def optional(node)
          test = node.condition
          unless test.is_a?(Nodes::BlankTest) && node.consequence.is_a?(Nodes::Literal) &&
              ["", nil].include?(node.consequence.value)
            return
          end

          pieces = node.alternative.is_a?(Nodes::Join) ? node.alternative.parts : [node.alternative]
          at = pieces.index { |piece| !piece.is_a?(Nodes::Literal) } or return
          before, after = [pieces[0...at], pieces[at + 1..]].map { |some| texts(some) }
          return if before.nil? || after.nil?

          printed = Printer.new
          unless printed.print(owner_or_self(pieces[at])) == printed.print(test.value) ||
              printed.print(pieces[at]) == printed.print(test.value)
            return
          end

          {"field" => name(pieces[at]), "before" => before, "after" => after}
        end

        # `title is blank` guards `title.text` as well.
        def owner_or_self(node) = node.is_a?(Nodes::Path) ? node.owner : node

        def texts(nodes)
          return unless nodes.all? { |node| node.is_a?(Nodes::Literal) && node.value.is_a?(String) }

          nodes.map(&:value).join
        end

        def tests(node)
          word = node.is_a?(Nodes::Logic) ? node.word : "and"
          {"match" => (word == "or") ? "any" : "all", "tests" => flat(node, word).map { |each| test(each) }}
        end

        def flat(node, word)
          (node.is_a?(Nodes::Logic) && node.word == word) ? flat(node.left, word) + flat(node.right, word) : [node]
        end

        def test(node)
          case node
          when Nodes::Comparison
            {"field" => name(node.left), "relation" => node.sign, "value" => value(node.right)}
          when Nodes::TextTest
            {"field" => name(node.text), "relation" => node.relation, "value" => value(node.part)}
          when Nodes::BlankTest
            {"field" => name(node.value), "relation" => "is blank", "value" => nil}
          when Nodes::Membership
            {
              "field" => name(node.value),
              "relation" => "in",
              "value" => {"list" => node.options.map { |option| value(option) }}
            }
          when Nodes::Inversion
            inverted(node.operand)
          when Nodes::Field, Nodes::Path
            {"field" => name(node), "relation" => "=", "value" => {"answer" => true}}
          else
            unknown
          end
        end

        def inverted(node)
          case node
          when Nodes::BlankTest then {"field" => name(node.value), "relation" => "is not blank", "value" => nil}
          when Nodes::Membership then test(node).merge("relation" => "not in")
          when Nodes::Field, Nodes::Path then {"field" => name(node), "relation" => "=", "value" => {"answer" => false}}
          else unknown
          end
        end

        def value(node)
          return literal(node.value) if node.is_a?(Nodes::Literal)
          return {"date" => node.arguments.first.value} if fixed_date?(node)
          if node.is_a?(Nodes::Negation) && node.operand.is_a?(Nodes::Literal)
            return {"number" => "-#{Values.show(node.operand.value)}"}
          end

          {"field" => name(node)}
        end

        def literal(value)
          case value
          when String then {"text" => value}
          when BigDecimal then {"number" => Values.show(value)}
          when true, false then {"answer" => value}
          else unknown
          end
        end

        def fixed_date?(node)
          node.is_a?(Nodes::Call) && node.name == "date" && node.arguments.one? &&
            node.arguments.first.is_a?(Nodes::Literal) && node.arguments.first.value.is_a?(String)
        end

        def name(node)
          case node
          when Nodes::Field then (node.before || node.outside) ? unknown : node.key
          when Nodes::Path then "#{name(node.owner)}.#{node.key}"
          when Nodes::Person then "user.#{node.name}"
          else ((node.is_a?(Nodes::Call) && %w[today now].include?(node.name)) ? "#{node.name}()" : unknown)
          end
        end
      end
    end
  end
end
