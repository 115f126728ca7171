# frozen_string_literal: true

module UpTack
  module Web
    # What a request asks for: its body, query and path, read and checked.
    module Params
    end
  end
end
