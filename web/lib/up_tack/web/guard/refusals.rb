# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # Notes in the security log who asked for what their role does not allow: once a minute for each, so that
      # nobody fills the log.
      module Refusals
        EVERY = 60
        @noted = {}
        @mutex = Mutex.new

        module_function

        # @param person [Store::Person]
        # @param operation [Access::Operation]
        # @return [void]
        def note(person, operation)
          if Refusals.due?(person, operation)
            Store::Event.add_soon("refused", {"operation" => operation.id}, person: person)
          end
        end

        # @api private
        def self.due?(person, operation)
          now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          @mutex.synchronize do
            @noted.delete_if { |_, at| now - at > EVERY }
            place = [Store::Database.path, person.id, operation.id]
            next false if @noted.key?(place)

            @noted[place] = now
            true
          end
        end
      end
    end
  end
end
