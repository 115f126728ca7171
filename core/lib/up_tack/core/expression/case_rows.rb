# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # A chain of `if … else if …` as rows in words, since three cases in one sentence have to be read twice.
      module CaseRows
        # Conditions from which on rows are easier to read than a sentence.
        FEWEST = 2

        # @param tree [Nodes::Node] of a formula
        # @param scope [Scope]
        # @return [Array<Array(String, String)>] condition and value of each row from the top, the condition nil
        #   where nothing else applied; empty for what is no chain
        def self.of(tree, scope)
          humanizer = Humanizer.new(scope)
          rows = []
          while tree.is_a?(Nodes::Conditional)
            rows << [humanizer.condition(tree.condition), tree.consequence.accept(humanizer)]
            tree = tree.alternative
          end
          (rows.length < FEWEST) ? [] : [*rows, [nil, tree.accept(humanizer)]]
        end
      end
    end
  end
end
