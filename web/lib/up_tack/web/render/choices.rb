# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What follows when choices are renamed.
      module Choices
        module_function

        # @param found [Design::PreviewChoices::Foreseen]
        def foreseen(found) =
          {
            renamed: found.renamed.map(&:to_h),
            follows: Revision.differences(found.follows),
            stays: found.stays.map(&:to_h)
          }
      end
    end
  end
end
