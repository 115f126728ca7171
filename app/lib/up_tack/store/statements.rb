# frozen_string_literal: true

module UpTack
  module Store
    # SQL that every save runs, made ready once for each connection: what Active
    # Record builds anew each time would cost more than the work itself.
    module Statements
      # One of them. What it was given last stays with SQLite, so only what is another is
      # handed over again; the same object is the same value only where it is frozen.
      class Ready
        NONE = [].freeze

        def initialize(statement)
          @statement = statement
          @bound = []
        end

        # @return [Array<Array>] rows
        def run(values)
          bind(values)
          row = @statement.step or return NONE
          rows = [row]
          while (row = @statement.step)
            rows << row
          end
          rows
        ensure
          @statement.reset!
        end

        def close = @statement.closed? || @statement.close

        private

        def bind(values)
          count = values.length
          index = 0
          while index < count
            value = values[index]
            index += 1
            next if value.equal?(@bound[index]) && value.frozen? && @bound.length > index

            @statement.bind_param(index, value)
            @bound[index] = value
          end
        end
      end

      @held = {}.compare_by_identity
      @mutex = Mutex.new

      class << self
        # @param sql [String] one of a few fixed texts
        # @param values [Array<Object>] as columns take them
        # @return [Array<Array>] rows
        def run(sql, *values) = ready(sql).run(values)

        # The same for what adds one row.
        # @param values [Array<Object>]
        # @return [Integer] its number
        def insert(sql, values)
          ready(sql).run(values)
          at_hand.last_insert_row_id
        end

        # @return [Ready] what runs the SQL, for whoever does it again and again within one transaction
        def ready(sql)
          raw = at_hand
          held = @held[raw] || @mutex.synchronize { @held[raw] ||= {} }
          held[sql] ||= Ready.new(raw.prepare(sql))
        end

        # Lets go of connections that are closed.
        def forget = @mutex.synchronize { @held.each_value { |ready| ready.each_value(&:close) } && @held.clear }

        private

        def at_hand = Thread.current[:up_tack_writing] || Database.connection.raw_connection
      end
    end
  end
end
