# frozen_string_literal: true

module UpTack
  module Store
    # A few values that belong to the whole file.
    module Settings
      module_function

      # @return [String, nil]
      def [](name) = Statements.run("SELECT value FROM up_tack_settings WHERE name = ?", name).dig(0, 0)

      def []=(name, value)
        connection.execute("INSERT OR REPLACE INTO up_tack_settings (name, value) VALUES " \
          "(#{connection.quote(name)}, #{connection.quote(value)})")
      end

      # @return [String] the key by which cookies are signed, made when it is first needed
      def cookie_key
        self["cookie_key"] || SecureRandom.hex(64).tap { |key| self["cookie_key"] = key }
      end

      # @return [Boolean] whether the demo is in the file, whose people sign in with one click
      def demo? = self["demo"] == "yes"

      # @return [Array<Integer>] numbers of the people who came with the demo; before that was written down,
      #   of those who have no password
      def demo_people = self["demo_people"] ? JSON.parse(self["demo_people"]) : Person.where(password_digest: nil).ids

      def connection = Database.connection
    end
  end
end
