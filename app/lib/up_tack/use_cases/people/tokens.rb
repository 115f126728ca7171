# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Tokens with which people's scripts come in: everybody's own, and for builders those of all.
      class Tokens
        # @param person [Store::Person] who asks
        def initialize(person)
          @person = person
        end

        # @return [Array<Store::Token>] the latest first
        def all = mine.includes(:person).order(id: :desc).to_a

        # @param name [String] what it is for
        # @param role [String]
        # @param days [Integer] until it ends
        # @return [Array(Store::Token, String)] and the token itself
        # @raise [Core::Invalid]
        def make(name:, role:, days:)
          name = name.to_s.strip.gsub(/\s+/, " ")
          roles = Store::Token::ROLES
          unless name.length.between?(1, 80)
            Core::Invalid.because(Core::Messages["people.tokens.say_what_token_is_for_in_up"], part: "name")
          end
          unless roles.include?(role) && roles.index(role) <= roles.index(@person.role)
            Core::Invalid.because(
              Core::Messages["people.tokens.tokens_role_is_and_no_more_than", roles: roles.join(", ")],
              part: "role"
            )
          end
          unless days.is_a?(Integer) && days.between?(1, Store::Token::MOST_DAYS)
            Core::Invalid.because(
              Core::Messages["people.tokens.token_lasts_1_to_days", most: Store::Token::MOST_DAYS],
              part: "days"
            )
          end

          Store::Database.write { Store::Token.make(@person, name: name, role: role, days: days) }
        end

        # @param id [Integer]
        # @raise [Store::NotFound]
        def revoke(id)
          token = mine.find_by(id: id) or raise Store::NotFound, Core::Messages["people.tokens.there_is_no_such_token"]
          Store::Database.write { token.revoke(why: "revoked", by: @person) }
        end

        private

        def mine = @person.builder? ? Store::Token.all : Store::Token.where(person_id: @person.id)
      end
    end
  end
end
