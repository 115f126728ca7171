# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What can be done to a design, one file a change. Each is made with what
      # the builder entered and answers
      #
      #   apply(project)  # => the new Project, or raises Invalid
      #   summary         # => one sentence for the list of revisions, after apply
      module Changes
      end
    end
  end
end
