# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # Texts to try for a field that takes any: those that it is compared with, such that contain,
      # begin or end with what is looked for, such as a mask lets pass, of the lengths that count, and
      # one that is none of them.
      class Texts
        Nodes = Expression::Nodes
        MOST = 24
        LONGEST = 200

        # @param leaf [Conditions::Leaves::Leaf]
        # @param compared [Array<Object>] fixed values that it is compared with
        # @param trees [Array<Nodes::Node>] the conditions
        # @param leaves [Conditions::Leaves]
        def initialize(leaf, compared, trees, leaves)
          @leaf = leaf
          @compared = compared.grep(String)
          @trees = trees
          @leaves = leaves
        end

        # @return [Array<String>]
        def values
          parts = looked_for
          found =
            @compared + parts.flat_map { |part| [part, "#{part} else", "else #{part}", "an #{part} else"] } +
            pairs(parts) + masks + lengths
          others = (1..[@leaves.all.count { |leaf| leaf.kind == :text }, 1].max).map { |count| "other #{count}" }
          (
            found
              .uniq { |text| exact? ? text : Unicode.folded(text) }
              .reject { |text| Unicode.blank?(text) }
              .first(MOST) | others
          )
        end

        private

        # What looks at capitals tells texts apart that are the same elsewhere.
        def exact? =
          @exact ||= (nodes(Nodes::Call).any? { |node| node.name == "exact" } || nodes(Nodes::Fits).any?) ? 1 : nil

        def nodes(kind)
          found = []
          @trees.each { |tree| tree.walk { |node| found << node if node.is_a?(kind) } }
          found
        end

        def looked_for
          tests = nodes(Nodes::TextTest).map(&:part)
          calls = nodes(Nodes::Call).flat_map(&:arguments)
          whole = nodes(Nodes::Comparison).flat_map(&:children) + nodes(Nodes::Membership).flat_map(&:options)
          (tests + calls + whole)
            .filter_map { |node| node.value if node.is_a?(Nodes::Literal) && node.value.is_a?(String) }
            .uniq
            .first(6)
        end

        def pairs(parts) =
          parts
            .combination(2)
            .flat_map { |one, other| ["#{one}#{other}", "#{one} #{other}", "#{other} #{one}"] }
            .first(9)

        def masks = nodes(Nodes::Fits).map { |node| Masks::Examples.sample(Masks.read(node.mask.value)) }

        def lengths
          numbers = nodes(Nodes::Comparison).flat_map(&:children) + nodes(Nodes::Range).flat_map(&:children)
          return [] if nodes(Nodes::Call).none? { |node| node.name == "len" }

          numbers
            .filter_map { |node| node.value.to_i if node.is_a?(Nodes::Literal) && node.value.is_a?(BigDecimal) }
            .flat_map { |length| [length - 1, length, length + 1] }
            .select { |length| length.between?(1, LONGEST) }
            .uniq
            .map { |length| "x" * length }
        end
      end
    end
  end
end
