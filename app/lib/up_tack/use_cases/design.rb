# frozen_string_literal: true

module UpTack
  module UseCases
    # The design of the database: changed, undone, looked up, foreseen; as a project file, and begun anew.
    module Design
    end
  end
end
