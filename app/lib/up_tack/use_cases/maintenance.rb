# frozen_string_literal: true

module UpTack
  module UseCases
    # What keeps the database safe: copies of it, and looking whether all of it holds.
    module Maintenance
    end
  end
end
