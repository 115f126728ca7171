# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `text contains part`, and the same for `starts with` and `ends with`.
        class TextTest < Node
          attr_reader :relation, :text, :part

          def initialize(relation:, text:, part:, **place)
            super(**place)
            @relation = relation
            @text = text
            @part = part
          end

          def children = [text, part]
          def accept(visitor) = visitor.text_test(self)
        end
      end
    end
  end
end
