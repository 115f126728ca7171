# frozen_string_literal: true

module UpTack
  module UseCases
    # The review of suggestions: what clean-ups would make of the texts that are
    # there, and what somebody decides about each of them.
    module Tidying
    end
  end
end
