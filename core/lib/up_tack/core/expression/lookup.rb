# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Finds the field that a node names, from the Scope in @scope.
      module Lookup
        private

        # @return [Scope::Entry, nil]
        def entry_of(node)
          case node
          when Nodes::Field then (node.outside ? @scope.outer : @scope)&.[](node.key)
          when Nodes::Path then (node.key == Scope::NUMBER.key) ? Scope::NUMBER : target_of(node.owner)&.[](node.key)
          end
        end

        # @return [Scope, nil] the table that a node, if it is a link, points to
        def target_of(node)
          entry = entry_of(node)
          entry.target.call if entry&.link?
        end
      end
    end
  end
end
