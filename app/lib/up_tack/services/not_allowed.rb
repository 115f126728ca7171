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
                  see: "#{table.label} is not open to a #{person.role}.",
                  edit: "A #{person.role} may look at #{table.label}, not change it.",
                  delete: "A #{person.role} may not delete records of #{table.label}."
                }.fetch(what)
              )
      end
    end
  end
end
