# frozen_string_literal: true

module UpTack
  # How far a recalculation is. One thread works and tells; others look, and
  # may ask it to stop.
  class Progress
    # Says that whoever waits has had enough; everything is left as it was.
    class Stopped < StandardError; end

    # @return [Progress] that nobody looks at
    def self.none = new

    # field:: what is being worked out, "Address as of Members"; nil before the first
    # done, total:: records of it
    attr_reader :field, :done, :total

    # @yield whenever it is further
    def initialize(&further)
      @further = further
      @done = 0
      @total = 0
      @stop = false
    end

    # @return [self]
    # @raise [Stopped]
    def begin(table, field, total)
      check
      @done = 0
      @total = total
      @field = "#{field} of #{table}"
      @further&.call
      self
    end

    # @return [self]
    # @raise [Stopped]
    def advance(count)
      @done += count
      @total = @done if @done > @total # It was an estimate.
      @further&.call
      check
      self
    end

    # How far it is, told by another process that does the work.
    def set(field, done, total)
      @field, @done, @total = field, done, total
      @further&.call
    end

    # What is found so far, where somebody wants to see it.
    # @return [void]
    def so_far(found) = nil

    # @return [Boolean] whether somebody asked for an end
    def stopping? = @stop

    # Asks for an end. Too late once the work is being kept.
    def stop = @stop = true

    # @raise [Stopped] if somebody asked for it
    def check
      raise Stopped, Core::Messages["app.progress.everything_is_as"] if @stop
    end
  end
end
