# frozen_string_literal: true

module UpTack
  module Store
    # What is decided of a new record before it is written, and can be handed over.
    # cells:: what columns take, by the places of their fields; nil where that is still open
    # stretches:: what the log says, in JSON: of the fields before the first open one, of
    #   those between it and the second, and so on; empty where it says nothing
    # logged:: ids of the fields that the log tells of by that; the same object for many records
    PreparedRow = Struct.new(:cells, :stretches, :logged) do
      # @return [Boolean] whether any field has a value by that
      def any? = cells.any?
    end
  end
end
