# frozen_string_literal: true

module UpTack
  module Store
    # Triggers of tables that rows are only added to, whichever program asks.
    module AppendOnly
      # The tables, with what they are called.
      TABLES = {
        "up_tack_revisions" => "design revisions",
        "up_tack_entries" => "change log",
        "up_tack_batches" => "change log",
        "up_tack_events" => "security log"
      }.freeze

      # SQL for the number of the entry up to which all lie in LogFiles: those may leave the database.
      CLEARED = "(SELECT COALESCE(MAX(CAST(value AS INTEGER)), 0) FROM up_tack_settings WHERE name = 'log_cleared_to')"
      # A row that tells of entries may tell of further ones, and leave once all of them have moved.
      TOLD = {
        update: "NEW.field_id = OLD.field_id AND NEW.entry_id = OLD.entry_id AND " \
          "NEW.last_id > COALESCE(OLD.last_id, OLD.entry_id)",
        delete: "COALESCE(OLD.last_id, OLD.entry_id) <= #{CLEARED}"
      }.freeze

      module_function

      # Lets rows be added and nothing else, whichever program asks. The third
      # trigger is for INSERT OR REPLACE, which deletes without firing the second.
      def guard(connection, table, name) = triggers(table, name).each_value { |sql| connection.execute(sql) }

      # @param allowed [Hash{Symbol=>String}] by verb, SQL under which it is allowed after all
      # @return [Hash{String=>String}] the same for a table without numbers of rows
      def never_changed(table, name, **allowed)
        %i[update delete].to_h do |verb|
          unless_allowed = "WHEN (#{allowed[verb]}) IS NOT TRUE " if allowed[verb]
          [
            "#{table}_no_#{verb}",
            "CREATE TRIGGER #{table}_no_#{verb} BEFORE #{verb.upcase} ON #{table} #{unless_allowed}BEGIN SELECT " \
              "RAISE(ABORT, '#{name} can only be added to'); END"
          ]
        end
      end

      # @return [Hash{String=>String}] all that there have to be, by name
      def all_triggers
        [
          *TABLES.map { |table, name| triggers(table, name) },
          never_changed("up_tack_numbers", "numbers that were given"),
          never_changed("up_tack_changed", "the change log", **TOLD)
        ].reduce(:merge)
      end

      # @return [Hash{String=>String}] what guards a table that rows are only added to, by name
      def triggers(table, name)
        refusal = "SELECT RAISE(ABORT, 'the #{name} can only be added to')"
        unless_moved = "WHEN OLD.id > #{CLEARED} " if table == "up_tack_entries"
        {
          "#{table}_no_update" => "CREATE TRIGGER #{table}_no_update BEFORE UPDATE ON #{table} BEGIN #{refusal}; END",
          "#{table}_no_delete" =>
            "CREATE TRIGGER #{table}_no_delete BEFORE DELETE ON #{table} #{unless_moved}BEGIN #{refusal}; END",
          "#{table}_no_replace" =>
            "CREATE TRIGGER #{table}_no_replace BEFORE INSERT ON #{table} WHEN EXISTS (SELECT 1 " \
              "FROM #{table} WHERE id = NEW.id) BEGIN #{refusal}; END"
        }
      end
    end
  end
end
