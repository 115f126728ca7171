# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # Where tries are counted, as Rack::Attack asks for it: known to all processes that answer.
      class SharedStore
        # @param name [String]
        # @return [Object, nil]
        def read(name) = Store::Shared[name]

        # @return [void]
        def write(name, value, expires_in: nil) = Store::Shared.write(name, value, seconds: expires_in)

        # @return [Integer] the sum; its time begins with the first
        def increment(name, amount = 1, expires_in: nil)
          Store::Shared.exclusively do
            sum = Store::Shared[name].to_i + amount
            Store::Shared.write(name, sum, seconds: expires_in)
            sum
          end
        end

        # @return [void]
        def delete(name) = Store::Shared.delete(name)

        # Runs the block while no other process counts.
        # @yield
        def exclusively(&) = Store::Shared.exclusively(&)
      end
    end
  end
end
