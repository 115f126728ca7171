# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Plain ports for trials, specs and the command line.
      module Ports
        # Whoever acts.
        Person = Struct.new(:name, :email, :role, keyword_init: true)

        # A clock that stands still.
        # now:: Time in UTC; today:: the Date that it is then at the firm
        StoppedClock = Struct.new(:now, :today, keyword_init: true) do
          # @return [Date] the day of a moment, as far from today as its UTC day is
          def day_of(time) = today + (time.getutc.to_date - now.getutc.to_date).to_i
        end

        # A store without a record.
        module NoRecords
          # @return [Boolean] whether another record has the value
          def self.any?(_table, _field, _value) = false
        end

        # A counter that counts nothing.
        module NoCounters
          # @raise [KeyError] always: there is no such series
          def self.next(series) = raise(KeyError, "no series #{series}")
        end
      end
    end
  end
end
