# frozen_string_literal: true

module UpTack
  module Core
    # Forms that are being filled in.
    module Forms
    end
  end
end
