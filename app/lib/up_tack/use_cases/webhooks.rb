# frozen_string_literal: true

module UpTack
  module UseCases
    # Other programs that are told of changes, at addresses that a builder gives.
    module Webhooks
    end
  end
end
