# frozen_string_literal: true

module UpTack
  module Services
    # Makes the first revision of a new database, and its people.
    class StartProject
      # @param design [Hash] plain, as a project file has it
      # @param tolerating [Array, :all] see Core::Design::Project.reopen
      # @param people [Array<Hash>] with "name", "email" and "role"
      def call(design:, people:, tolerating: [])
        Store::Database.write do
          people.each do |person|
            Store::Person.create!({"sign_in" => Store::Person.folded(person["name"].split.first)}.merge(person))
          end
          project = Core::Design::Project.reopen(design, tolerating: tolerating)
          Store::SchemaSync.new(nil, project).follow
          Store::Revision.create!(
            made_at: Time.now.utc, person_name: "Up Tack", action: "start",
            summary: "#{project.name} was set up", design: JSON.generate(project.attributes)
          )
        end
      end
    end
  end
end
