# frozen_string_literal: true

require "icalendar"

module UpTack
  module Interchange
    module Feeds
      # Days and moments as a calendar, after RFC 5545.
      module Calendar
        TYPE = "text/calendar"

        # at:: a Date for a whole day, a Time in UTC
        Event = Struct.new(:uid, :at, :title, :description, :url, keyword_init: true)

        module_function

        # @param name [String] of the calendar
        # @param events [Array<Event>]
        # @param written [Time] at which the records were last changed: the same records give the same bytes
        # @return [String]
        def write(name, events, written)
          calendar = Icalendar::Calendar.new
          calendar.prodid = "-//Up Tack//#{Installation::VERSION}//EN"
          calendar.append_custom_property("NAME", name)
          calendar.append_custom_property("X-WR-CALNAME", name)
          hourly = Icalendar::Values::Duration.new("PT1H", "VALUE" => "DURATION")
          calendar.append_custom_property("REFRESH-INTERVAL", hourly)
          events.each { |event| calendar.add_event(entry(event, written)) }
          calendar.to_ical
        end

        def entry(event, written)
          Icalendar::Event.new.tap do |entry|
            entry.uid = event.uid
            entry.dtstamp = moment(written)
            entry.dtstart = event.at.is_a?(Date) ? Icalendar::Values::Date.new(event.at) : moment(event.at)
            entry.summary = event.title
            entry.description = event.description
            entry.url = event.url
            # Whoever is busy is not told by a date of a record.
            entry.transp = "TRANSPARENT"
          end
        end

        def moment(time) = Icalendar::Values::DateTime.new(time.getutc, "tzid" => "UTC")
      end
    end
  end
end
