# frozen_string_literal: true

module UpTack
  module Web
    # Reads the person and the clock that a trial pretends.
    module Trial
      module_function

      # @param at [String, nil] day and hour at the firm
      # @return [Workspace]
      def workspace(real, person_id:, at:)
        person = person_id ? Store::Person.find_by(id: person_id) : real.person
        raise Store::NotFound, "There is no such person." unless person
        return Workspace.new(person: person) if at.to_s.empty?

        clock = Clock.standing(real.project.conventions.time_zone, at) or
          raise Requests::Malformed, "There is no day and hour “#{at.to_s[0, 40]}”; send it like 2026-11-23T09:30."
        Workspace.new(person: person, clock: clock)
      end
    end
  end
end
