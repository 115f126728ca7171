# frozen_string_literal: true

module UpTack
  module Store
    # Goes through the whole change log and finds the first entry that does not
    # hold: whose seal is not that of what it says, or which does not follow the
    # one before it.
    module LogCheck
      BATCH = 2_000

      # sound:: whether all of it holds
      # entries:: how many were looked at
      # broken:: number of the first entry that does not hold, nil when all do
      # why:: in words
      # set_back:: [number, seconds] of entries before which the clock was set back
      Verdict = Struct.new(:sound, :entries, :broken, :why, :set_back, keyword_init: true)

      module_function

      # @param progress [Upkeep::Progress]
      # @return [Verdict]
      def run(progress: Upkeep::Progress.none)
        verdict = Verdict.new(sound: true, entries: 0, set_back: [])
        progress.begin("Change log", "Entries", Entry.count)
        expected = 1
        latest = nil
        each_entry do |entry, seal, before|
          id = entry.first
          why = fault(id, expected, seal == Seal.of(before, entry))
          return broken(verdict, (id == expected) ? id : expected, why) if why

          at = Time.parse("#{entry[1]} UTC")
          verdict.set_back << [id, (latest - at).to_i] if latest && at < latest - TOLERANCE
          latest = [latest, at].compact.max
          verdict.entries += 1
          expected = id + 1
          progress.advance(1)
        end
        ending(verdict, expected - 1)
      end

      # Seconds by which clocks may differ without a word.
      TOLERANCE = 60

      # @yield [entry, seal, before] with the seal of the entry before
      def each_entry
        before = Seal::BEGINNING
        last = 0
        loop do
          entries = rows("SELECT #{Seal::COLUMNS.join(", ")}, seal FROM up_tack_entries WHERE id > #{last} ORDER BY id LIMIT #{BATCH}")
          break if entries.empty?

          entries.each do |*entry, seal|
            yield entry, seal, before
            before = seal || Seal.of(before, entry)
          end
          last = entries.last.first
        end
      end

      def fault(id, expected, sealed)
        return "Entry #{expected} is missing." if id > expected

        sealed ? nil : "What entry #{id} says is not what was sealed, or the entry before it was changed."
      end

      # Entries at the end that are gone show in the numbers that were given.
      def ending(verdict, last)
        given = rows("SELECT seq FROM sqlite_sequence WHERE name = 'up_tack_entries'").dig(0, 0).to_i
        (given > last) ? broken(verdict, last + 1, "Entry #{last + 1} is missing: the log was cut off after entry #{last}.") : verdict
      end

      def broken(verdict, id, why)
        verdict.sound = false
        verdict.broken = id
        verdict.why = why
        verdict
      end

      def rows(sql) = Database.connection.select_rows(sql)
    end
  end
end
