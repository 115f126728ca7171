# frozen_string_literal: true

module UpTack
  module Store
    # People's names as the log keeps them: a reference to the person with the name encrypted under a key of
    # that person's own (AES-256-GCM, NIST SP 800-38D). Once the key is thrown away nobody can read the name,
    # while what was sealed stays as it was.
    module PersonNames
      # A reference; no text that somebody typed holds the character around it.
      MARK = /\u0002(\d+)\.([A-Za-z0-9_-]{38,})\u0002/
      TAG = 16
      NONCE = 12

      @held = {}
      @mutex = Mutex.new

      # In front of a record that keeps such a name.
      module Kept
        # @return [String]
        def person_name = PersonNames.reveal(super)
      end

      class << self
        # @param person [Integer, nil] number
        # @param name [String]
        # @return [String] the name itself where it belongs to nobody
        def seal(person, name)
          return name unless person&.positive?

          of, latest, sealed, path = @latest
          return sealed if of == person && latest.equal?(name) && path.equal?(Database.path)

          memoize([:sealed, person, name]) { encrypted(person, name, key(person) || begun(person)) }.tap do |text|
            @latest = [person, name, text, Database.path].freeze if name.frozen?
          end
        end

        # @param text [String, nil] as it is kept
        # @return [String, nil]
        def reveal(text)
          return text unless text.is_a?(String) && text.include?("\u0002")

          # rubocop:disable Style/PerlBackrefs
          text.gsub(MARK) { |reference| memoize([:opened, reference]) { decrypted($1.to_i, $2) || "Person #{$1}" } }
        end

        # @param text [String] that a rule wrote, with names in it
        # @return [String] the same with each of them sealed
        def seal_within(text)
          names, pattern = memoize([:names]) do
            known = Person.where.not(sign_in: nil).order(id: :desc).pluck(:name, :id).to_h
            [known, Regexp.union(known.keys.sort_by { |name| -name.length })]
          end
          text.match?(pattern) ? text.gsub(pattern) { |name| seal(names.fetch(name), name) } : text
        end

        # @param person [Integer] number
        # @return [Array<String>] everything that the person was called here, as long as it can be read
        def all_of(person)
          kept =
            %w[up_tack_entries up_tack_revisions up_tack_batches up_tack_events].flat_map do |table|
              connection.select_values(
                "SELECT DISTINCT person_name FROM #{table} WHERE person_id = #{Integer(person)}"
              )
            end
          [*Person.where(id: person).pluck(:name), *kept.map { |text| reveal(text) }].uniq
        end

        # Throws a key away, and leaves nothing of it in the file.
        # @return [void]
        def forget_person(person)
          connection.execute("PRAGMA secure_delete = ON")
          connection.execute("DELETE FROM up_tack_name_keys WHERE person_id = #{Integer(person)}")
          forget
        end

        # @return [void]
        def forget
          @latest = nil
          @mutex.synchronize { @held.clear }
        end

        private

        def memoize(question)
          question = [Database.path, *question]
          @mutex.synchronize { return @held[question] if @held.key?(question) }
          found = yield
          @mutex.synchronize { @held[question] = found }
        end

        def key(person) =
          connection
            .select_value("SELECT key FROM up_tack_name_keys WHERE person_id = #{person}")
            &.then { |hex| [hex].pack("H*") }

        def begun(person)
          SecureRandom
            .bytes(32)
            .tap do |key|
              connection.execute(
                "INSERT INTO up_tack_name_keys (person_id, key) VALUES (#{person}, '#{key.unpack1("H*")}')"
              )
            end
        end

        # The same name gives the same text, and no other: the nonce is made from it.
        def encrypted(person, name, key)
          nonce = OpenSSL::HMAC.digest("SHA256", key, name)[0, NONCE]
          cipher = OpenSSL::Cipher.new("aes-256-gcm").encrypt
          cipher.key = key
          cipher.iv = nonce
          text = cipher.update(name) + cipher.final
          "\u0002#{person}.#{Base64.urlsafe_encode64(nonce + cipher.auth_tag(TAG) + text, padding: false)}\u0002"
        end

        def decrypted(person, text)
          bytes = Base64.urlsafe_decode64(text)
          cipher = OpenSSL::Cipher.new("aes-256-gcm").decrypt
          cipher.key = key(person) || (return nil)
          cipher.iv = bytes[0, NONCE]
          cipher.auth_tag = bytes[NONCE, TAG]
          (cipher.update(bytes[(NONCE + TAG)..]) + cipher.final).force_encoding(Encoding::UTF_8)
        rescue OpenSSL::Cipher::CipherError, ArgumentError
          nil
        end

        def connection = Database.connection
      end

      Generation::KINDS.each { |kind| Generation.on(kind) { forget } }
    end
  end
end
