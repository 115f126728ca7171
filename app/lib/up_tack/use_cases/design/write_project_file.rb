# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # Writes the project file: the design, and people with their roles, without passwords.
      class WriteProjectFile
        def initialize(workspace)
          @workspace = workspace
        end

        # @return [String]
        def call
          people =
            Store::Person
              .where(active: true)
              .order(:id)
              .to_h do |person|
                [person.id, {"name" => person.name, "email" => person.email, "role" => person.role}.compact]
              end
          Core::Design::ProjectFile.write(@workspace.project, people)
        end
      end
    end
  end
end
