# frozen_string_literal: true

module UpTack
  module UseCases
    # The whole design as an open file: out of a project, and into one.
    module ProjectFiles
    end
  end
end
