# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Begins a new database: an empty project and its first builder. Possible
      # only once, while there is nobody.
      class SetUp
        # @return [Boolean] whether nobody is there yet
        def self.needed? = !Store::Revision.exists?

        # @param project [String] name of the project; @param time_zone [String] in the tz database
        # @param person [Hash] "name", "sign_in", "email" and "password" of the builder
        # @return [Store::Person]
        # @raise [Core::Design::Invalid, NotAllowed]
        def call(project:, time_zone:, person:)
          Store::Database.write do
            raise NotAllowed, "This is set up already; sign in." unless SetUp.needed?

            name = project.to_s.scrub.strip
            Core::Design::Invalid.because("The project needs a name of up to 80 characters.", part: "project") unless name.length.between?(1, 80) && !name.match?(/[[:cntrl:]]/)
            Core::Design::Invalid.because("There is no time zone “#{time_zone.to_s.scrub[0, 40]}”.", part: "time_zone") unless TZInfo::Timezone.all_identifiers.include?(time_zone)
            Core::Design::Invalid.because("A password is needed.", part: "password") unless person.key?("password")

            builder = ChangePerson.new.add(person.merge("role" => "builder"))
            StartProject.new.call(design: {"name" => name, "conventions" => {"time_zone" => time_zone}, "tables" => []}, people: [])
            builder
          end
        end
      end
    end
  end
end
