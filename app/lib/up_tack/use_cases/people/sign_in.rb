# frozen_string_literal: true

require "bcrypt"

module UpTack
  module UseCases
    module People
      # Finds the person to whom a sign-in name and a password belong.
      class SignIn
        # Why somebody can't be signed in. It does not tell a wrong name from a
        # wrong password, nor says of a stranger's account that it is inactive.
        class Refused < StandardError; end
        # Whoever is signed in does not know their own password.
        class Wrong < StandardError; end

        # A digest of nothing anybody knows, so that an unknown name takes as long as a known one.
        def self.stranger = @stranger ||= BCrypt::Password.create(SecureRandom.hex)

        # @return [Store::Person]
        # @raise [Refused]
        def call(name:, password:)
          person = Store::Person.signing_in_as(name)
          known = right?(person, password.to_s)
          raise Refused, Core::Messages["people.sign_in.name_and_password_do_not_belong_together"] unless known
          unless person.active
            raise Refused, Core::Messages["people.sign_in.can_no_longer_sign_in_here", person: person.name]
          end

          person
        end

        # One click in the demo, for its own people as long as they have no password.
        # @return [Store::Person]
        # @raise [Refused]
        def in_demo(id)
          Demo.people.find { |person| person.id == id } or
            raise Refused, Core::Messages["people.sign_in.person_signs_in_with_password"]
        end

        # @return [Boolean] whether the password is theirs
        def right?(person, password)
          digest = person&.password? ? BCrypt::Password.new(person.password_digest) : SignIn.stranger
          # Compared in any case: the time it takes must tell nothing.
          same = password.bytesize <= Store::Person::LONGEST_BYTES && digest.is_password?(password)
          same && person&.password? || false
        end
      end
    end
  end
end
