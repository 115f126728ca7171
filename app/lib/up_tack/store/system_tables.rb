# frozen_string_literal: true

module UpTack
  module Store
    # The tables that Up Tack needs for itself, all named up_tack_…. Steps are
    # only ever added at the end; a file of an older version runs those it lacks.
    module SystemTables
      # Tables that rows are only added to, with what they are called.
      ONLY_ADDED_TO = {
        "up_tack_revisions" => "design revisions",
        "up_tack_entries" => "change log",
        "up_tack_batches" => "change log",
        "up_tack_events" => "security log"
      }.freeze
      STEPS = %i[
        people
        revisions
        change_log
        followed
        typing
        people_sign_in
        numbers
        sealed_log
        proof_runs
        tokens
        changed_in_runs
        follow_ups
        renamed_choices
        guarded
      ].freeze

      module_function

      # @param connection [ActiveRecord::ConnectionAdapters::AbstractAdapter]
      def prepare(connection)
        unless connection.table_exists?("up_tack_settings")
          connection.create_table("up_tack_settings", primary_key: "name", id: :string) { |t| t.text "value" }
          connection.execute("INSERT INTO up_tack_settings (name, value) VALUES ('steps', '0')")
        end
        done = connection.select_value("SELECT value FROM up_tack_settings WHERE name = 'steps'").to_i
        STEPS.drop(done).each { |step| public_send(step, connection) }
        connection.execute("UPDATE up_tack_settings SET value = '#{STEPS.length}' WHERE name = 'steps'")
      end

      def people(connection)
        connection.create_table("up_tack_people") do |t|
          t.text "name", null: false
          t.text "email"
          t.text "role", null: false
        end
      end

      def revisions(connection)
        connection.create_table("up_tack_revisions") do |t|
          t.datetime "made_at", null: false
          t.bigint "person_id"
          t.text "person_name", null: false
          t.text "action", null: false
          t.text "summary", null: false
          t.bigint "target_id"
          t.text "design", null: false
        end
        append_only(connection, "up_tack_revisions", "design revisions")
      end

      def change_log(connection)
        connection.create_table("up_tack_entries") do |t|
          t.datetime "made_at", null: false
          t.bigint "person_id"
          t.text "person_name", null: false
          t.text "way", null: false
          t.text "action", null: false
          t.text "table_id", null: false
          t.bigint "record_id", null: false
          t.text "record_title"
          t.bigint "revision_id", null: false
        end
        connection.add_index("up_tack_entries", %w[table_id record_id])
        connection.create_table("up_tack_changes") do |t|
          t.references "entry", null: false, foreign_key: {to_table: "up_tack_entries"}
          t.text "field_id", null: false
          t.text "field_label", null: false
          t.text "type", null: false
          t.text "before"
          t.text "after"
          t.text "rule_id"
        end
        append_only(connection, "up_tack_entries", "change log")
        append_only(connection, "up_tack_changes", "change log")
      end

      # What became another value elsewhere by the same save.
      def followed(connection) = connection.add_column("up_tack_entries", "followed", :text)

      # Passed warnings, changes of many records at once, suggestions that somebody
      # ignored, and notices with the hours at which they were due.
      def typing(connection)
        connection.add_column("up_tack_entries", "passed", :text)
        connection.add_column("up_tack_entries", "batch_id", :bigint)
        connection.add_index("up_tack_entries", "batch_id")
        connection.create_table("up_tack_batches") do |t|
          t.datetime "made_at", null: false
          t.bigint "person_id"
          t.text "person_name", null: false
          t.text "table_id", null: false
          t.text "summary", null: false
          t.bigint "undoes_id"
        end
        append_only(connection, "up_tack_batches", "change log")
        connection.create_table("up_tack_ignored") do |t|
          t.text "table_id", null: false
          t.text "field_id", null: false
          t.bigint "record_id", null: false
          t.text "value", null: false
          t.text "person_name", null: false
          t.datetime "made_at", null: false
        end
        connection.add_index("up_tack_ignored", %w[table_id field_id record_id], unique: true)
        connection.create_table("up_tack_notices") do |t|
          t.datetime "made_at", null: false
          t.text "table_id", null: false
          t.bigint "person_id", null: false
          t.text "subject", null: false
          t.text "body", null: false
          t.text "path", null: false
          t.datetime "read_at"
        end
        connection.create_table("up_tack_checks") do |t|
          t.text "table_id", null: false
          t.datetime "done_at", null: false
        end
        connection.add_index("up_tack_checks", "table_id", unique: true)
      end

      # Names and passwords to sign in with, and who is signed in.
      def people_sign_in(connection)
        connection.add_column("up_tack_people", "sign_in", :text)
        connection.add_column("up_tack_people", "password_digest", :text)
        connection.add_column("up_tack_people", "active", :boolean, null: false, default: true)
        connection.select_rows("SELECT id, name FROM up_tack_people").each do |id, name|
          connection.execute("UPDATE up_tack_people SET sign_in " \
            "= #{connection.quote("#{name.downcase(:fold).split.first}#{id}")} WHERE id = #{id}")
        end
        connection.add_index("up_tack_people", "sign_in", unique: true)
        connection.create_table("up_tack_sessions") do |t|
          t.references "person", null: false, foreign_key: {to_table: "up_tack_people"}
          t.text "digest", null: false
          t.datetime "made_at", null: false
          t.datetime "seen_at", null: false
        end
        connection.add_index("up_tack_sessions", "digest", unique: true)
      end

      # Counts by series, and every number ever given: none is taken out again.
      def numbers(connection)
        connection.execute("CREATE TABLE up_tack_counters (field_id TEXT NOT NULL, series TEXT NOT NULL, next " \
          "INTEGER NOT NULL, highest INTEGER, PRIMARY KEY (field_id, series)) WITHOUT ROWID")
        connection.execute("CREATE TABLE up_tack_numbers (field_id TEXT NOT NULL, text TEXT NOT NULL, record_id " \
          "INTEGER NOT NULL, series TEXT NOT NULL, count INTEGER, PRIMARY KEY (field_id, text)) " \
          "WITHOUT ROWID")
        never_changed("up_tack_numbers", "numbers that were given").each_value { |sql| connection.execute(sql) }
      end

      # What an entry says stands in the entry itself, and each carries a seal. What
      # History looks up by has its indexes.
      def sealed_log(connection)
        connection.execute("DROP TRIGGER up_tack_entries_no_update")
        connection.add_column("up_tack_entries", "differences", :text)
        connection.add_column("up_tack_entries", "seal", :text)
        connection.execute(<<~SQL)
          UPDATE up_tack_entries SET differences = (
            SELECT json_group_array(json_array(field_id, field_label, type, json(before), json(after), rule_id))
            FROM (SELECT * FROM up_tack_changes WHERE entry_id = up_tack_entries.id ORDER BY id))
        SQL
        Resealing.unkeyed
        connection.execute("CREATE TRIGGER up_tack_entries_no_update BEFORE UPDATE ON up_tack_entries BEGIN SELECT " \
          "RAISE(ABORT, 'the change log can only be added to'); END")
        index_log(connection)
      end

      def index_log(connection)
        connection.execute("CREATE TABLE up_tack_changed (field_id TEXT NOT NULL, entry_id INTEGER NOT NULL, PRIMARY " \
          "KEY (field_id, entry_id)) WITHOUT ROWID")
        connection.execute("INSERT OR IGNORE INTO up_tack_changed SELECT field_id, entry_id FROM up_tack_changes")
        never_changed("up_tack_changed", "the change log").each_value { |sql| connection.execute(sql) }
        connection.drop_table("up_tack_changes")
        connection.remove_index("up_tack_entries", "batch_id")
        connection.execute(
          "CREATE INDEX up_tack_entries_in_batches ON up_tack_entries (batch_id) WHERE batch_id IS NOT NULL"
        )
        connection.execute("CREATE INDEX up_tack_entries_alone ON up_tack_entries (table_id) WHERE batch_id IS NULL")
        connection.add_index("up_tack_entries", %w[table_id made_at])
      end

      # What came of each proof when it ran last.
      def proof_runs(connection)
        connection.create_table("up_tack_proof_runs", primary_key: "proof_id", id: :string) do |t|
          t.bigint "revision_id", null: false
          t.text "state", null: false
          t.text "result", null: false
          t.text "seen", null: false
          t.text "good"
          t.datetime "good_at"
          t.text "divergence"
        end
      end

      # By what scripts come in, and what they were answered, so that nothing is done twice.
      def tokens(connection)
        connection.create_table("up_tack_tokens") do |t|
          t.references "person", null: false, foreign_key: {to_table: "up_tack_people"}
          t.text "name", null: false
          t.text "role", null: false
          t.text "digest", null: false
          t.datetime "made_at", null: false
          t.datetime "ends_at", null: false
          t.datetime "seen_at"
        end
        connection.add_index("up_tack_tokens", "digest", unique: true)
        connection.create_table("up_tack_answers") do |t|
          t.text "caller", null: false
          t.text "key", null: false
          t.text "request", null: false
          t.integer "status", null: false
          t.text "headers", null: false
          t.binary "body", null: false
          t.datetime "made_at", null: false
        end
        connection.add_index("up_tack_answers", %w[caller key], unique: true)
        connection.add_index("up_tack_answers", "made_at")
      end

      # Entries that follow one another and tell of a field are one row, up to the last of them.
      # Rows of an older version are of one entry each.
      def changed_in_runs(connection)
        connection.execute("ALTER TABLE up_tack_changed ADD COLUMN last_id INTEGER")
      end

      # Entries of a batch that only tell what followed elsewhere from the others.
      def follow_ups(connection)
        connection.execute("CREATE INDEX up_tack_entries_following ON up_tack_entries (batch_id) " \
          "WHERE #{Batch::FOLLOW_UP}")
      end

      # Choices that a change of the design renamed: JSON, new names by old ones, by id of the field.
      def renamed_choices(connection) = connection.add_column("up_tack_revisions", "renamed_choices", :text)

      # What happened besides, in a chain of its own; names and seals under keys.
      def guarded(connection)
        connection.create_table("up_tack_events") do |t|
          t.datetime "made_at", null: false
          t.bigint "person_id"
          t.text "person_name", null: false
          t.text "kind", null: false
          t.text "details", null: false
          t.bigint "entry_id", null: false
          t.text "entry_seal", null: false
          t.text "seal", null: false
        end
        append_only(connection, "up_tack_events", "security log")
        connection.create_table("up_tack_name_keys", primary_key: "person_id") { |t| t.text "key", null: false }
        # Batches of which nothing is left.
        connection.execute("CREATE TABLE up_tack_undone (batch_id INTEGER PRIMARY KEY)")
        connection.execute("INSERT INTO up_tack_undone SELECT DISTINCT undoes_id FROM up_tack_batches WHERE " \
          "undoes_id IS NOT NULL")
        connection.add_column("up_tack_sessions", "confirmed_at", :datetime)
        connection.add_column("up_tack_sessions", "device", :text)
        [Session, Token, Person, Event, Batch, Revision].each(&:reset_column_information)
        # Who comes in with one click is who could before, and nobody who is added later.
        Settings["demo_people"] = JSON.generate(Settings.demo_people) if Settings.demo?
        Resealing.keyed
      end

      # Lets rows be added and nothing else, whichever program asks. The third
      # trigger is for INSERT OR REPLACE, which deletes without firing the second.
      def append_only(connection, table, name) = triggers(table, name).each_value { |sql| connection.execute(sql) }

      # @return [Hash{String=>String}] the same for a table without numbers of rows
      def never_changed(table, name)
        %w[UPDATE DELETE].to_h do |verb|
          [
            "#{table}_no_#{verb.downcase}",
            "CREATE TRIGGER #{table}_no_#{verb.downcase} BEFORE #{verb} ON #{table} BEGIN SELECT " \
              "RAISE(ABORT, '#{name} can only be added to'); END"
          ]
        end
      end

      # @return [Hash{String=>String}] all that there have to be, by name
      def all_triggers
        [
          *ONLY_ADDED_TO.map { |table, name| triggers(table, name) },
          never_changed("up_tack_numbers", "numbers that were given"),
          never_changed("up_tack_changed", "the change log")
        ].reduce(:merge)
      end

      # @return [Hash{String=>String}] what guards a table that rows are only added to, by name
      def triggers(table, name)
        refusal = "SELECT RAISE(ABORT, 'the #{name} can only be added to')"
        {
          "#{table}_no_update" => "CREATE TRIGGER #{table}_no_update BEFORE UPDATE ON #{table} BEGIN #{refusal}; END",
          "#{table}_no_delete" => "CREATE TRIGGER #{table}_no_delete BEFORE DELETE ON #{table} BEGIN #{refusal}; END",
          "#{table}_no_replace" =>
            "CREATE TRIGGER #{table}_no_replace BEFORE INSERT ON #{table} WHEN EXISTS (SELECT 1 " \
              "FROM #{table} WHERE id = NEW.id) BEGIN #{refusal}; END"
        }
      end
    end
  end
end
