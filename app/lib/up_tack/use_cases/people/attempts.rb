# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Where tries with passwords are counted, for all processes that answer; as a cache, for the libraries that count.
      class Attempts
        # @param name [String]
        # @return [Object, nil]
        def read(name) = Store::Shared[name]

        # @param expires_in [Integer, nil] seconds
        # @return [void]
        def write(name, value, expires_in: nil) = Store::Shared.write(name, value, seconds: expires_in)

        # @return [Integer] the sum
        def increment(name, amount = 1, expires_in: nil) =
          Store::Shared.change(name, seconds: expires_in) { |before| before.to_i + amount }

        # @return [void]
        def delete(name) = Store::Shared.delete(name)

        # Runs the block while no other process counts.
        # @yield
        def exclusively(&) = Store::Shared.exclusively(&)
      end
    end
  end
end
