# frozen_string_literal: true

module UpTack
  module Core
    # What the core can't know by itself, given through four small ports. The
    # bench passes pretend ones.
    #
    # clock::    answers now (Time, UTC), today (Date in the firm's time zone),
    #            day_of(time) and local(time)
    # person::   answers name, email and role of whoever acts
    # records::  answers find, each_linked, title and named (Core::Ports::NoRecords has
    #            their shapes and is used where there are no records)
    # counters:: counts for auto-numbers, see Core::Ports::HeldCounters
    # probe:: a Bench::Probe that takes note of what is evaluated, nil mostly
    # patience:: is called before what may take long, and raises where there is no more time; nil mostly
    # readings:: a Save::ParseCache, where many records are taken in; nil mostly
    Context =
      Struct.new(:clock, :person, :records, :counters, :probe, :readings, :patience, keyword_init: true) do
        def initialize(
          clock:,
          person:,
          records: Ports::NoRecords,
          counters: Ports::HeldCounters.new,
          probe: nil,
          readings: nil,
          patience: nil
        ) = super

        # @param conventions [Conventions]
        # @return [ParseContext] of what is typed now, the same one for as long as it is
        def reading(conventions)
          today = clock.today
          if @reading && @reading.today.equal?(today) && @reading.conventions.equal?(conventions) &&
              @reading.records.equal?(records)
            return @reading
          end

          @reading = ParseContext.new(conventions: conventions, today: today, records: records)
        end
      end
  end
end
