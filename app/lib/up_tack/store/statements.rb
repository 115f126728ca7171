# frozen_string_literal: true

module UpTack
  module Store
    # SQL that every save runs, made ready once for each connection: what Active
    # Record builds anew each time would cost more than the work itself.
    module Statements
      @held = {}.compare_by_identity
      @mutex = Mutex.new

      class << self
        # @param sql [String] one of a few fixed texts
        # @param values [Array<Object>] as columns take them
        # @return [Array<Array>] rows
        def run(sql, *values)
          statement = ready(sql)
          values.each_with_index { |value, index| statement.bind_param(index + 1, value) }
          rows = []
          while (row = statement.step)
            rows << row
          end
          rows
        ensure
          statement&.reset!
        end

        # The same for what adds one row.
        # @return [Integer] its number
        def insert(sql, *values)
          run(sql, *values)
          at_hand.last_insert_row_id
        end

        # Lets go of connections that are closed.
        def forget = @mutex.synchronize { @held.each_value { |ready| ready.each_value { |statement| statement.close unless statement.closed? } } && @held.clear }

        private

        def at_hand = Thread.current[:up_tack_writing] || Database.connection.raw_connection

        def ready(sql)
          raw = at_hand
          held = @held[raw] || @mutex.synchronize { @held[raw] ||= {} }
          held[sql] ||= raw.prepare(sql)
        end
      end
    end
  end
end
