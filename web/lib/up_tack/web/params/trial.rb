# frozen_string_literal: true

module UpTack
  module Web
    module Params
      # Reads the person and the clock that a trial pretends.
      module Trial
        module_function

        # @param at [String, nil] day and hour at the firm, typed as freely as a date
        #   in a form: "2026-11-23T09:30", "26 nov 10:00", "26/11/26"
        # @return [Workspace]
        # @raise [Core::Invalid] for a day or hour that there is not
        def workspace(real, person_id:, at:)
          person = person_id ? UseCases::People::Directory.find(person_id) : real.person
          raise Store::NotFound, Core::Messages["common.there_is_no_such_person"] unless person
          return Workspace.new(person: person) if at.to_s.strip.empty?

          Workspace.new(person: person, clock: clock(real, at.to_s.scrub[0, 80]))
        end

        def clock(real, text)
          moment = at(real, text)
          Clock.stopped(real.project.conventions.time_zone, moment) ||
            Core::Invalid.because(Core::Messages["web.trial.there_is_no_hour", moment: moment[11..]], part: "at")
        end

        # @param text [String] a day, and an hour if it is not to be that of now
        # @return [String] "2026-11-23T09:30"
        # @raise [Core::Invalid]
        def at(real, text)
          conventions = real.project.conventions
          match = /\A(?<day>.*?\S)(?:\s*[\s,T]\s*(?<hour>\d{1,2}):(?<minute>\d{2}))?\z/.match(text.scrub[0, 80].strip)
          day =
            Core::Values::Date.read(
              match && match[:day].chomp(","),
              nil,
              Core::ParseContext.new(conventions: conventions, today: real.clock.today)
            )
          unless day.is_a?(Date)
            Core::Invalid.because(day&.message || Core::Messages["web.trial.day_is_needed"],
              part: "at")
          end

          hour =
            if match[:hour]
              "#{match[:hour].rjust(2, "0")}:#{match[:minute]}"
            else
              real.clock.local(real.clock.now).strftime("%H:%M")
            end
          unless Core::Design::ScriptClock.at("#{day.iso8601}T#{hour}", conventions)
            Core::Invalid.because(Core::Messages["web.trial.there_is_no_hour", moment: hour], part: "at")
          end

          "#{day.iso8601}T#{hour}"
        end
      end
    end
  end
end
