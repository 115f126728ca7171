# frozen_string_literal: true

module UpTack
  module Store
    # Puts a backup in the place of all that there is. What must not go back with it is carried over: who may
    # come in and how, whose token was revoked, whose name was taken out, and which numbers of entries and
    # records were given. What was cut off is told by an entry of the log, a revision and an event.
    #
    # All of that is done in a copy of the backup, which then takes the place of what there is in one transaction:
    # another process sees the one or the other. It opens one file after the other, so that it needs a process of its
    # own.
    class Restoring
      # Rows that stay as they are now, where the backup is of the same database.
      STAY = {"up_tack_people" => "id", "up_tack_name_keys" => "person_id", "up_tack_tokens" => "id"}.freeze

      # @param name [String] of the backup
      # @param unfinished [Proc] undoes changes that the backup has by half: it may have been made while many records
      #   were being written
      # @param person [Person, nil] who restores
      def initialize(name:, unfinished:, person: nil, now: Time.now.utc)
        @name = name
        @unfinished = unfinished
        @person = person
        @now = now
      end

      # @param backup [String] path of a file that Backups.check has nothing against
      # @yield while nobody writes, gives the name of the copy of what is there
      # @return [String] that name
      # @raise [RunningBatch::Busy]
      def call(backup)
        path = Database.path
        LogFiles.copy_all(LogFiles.beside(backup), LogFiles.folder)
        prepared = PrivateCopy.new(path, of: backup)
        prepared.open
        bring_up_to_date
        Database.connect(path)
        Turn.alone do
          RunningBatch.none!
          @copy = yield
          remember
          prepared.again { Database.write { carry_over } }
          Database.connect(path)
          Backups.restore(prepared.path)
        end
        @copy
      ensure
        Database.close
        Database.connect(path)
        prepared&.drop
      end

      private

      # Nobody waits for that, however old the backup is.
      def bring_up_to_date
        Database.write { Database.prepare }
        @unfinished.call
        Database.close
      end

      def remember
        @cut = Head.now
        @lineage = Settings.cookie_key
        @numbers = connection.select_rows("SELECT name, seq FROM sqlite_sequence").to_h
        @counters = connection.select_rows("SELECT field_id, series, next, highest FROM up_tack_counters")
        @rows = STAY.to_h { |table, _| [table, connection.select_all("SELECT * FROM #{table}").to_a] }
        Database.close
      end

      def carry_over
        Generation.change("all")
        number_on
        if Settings["cookie_key"] == @lineage
          stay
          count_on
        end
        connection.execute("DELETE FROM up_tack_sessions")
        tell if Revision.exists?
      end

      # No number is given a second time, though what had it is gone.
      def number_on
        there = connection.tables
        @numbers.slice(*there).each do |table, number|
          name = connection.quote(table)
          connection.execute("INSERT INTO sqlite_sequence (name, seq) SELECT #{name}, 0 WHERE NOT EXISTS (SELECT 1 " \
            "FROM sqlite_sequence WHERE name = #{name})")
          connection.execute("UPDATE sqlite_sequence SET seq = MAX(seq, #{Integer(number)}) WHERE name = #{name} AND " \
            "name NOT IN ('up_tack_entries', 'up_tack_events')")
        end
      end

      # Numbers that were given stand on papers and shelves, though their records are gone.
      def count_on
        @counters.each do |field, series, following, highest|
          Statements.run(<<~SQL, field, series, following, highest)
            INSERT INTO up_tack_counters (field_id, series, next, highest) VALUES (?1, ?2, ?3, ?4)
            ON CONFLICT (field_id, series) DO UPDATE
            SET next = MAX(next, ?3), highest = NULLIF(MAX(COALESCE(highest, 0), COALESCE(?4, 0)), 0)
          SQL
        end
      end

      def stay
        anonymous = @rows["up_tack_people"].select { |row| row["sign_in"].nil? && row["active"].to_i.zero? }
        named = anonymous.to_h { |row| [row, PersonNames.all_of(row["id"])] }
        gone = Token.pluck(:id) - @rows["up_tack_tokens"].map { |row| row["id"] }
        ["up_tack_sessions", *STAY.keys.reverse].each { |table| connection.execute("DELETE FROM #{table}") }
        @rows.each { |table, rows| rows.each { |row| insert(table, row) } }
        PersonNames.forget
        @changed =
          lambda do
            Person.find_each { |person| person.vouch("person_changed", {"restored" => true}, person: @person) }
            Token.find_each { |token| token.vouch("token_made", {"restored" => true}, person: @person) }
            gone.each do |id|
              Event.add(
                "token_ended",
                {"of" => "up_tack_tokens", "id" => id, "digest" => nil, "restored" => true},
                person: @person
              )
            end
          end
        named.each { |row, names| StampedNames.replace_all(names, row["name"]) }
      end

      def insert(table, row)
        connection.execute("INSERT INTO #{table} (#{row.keys.join(", ")}) VALUES " \
          "(#{row.values.map { |value| connection.quote(value) }.join(", ")})")
      end

      def tell
        latest = Revision.order(:id).last
        entry = connection.select_value("SELECT MAX(id) FROM main.up_tack_entries").to_i
        who = {person_id: @person&.id, person_name: @person ? PersonNames.seal(@person.id, @person.name) : "Up Tack"}
        summary = "Restored #{@name}, cutting off entries #{entry + 1} to #{@cut["entry"]}; they are in #{@copy}"
        summary = "Restored #{@name}; what was there is in #{@copy}" if entry >= @cut["entry"]
        cut = {"backup" => @name, "copy" => @copy, "cut_off" => @cut.slice(*Head::PARTS)}
        Event.add(
          "restored",
          cut,
          person: @person,
          now: @now,
          id: [@cut["event"], connection.select_value("SELECT MAX(id) FROM up_tack_events").to_i].max + 1
        )
        revision = Revision.create!(made_at: @now, **who, action: "restore", summary: summary, design: latest.design)
        LogWriter.new.add_restore([@cut["entry"], entry].max + 1, @now, who, summary, revision.id, cut)
        @changed&.call
      end

      def connection = Database.connection
    end
  end
end
