# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Finds the tables to whose records a formula of type link can lead.
      class LinkTargets
        include Lookup

        # @param scope [Scope]
        def initialize(scope)
          @scope = scope
        end

        # @param node [Nodes::Node] checked
        # @return [Array<String>] keys of tables
        def find(node)
          case node
          when Nodes::Conditional then find(node.consequence) | find(node.alternative)
          when Nodes::Call then node.arguments.flat_map { |argument| find(argument) }.uniq
          else [target_of(node)&.key].compact
          end
        end
      end
    end
  end
end
