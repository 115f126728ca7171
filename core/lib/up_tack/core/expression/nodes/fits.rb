# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `text fits "mask"`.
        class Fits < Node
          # mask:: the mask as it is written; mask_from:: where it stands
          attr_reader :text, :mask

          def initialize(text:, mask:, **place)
            super(**place)
            @text = text
            @mask = mask
          end

          def children = [text, mask]
          def accept(visitor) = visitor.fits(self)
        end
      end
    end
  end
end
