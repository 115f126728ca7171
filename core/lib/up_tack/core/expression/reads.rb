# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Finds the fields that a tree reads.
      module Reads
        module_function

        # @return [Array<String>] keys of the fields read as they are now; reading
        #   `old.x` makes nothing wait for x and is left out
        def of(tree) = nodes(tree).reject(&:before).map(&:key).uniq

        # @return [Array<String>] keys of all fields named, `old.` or not
        def named_in(tree) = nodes(tree).map(&:key).uniq

        # @return [Array<Nodes::Field>] in the order of the text
        def nodes(tree)
          found = []
          tree.walk { |node| found << node if node.is_a?(Nodes::Field) }
          found.sort_by(&:from)
        end

        # Writes a formula again with one field under another key.
        # @return [String]
        def renamed(text, old_key, new_key)
          nodes(Expression.parse(text)).reverse_each do |node|
            next unless node.key == old_key

            text = text[0...(node.to - node.key.length)] + new_key + text[node.to..]
          end
          text
        end
      end
    end
  end
end
