# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # How often something has happened within the last seconds, whichever these are: no window begins anew at a
      # full minute, where a patient guesser would have twice as many tries.
      class SlidingCount
        # Moments remembered under one name; more are never asked for.
        MOST = 100

        # @param cache [Proc] gives the UseCases::People::Attempts
        # @param period [Integer] in seconds
        def initialize(period, &cache)
          @period = period
          @cache = cache
        end

        # @param name [String]
        # @return [Integer] how often, this time included
        def add(name, now = Time.now)
          @cache.call.exclusively do
            moments = [*recent(name, now), now.to_f].last(MOST)
            @cache.call.write(name, moments, expires_in: @period)
            moments.length
          end
        end

        # @return [Integer]
        def count(name, now = Time.now) = recent(name, now).length

        # @return [Integer] seconds until it is below a count again
        def wait(name, count, now = Time.now)
          moment = recent(name, now).last(count).first
          moment ? [(moment + @period - now.to_f).ceil, 1].max : 1
        end

        # @return [void]
        def forget(name) = @cache.call.delete(name)

        private

        def recent(name, now) = (@cache.call.read(name) || []).select { |moment| moment > now.to_f - @period }
      end
    end
  end
end
