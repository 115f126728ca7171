# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Who there is.
      module Directory
        module_function

        # @return [Array<Store::Person>] everybody, also those who can no longer sign in, the first ones first
        def all = Store::Person.order(:id).to_a

        # @return [Store::Person, nil]
        def find(id) = Store::Person.find_by(id: id)

        # @return [String] what somebody is called, also one who is no longer there
        def name(id) = find(id)&.name || "person #{id}"
      end
    end
  end
end
