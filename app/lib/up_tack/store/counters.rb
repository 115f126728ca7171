# frozen_string_literal: true

module UpTack
  module Store
    # The core's port for counting, over the database. What a draft takes is only
    # remembered here; it is written when its record is, in the same transaction,
    # so that a number is neither lost by a refusal nor given to two.
    class Counters
      NEXT = "SELECT next FROM up_tack_counters WHERE field_id = ? AND series = ?"
      OWNER = "SELECT record_id, count FROM up_tack_numbers WHERE field_id = ? AND text = ?"
      GIVE = Statements::Insertion.new("up_tack_numbers", %w[field_id text record_id series count], already: "IGNORE")
      MOVE = <<~SQL
        INSERT INTO up_tack_counters (field_id, series, next, highest) VALUES (?1, ?2, ?3, ?4)
        ON CONFLICT (field_id, series) DO UPDATE SET next = MAX(next, ?3), highest = MAX(COALESCE(highest, ?4), ?4)
      SQL

      # Questions after which the numbers given so far are read in one go, and how many
      # of them at most: whoever numbers many records asks for each.
      PATIENCE = 60
      MOST_HELD = 100_000

      # What was noted elsewhere of a field's numbers, but for those of some records, and how far each series has come.
      TAKE_NUMBERS = <<~SQL
        INSERT OR IGNORE INTO main.up_tack_numbers (field_id, text, record_id, series, count)
        SELECT field_id, text, record_id, series, count FROM %<other>s.up_tack_numbers
        WHERE field_id = ? AND record_id NOT IN (SELECT value FROM json_each(?))
      SQL
      TAKE_COUNTS = "SELECT series, next, highest FROM %<other>s.up_tack_counters WHERE field_id = ?"

      # How often numbers were written: whoever remembers some sees by it whether
      # another one has written since.
      @written = 0
      class << self
        attr_accessor :written
      end

      # Takes over what was noted in another database that is attached.
      # @param other [String] its name
      # @param field [String] id
      # @param except [Array<Integer>] records whose numbers are left
      # @return [void]
      def self.take_over(other, field, except)
        Statements.run(format(TAKE_NUMBERS, other: other), field, JSON.generate(except))
        Statements.run(format(TAKE_COUNTS, other: other), field).each { |counts| Statements.run(MOVE, field, *counts) }
        self.written += 1
      end

      # @param buffered [Boolean] whether what was taken is written only by `finish`
      def initialize(buffered: false)
        @buffered = buffered
        @taken = []
        @committed = []
        @given = {}
        @next = {}
        @asked = 0
        @held = {}
        @seen = Counters.written
      end

      # @param counting [Kinds::Number::Counting]
      # @return [Integer] the count that comes next
      def next(counting)
        look_up
        from =
          (@next[counting.field] ||= {})[counting.series] ||= Statements.run(
            NEXT,
            counting.field,
            counting.series
          ).dig(0, 0) || counting.start
        return from if @taken.empty?

        @taken.reduce(from) do |count, (other, taken, _)|
          (taken && other == counting) ? [count, taken + counting.step].max : count
        end
      end

      # @return [Integer, Symbol, nil] the record that was given the number
      def owner(field, text)
        return :new if @taken.any? { |counting, _, taken| counting.field == field && taken == text }

        look_up
        @given.dig(field, text)&.first || stored_owner(field, text)
      end

      # @return [Integer, nil] the count in a number that was given
      def count_of(field, text) = @given.dig(field, text)&.last || Statements.run(OWNER, field, text).dig(0, 1)

      def take(counting, count, text) = @taken << [counting, count, text]

      def keep(counting, count, text) = take(counting, count, text)

      # Nobody else writes while this transaction does, so what was read stays true.
      def stored_owner(field, text)
        @asked += 1
        @held[field] = read_owners(field) if @buffered && @asked == PATIENCE
        held = @held[field]
        held ? held[text] : Statements.run(OWNER, field, text).dig(0, 0)
      end

      # What was remembered is forgotten once another one has written numbers.
      def look_up
        return if @seen == Counters.written

        @seen = Counters.written
        @next = {}
        @held = {}
        @asked = 0
      end

      # @return [Hash{String=>Integer}, nil] nil where there are too many to hold
      def read_owners(field)
        rows =
          Statements.run(
            "SELECT text, record_id FROM up_tack_numbers WHERE field_id = ? LIMIT #{MOST_HELD + 1}",
            field
          )
        rows.to_h if rows.length <= MOST_HELD
      end
      private :stored_owner, :look_up, :read_owners

      # What was taken belongs to the record that was saved.
      # @param finish [Boolean] whether it is written now
      def commit(record_id, finish: !@buffered)
        taken = @taken
        @taken = []
        taken.each do |counting, count, text|
          @committed << [counting, count, text, record_id]
          (@given[counting.field] ||= {})[text] = [record_id, count]
          move_on(counting, count) if count
        end
        self.finish if finish
      end

      def move_on(counting, count)
        following = Counters.after(count, counting)
        known = self.next(counting)
        @next[counting.field][counting.series] = following if following > known
      end
      private :move_on

      # Forgets what was taken, since the record is not saved.
      def drop = @taken = []

      # Writes what belongs to records.
      def finish
        return if @committed.empty?

        Statements.insert_all(
          GIVE,
          @committed.map { |counting, count, text, record| [counting.field, text, record, counting.series, count] }
        )
        @committed
          .select { |_, count, _, _| count }
          .group_by(&:first)
          .each do |counting, all|
            highest = all.map { |_, count, _, _| count }.max
            Statements.run(MOVE, counting.field, counting.series, Counters.after(highest, counting), highest)
          end
        keep_up
        @committed = []
        @given = {}
      end

      # What is remembered of all numbers goes on with those that were written now.
      def keep_up
        others = @seen != Counters.written
        Counters.written += 1
        return if others

        @seen = Counters.written
        @held = @held.to_h do |field, held|
          [field, (held.merge!(@given.fetch(field, {}).transform_values(&:first)) if held && held.length < MOST_HELD)]
        end
      end
      private :keep_up

      # The count that follows one which may lie between the steps.
      def self.after(count, counting)
        return counting.start if count < counting.start
        return count + 1 if counting.step == 1

        counting.start + ((((count - counting.start) / counting.step) + 1) * counting.step)
      end
    end
  end
end
