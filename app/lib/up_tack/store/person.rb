# frozen_string_literal: true

module UpTack
  module Store
    # Somebody who works with the firm's records. Stands for the core's person
    # port as it is: it answers name, email and role. People are never deleted,
    # since the change log names them; they are made inactive.
    class Person < SystemRecord
      self.table_name = "up_tack_people"
      has_secure_password validations: false
      include Vouched

      # @return [Person, nil] who makes or changes this one, for the security log
      attr_accessor :changed_by

      after_create { PersonNames.seal(id, name) && vouch("person_added", person: changed_by) }
      after_save { Generation.change("people") if saved_change_to_name? || saved_change_to_sign_in? }
      after_update { vouch(what_changed, person: changed_by) if what_changed }

      # Characters and bytes of a password: bcrypt looks at no more than 72 bytes.
      SHORTEST = 10
      LONGEST_BYTES = 72

      # @return [Integer] rounds of bcrypt, as a power of two
      def self.cost = ActiveModel::SecurePassword.min_cost ? BCrypt::Engine::MIN_COST : BCrypt::Engine.cost

      # @return [String] the form in which two sign-in names are the same
      def self.folded(name) = name.to_s.unicode_normalize(:nfkc).strip.downcase(:fold)

      # @return [Person, nil]
      def self.signing_in_as(name) = find_by(sign_in: folded(name))

      # Points of four that a password has at least, as zxcvbn (USENIX Security 2016) counts them: how hard
      # it is to guess for somebody who knows common ones, names, dates and how letters lie on keyboards.
      STRONG = 2
      # Letters besides the sign-in name that a password has at least.
      BESIDES = 6

      # @param others [Array<String>] what it may not be: names by which the person is known
      # @return [String, nil] what is wrong with a password, in words
      def self.password_problem(text, others: [])
        unless text.is_a?(String) && text.length >= SHORTEST
          return Core::Messages["store.person.password_has_at_least_characters", least: SHORTEST]
        end
        if text.bytesize > LONGEST_BYTES
          return Core::Messages["store.person.password_has_at_most_bytes", most: LONGEST_BYTES]
        end
        if text.include?("\u0000") || !text.valid_encoding?
          return Core::Messages["store.person.password_cant_hold_character"]
        end
        return Core::Messages["store.person.password_needs_more_than_one_character_over"] if text.chars.uniq.length < 4

        guessed_problem(
          text,
          others
            .compact
            .flat_map { |name| [name, *name.split(/[\s@.]+/)] }
            .map { |name| folded(name) }
            .select { |name| name.length > 2 }
            .uniq
        )
      end

      def self.guessed_problem(text, names)
        rest = names.sort_by { |name| -name.length }.reduce(folded(text)) { |left, name| left.gsub(name, "") }
        if rest != folded(text) && rest.length < BESIDES
          return Core::Messages["store.person.password_cant_be_your_name_with_little"]
        end

        score = (@tester ||= Zxcvbn::Tester.new).test(text, names).score
        if score < STRONG
          Core::Messages["store.person.password_is_among_those_are_guessed_first"]
        end
      end

      # @return [String, nil] kind of the event
      def what_changed
        return "made_anonymous" if anonymous?
        return "password_changed" if saved_change_to_password_digest?

        "person_changed" if saved_changes.keys.intersect?(Vouched::COLUMNS.fetch(self.class.table_name))
      end

      # @return [Boolean] whether what they are called was taken out for good
      def anonymous? = sign_in.nil? && !active

      def builder? = role == "builder"

      # @return [Boolean] whether somebody has set a password
      def password? = !password_digest.nil?
    end
  end
end
