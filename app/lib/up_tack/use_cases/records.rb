# frozen_string_literal: true

module UpTack
  module UseCases
    # Single records: read, listed, typed, saved, deleted; totals and places of a view.
    module Records
    end
  end
end
