# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Begins a new database: an empty project and its first builder. Possible
      # only once, while there is nobody.
      class SetUp
        # @return [Boolean] whether nobody is there yet
        def self.needed? = !Store::Revision.exists?

        # Whoever sees the terminal on which it was started knows the code, and nobody else.
        # @return [String] a fresh one; the one before no longer counts
        def self.new_code
          code = Array.new(3) { Array.new(4) { LETTERS.sample(random: SecureRandom) }.join }.join("-")
          Store::Database.write { Store::Settings["set_up_code"] = Digest::SHA256.hexdigest(code) }
          code
        end

        # Figures and letters that nobody takes for another.
        LETTERS = [*"2".."9", *("a".."z")].reject { |sign| "ilo".include?(sign) }.freeze

        # @param code [String] see new_code
        # @param project [String] name of the project; @param time_zone [String] in the tz database
        # @param person [Hash] "name", "sign_in", "email" and "password" of the builder
        # @return [Store::Person]
        # @raise [Core::Invalid, Services::NotAllowed]
        def call(code:, project:, time_zone:, person:)
          raise Services::NotAllowed, Core::Messages["people.set_up.is_set_up_already"] unless SetUp.needed?

          unless code?(code.to_s)
            Core::Invalid.because(Core::Messages["people.set_up.is_not_code_terminal_shows"], part: "code")
          end
          unless person.key?("password")
            Core::Invalid.because(Core::Messages["people.set_up.password_is_needed"],
              part: "password")
          end
          digest = ChangePerson.new.digest_of(person)
          Store::Database.write do
            raise Services::NotAllowed, Core::Messages["people.set_up.is_set_up_already"] unless SetUp.needed?

            name = project.to_s.scrub.strip
            unless name.length.between?(1, 80) && !name.match?(/[[:cntrl:]]/)
              Core::Invalid.because(Core::Messages["people.set_up.project_needs_name_of_up_to_80"], part: "project")
            end
            unless TZInfo::Timezone.all_identifiers.include?(time_zone)
              Core::Invalid.because(
                Core::Messages["people.set_up.there_is_no_time_zone", time_zone: time_zone.to_s.scrub[0, 40]],
                part: "time_zone"
              )
            end

            builder = ChangePerson.new.add(person.merge("role" => "builder"), digest: digest)
            Services::StartProject.new.call(
              design: {"name" => name, "conventions" => {"time_zone" => time_zone}, "tables" => []},
              people: []
            )
            Store::Settings["set_up_code"] = ""
            Store::Event.add("set_up", person: builder)
            builder
          end
        end

        private

        def code?(text)
          known = Store::Settings["set_up_code"].to_s
          !known.empty? &&
            ActiveSupport::SecurityUtils.secure_compare(known, Digest::SHA256.hexdigest(text.strip.downcase))
        end
      end
    end
  end
end
