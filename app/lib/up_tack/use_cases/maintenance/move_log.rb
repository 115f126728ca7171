# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Has older entries of the change log moved into files of their own, so that the database, its copies and its
      # backups stay small over years.
      class MoveLog
        # Entries from which on it is worth a file, and the longest month in seconds.
        LEAST = 20_000
        MONTH = 31 * 86_400

        # What was done. moved:: entries that lie in files from now on; left:: those that left the database
        # file:: name of the latest file, nil where nothing has moved
        Result = Struct.new(:moved, :left, :file, keyword_init: true)

        # @param clock [#now]
        # @param months [Integer, nil] after which entries move; nil keeps them all where they are
        # @param least [Integer] entries from which on they move
        # @param progress [Progress]
        def initialize(clock, months: Environment.new.log_months, least: LEAST, progress: Progress.none)
          @clock = clock
          @months = months
          @least = least
          @moving = Store::LogMoving.new(progress: progress)
        end

        # @return [Boolean] whether the schedule wants it
        def due? = @moving.settled?(@clock.now) || enough?

        # One step at a time: what was copied leaves the database later, when everybody reads it where it is.
        # @return [Result]
        # @raise [Store::LogFiles::Missing, Store::RunningBatch::Busy, Store::Backups::Unsound]
        def call
          left = @moving.settled?(@clock.now) ? @moving.clear : 0
          before = Store::LogFiles.last
          part = enough? ? @moving.copy(Store::LogMoving.last_before(age), now: @clock.now) : nil
          Result.new(moved: part ? part.last - before : 0, left: left, file: part&.name)
        end

        private

        def age = @clock.now - (@months * MONTH)

        # The last of those that are enough is old enough: looked up by its number.
        def enough?
          return false unless @months

          last = Store::LogFiles.last + @least
          at = Store::Entry.in("main").where("id >= ?", last).order(:id).limit(1).pick(:made_at)
          !at.nil? && at < age
        end
      end
    end
  end
end
