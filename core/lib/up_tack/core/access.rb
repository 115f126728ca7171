# frozen_string_literal: true

module UpTack
  module Core
    # What people of a role may do with a table or a field. Builders may do
    # everything; what is not said otherwise follows from the role: a clerk
    # fills in, edits and deletes, a reader looks.
    module Access
      ROLES = %w[builder clerk reader].freeze
      # What each word allows, the least first. "nothing" allows nothing.
      TABLE = {"nothing" => [], "see" => [:see], "edit" => %i[see edit], "delete" => %i[see edit delete]}.freeze
      FIELD = {"nothing" => [], "see" => [:see], "edit" => %i[see edit]}.freeze
      USUAL = {"clerk" => "delete", "reader" => "see"}.freeze

      module_function

      # @param access [Hash{String=>String}, nil] words by role
      # @param role [String, nil] nil for a program of the firm's own, which may do everything
      # @param what [Symbol] :see, :edit or :delete
      def table(access, role, what)
        role.nil? || role == "builder" ||
          TABLE.fetch(access.to_h[role] || USUAL.fetch(role, "nothing")).include?(what)
      end

      # @param what [Symbol] :see or :edit
      def field(access, role, what)
        role.nil? || role == "builder" || FIELD.fetch(access.to_h[role] || usual_field(role)).include?(what)
      end

      # @param tables [Array<Hash>] plain
      # @return [Hash{String=>Array<String>}] by table key, roles that may not see its records
      def closed(tables)
        tables.to_h do |table|
          [
            table["key"],
            USUAL.keys.select { |role| table["access"].is_a?(Hash) && TABLE[table["access"][role]] == [] }
          ]
        end
      end

      def usual_field(role) = (role == "clerk") ? "edit" : "see"

      # @param words [Hash] TABLE or FIELD
      # @return [String, nil] what is wrong
      def problem(access, words)
        return if access.nil?

        sound =
          access.is_a?(Hash) &&
          access.all? do |role, word|
            USUAL.key?(role) && words.key?(word) && (role != "reader" || %w[nothing see].include?(word))
          end
        sound ? nil : Messages["core.access.for_clerks_it_is_one", levels: words.keys.join(", ")]
      end
    end
  end
end
