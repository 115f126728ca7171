# frozen_string_literal: true

module UpTack
  module Store
    module LogCheck
      # The chain of the entries and that of the events, from their beginnings to their signed end.
      class Chains
        BATCH = 500
        WHAT = {"up_tack_entries" => "Entry", "up_tack_events" => "Event"}.freeze

        # @return [Hash{Array(String, Integer)=>String, nil}] the last digest of each row that an event vouches for
        attr_reader :vouched

        # @return [Array<Array>] the files into which entries have moved, as an event tells them
        attr_reader :moved

        # @param claims [Against, nil] what another file tells of them
        def initialize(verdict, progress, claims)
          @verdict = verdict
          @progress = progress
          @claims = claims
          @periods = JSON.parse(Settings[Resealing::KEYS] || "[]")
          @vouched = {}
          @moved = []
          @cut = []
        end

        # @return [Chains] itself
        def run
          entries = ends("up_tack_entries") { |rows| entries(rows) }
          events = ends("up_tack_events") { |rows| events(rows) }
          signed(entries + events)
          compare
          self
        end

        private

        # @return [Array(Integer, String)] number and seal of the last
        def ends(table)
          @progress.begin(
            "Change log",
            (table == "up_tack_entries") ? "Entries" : "Events",
            LogCheck.rows("SELECT COUNT(*) FROM #{table}").dig(0, 0)
          )
          @last, @seal = 0, Seal::BEGINNING
          columns = (table == "up_tack_entries") ? Seal::COLUMNS : Event::COLUMNS
          loop do
            Deadline.look
            rows = LogCheck.rows("SELECT #{columns.join(", ")}, seal FROM #{table} WHERE id > #{@last} ORDER BY id " \
              "LIMIT #{BATCH}")
            break if rows.empty?

            yield rows
            @progress.advance(rows.length)
          end
          cut_off(table)
          [@last, @seal]
        end

        def entries(rows)
          rows.each do |*entry, seal|
            step("up_tack_entries", entry.first, seal, entry[5] == "restored") { |key| Seal.compute(@seal, entry, key) }
            clock(entry.first, entry[1])
            @verdict.entries += 1
          end
        end

        def events(rows)
          rows.each do |*event, seal|
            step("up_tack_events", event.first, seal, event[4] == "restored") { |key| Seal.over([@seal, *event], key) }
            @verdict.events += 1
            heed(event)
          end
        end

        # Numbers are skipped only where a backup was restored, which the entry itself tells.
        def step(table, id, seal, restore)
          what = WHAT.fetch(table)
          missing = id != @last + 1 && !restore
          if missing
            fault(table, Core::Messages["store.chains.is_missing", thing: what, number: @last + 1], @last + 1)
          elsif (key = key(table, id)).nil? || seal != yield(key)
            fault(
              table,
              if key
                Core::Messages["store.chains.what_says_is_not_what_was_sealed", thing: what.downcase, id: id]
              else
                Core::Messages["store.chains.was_sealed_under_another_key", thing: what, id: id]
              end,
              id
            )
          end
          @cut << [table, @last, id] if restore && id != @last + 1
          @last, @seal = id, seal.to_s
          @claims&.met(table, id, seal)
        end

        def key(table, id)
          period = @periods.reverse.find { |_, entry, event| id >= ((table == "up_tack_entries") ? entry : event) } or
            return
          LogKey.find(period.first)
        end

        def clock(id, moment)
          at = Time.parse("#{moment} UTC")
          @verdict.set_back << [id, (@latest - at).to_i] if @latest && at < @latest - TOLERANCE
          @latest = [@latest, at].compact.max
        rescue ArgumentError
          nil # The seal tells that it was changed.
        end

        def heed(event)
          claims = JSON.parse(event[5])
          @vouched[[claims["of"], claims["id"]]] = claims["digest"] if claims.key?("of")
          @moved = claims["files"] if event[4] == "log_moved"
          @verdict.fault(claims["fault"]) if event[4] == "upgraded" && claims["fault"]
        rescue JSON::ParserError
          nil
        end

        # What is gone from the end shows in the numbers that were given.
        def cut_off(table)
          given = LogCheck.rows("SELECT seq FROM sqlite_sequence WHERE name = '#{table}'").dig(0, 0).to_i
          what = WHAT.fetch(table)
          if given > @last
            fault(
              table,
              Core::Messages[
                "store.chains.last_is_missing",
                thing: what,
                number: @last + 1,
                kind: what.downcase,
                last: @last
              ],
              @last + 1
            )
          end
        end

        def signed(ends)
          kept = Head.kept
          return @verdict.fault(Core::Messages["store.chains.signed_end_of_log_is_missing"]) unless kept

          key = LogKey.find(kept["key"]) or
            return @verdict.fault(Core::Messages["store.chains.end_of_log_was_signed_under_another"])
          unless Head.signature(kept, key) == kept["signature"]
            return @verdict.fault(Core::Messages["store.chains.end_of_log_is_not_what"])
          end
          return if kept.values_at(*Head::PARTS) == ends

          broken = kept["entry"] > ends[0]
          @verdict.fault(
            Core::Messages[
              "store.chains.log_ends_with_entry_and_event",
              entry: ends[0],
              event: ends[2],
              signed_entry: kept["entry"],
              signed_event: kept["event"]
            ],
            broken ? ends[0] + 1 : nil
          )
        end

        def compare
          return unless @claims

          @claims.faults(@cut).each { |text, entry| @verdict.fault(text, entry) }
        end

        def fault(table, text, id) = @verdict.fault(text, (id if table == "up_tack_entries"))
      end
    end
  end
end
