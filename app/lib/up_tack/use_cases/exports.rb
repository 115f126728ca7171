# frozen_string_literal: true

module UpTack
  module UseCases
    # Records in open formats, for other programs and for coming in again.
    module Exports
    end
  end
end
