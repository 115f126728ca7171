# frozen_string_literal: true

require "bcrypt"

module UpTack
  module UseCases
    module People
      # Adds a person, or changes one: what they are called, their role, whether
      # they are active, and, for a builder, their password.
      class ChangePerson
        LONGEST = 120
        EMAIL = /\A([^@\s]{1,60}@[^@\s]{1,60})?\z/
        PARTS = %w[name sign_in email role active].freeze

        # @param by [Store::Person, nil] who does it, for the security log
        def initialize(by: nil)
          @by = by
        end

        # @param parts [Hash{String=>Object}] any of PARTS, and "password"
        # @return [Store::Person]
        # @raise [Core::Invalid]
        # @param digest [String, nil] of the password, where it was made before
        def add(parts, digest: digest_of(parts))
          parts = {"sign_in" => parts["name"].to_s.split.first}.merge(parts.compact)
          Store::Database.write { apply(Store::Person.new(active: true, role: "clerk"), parts, digest) }
        end

        # @return [Store::Person]
        # @raise [Core::Invalid, Store::NotFound]
        def change(id, parts)
          digest = digest_of(parts, found(id))
          Store::Database.write { apply(found(id), parts, digest) }
        end

        # Somebody's own password, who must know the old one if there is one.
        # @raise [Core::Invalid, SignIn::Wrong]
        def own_password(person, old:, new:)
          now = Store::Person.find(person.id)
          unless !now.password? || SignIn.new.right?(now, old.to_s)
            raise SignIn::Wrong, Core::Messages["people.change_person.old_password_is_another_one"]
          end

          change(person.id, {"password" => new})
        end

        # Made before anything is locked: it takes a quarter of a second by intent.
        # @param person [Store::Person, nil] whose it will be, as far as they are known
        # @return [String, nil]
        # @raise [Core::Invalid]
        def digest_of(parts, person = nil)
          return unless parts.key?("password")

          attributes = (person&.attributes || {}).merge(parts.slice("name", "sign_in", "email"))
          problem =
            Store::Person.password_problem(
              parts["password"],
              others: attributes.values_at("sign_in", "name", "email").grep(String)
            )
          Core::Invalid.because(problem, part: "password") if problem

          BCrypt::Password.create(parts["password"], cost: Store::Person.cost).to_s
        end

        private

        def found(id)
          person = Store::Person.find_by(id: id)
          raise Store::NotFound, Core::Messages["common.there_is_no_such_person"] if person.nil? || person.anonymous?

          person.changed_by = @by
          person
        end

        def apply(person, parts, digest)
          wrong =
            parts
              .slice(*PARTS)
              .find { |name, value| (name == "active") ? ![true, false].include?(value) : !value.is_a?(String) }
              &.first
          if wrong
            Core::Invalid.because(
              (wrong == "active") ? Core::Messages[
                "people.change_person.person_is_active"
              ] : Core::Messages["common.is_text"],
              part: wrong
            )
          end

          person.changed_by = @by
          person.assign_attributes(normalized(parts.slice(*PARTS)))
          problem = problem(person)
          Core::Invalid.because(problem.last, part: problem.first) if problem

          person.password_digest = digest if digest
          keep_a_builder(person)
          person.save!
          end_sessions(person, parts)
          person
        end

        def normalized(parts)
          parts.to_h do |name, value|
            next name, value unless value.is_a?(String)

            text = value.scrub.unicode_normalize(:nfc).strip.gsub(/[[:cntrl:]]/, "")
            [name, (name == "sign_in") ? Store::Person.folded(text) : text]
          end
        end

        # @return [Array(String, String), nil] the part and what is wrong with it
        def problem(person)
          unless text?(person.name)
            return "name", Core::Messages["people.change_person.person_needs_name_of_up_to_characters", most: LONGEST]
          end
          unless person.sign_in.to_s.match?(/\A[[:alnum:]._@-]{2,40}\z/)
            return "sign_in", Core::Messages["people.change_person.sign_in_name_has_2_to_40"]
          end
          unless person.email.to_s.match?(EMAIL)
            return "email", Core::Messages["people.change_person.e_mail_address"]
          end
          unless ROLES.include?(person.role)
            return "role", Core::Messages["common.there_are_roles", roles: ROLES.join(", ")]
          end

          if Store::Person.where(sign_in: person.sign_in).where.not(id: person.id).exists?
            ["sign_in", Core::Messages["people.change_person.somebody_else_signs", sign_in: person.sign_in]]
          end
        end

        def text?(text) = text.is_a?(String) && text.length.between?(1, LONGEST)

        # Without a builder nobody could make anybody one again.
        def keep_a_builder(person)
          return if person.new_record? || (person.active && person.builder?)
          return if Store::Person.where(role: "builder", active: true).where.not(id: person.id).exists?

          Core::Invalid.because(
            Core::Messages["people.change_person.is_only_builder", person: person.name],
            part: "role"
          )
        end

        # Whoever gets another password must sign in again, and so must their scripts. Sessions of an
        # inactive person are ended when they are next used, with the reason.
        def end_sessions(person, parts)
          Store::Session.where(person_id: person.id).delete_all if parts.key?("password")
          return unless parts.key?("password") || !person.active

          Store::Token.end_all(person, why: parts.key?("password") ? "another password" : "no longer active", by: @by)
        end
      end
    end
  end
end
