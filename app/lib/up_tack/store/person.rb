# frozen_string_literal: true

module UpTack
  module Store
    # Somebody who works with the firm's records. Stands for the core's person
    # port as it is: it answers name, email and role. People are never deleted,
    # since the change log names them; they are made inactive.
    class Person < SystemRecord
      self.table_name = "up_tack_people"
      has_secure_password validations: false

      # Characters and bytes of a password: bcrypt looks at no more than 72 bytes.
      SHORTEST = 10
      LONGEST_BYTES = 72

      # @return [String] the form in which two sign-in names are the same
      def self.folded(name) = name.to_s.unicode_normalize(:nfkc).strip.downcase(:fold)

      # @return [Person, nil]
      def self.signing_in_as(name) = find_by(sign_in: folded(name))

      # @return [String, nil] what is wrong with a password, in words
      def self.password_problem(text)
        return "A password has at least #{SHORTEST} characters." unless text.is_a?(String) && text.length >= SHORTEST
        return "A password has at most #{LONGEST_BYTES} bytes; accented letters take two." if text.bytesize > LONGEST_BYTES
        return "A password can't hold that character." if text.include?("\u0000") || !text.valid_encoding?

        "A password needs more than one character over and over." if text.chars.uniq.length < 4
      end

      def builder? = role == "builder"

      # @return [Boolean] whether somebody has set a password
      def password? = !password_digest.nil?
    end
  end
end
