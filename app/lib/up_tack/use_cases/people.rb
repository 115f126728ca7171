# frozen_string_literal: true

module UpTack
  module UseCases
    # People: signing in, their list, their passwords.
    module People
      # What anybody may be.
      ROLES = Core::Access::ROLES
    end
  end
end
