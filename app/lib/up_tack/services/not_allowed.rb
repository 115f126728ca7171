# frozen_string_literal: true

module UpTack
  module Services
    # Raised for what a person's role does not let them do.
    class NotAllowed < StandardError
      # @param person [Store::Person]
      # @param table [Core::Design::Table]
      # @param what [Symbol] :see, :edit or :delete
      # @raise [Services::NotAllowed] unless their role lets them
      def self.unless_may(person, table, what)
        return if table.allows?(person.role, what)

        raise new(
                {
                  see: Core::Messages["services.not_allowed.is_not_open_to", table: table.label, role: person.role],
                  edit:
                    Core::Messages[
                      "services.not_allowed.may_look_at_not_change",
                      role: person.role,
                      table: table.label
                    ],
                  delete: Core::Messages["common.may_not_delete_records", role: person.role, table: table.label]
                }.fetch(what)
              )
      end
    end
  end
end
