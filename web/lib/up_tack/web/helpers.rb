# frozen_string_literal: true

module UpTack
  module Web
    # What routes share: answers, problems, and work that goes on in the background.
    module Helpers
    end
  end
end
