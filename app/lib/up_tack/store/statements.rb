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
        def run(sql, *values) = ready(sql).run(values)

        # The same for what adds one row.
        # @param insertion [Insertion]
        # @param values [Array<Object>]
        # @return [Integer] its number
        def insert(insertion, values)
          ready(insertion.one).run(values)
          at_hand.last_insert_row_id
        end

        # The same for many rows.
        # @param insertion [Insertion]
        # @param rows [Array<Array<Object>>]
        # @return [void]
        def insert_all(insertion, rows)
          several = insertion.several && ready(insertion.several)
          one = ready(insertion.one)
          rows.each_slice(Insertion::TOGETHER) do |some|
            if several && some.length == Insertion::TOGETHER
              several.run(some.flatten(1))
            else
              some.each { |values| one.run(values) }
            end
          end
        end

        # @return [PreparedStatement] what runs the SQL, for whoever does it again and again within one transaction
        def ready(sql)
          raw = at_hand
          held = @held[raw] || @mutex.synchronize { @held[raw] ||= {} }
          held[sql] ||= PreparedStatement.new(raw.prepare(sql))
        end

        # Lets go of connections that are closed.
        def forget = @mutex.synchronize { @held.each_value { |ready| ready.each_value(&:close) } && @held.clear }

        private

        def at_hand = Thread.current[:up_tack_writing] || Database.connection.raw_connection
      end
    end
  end
end
