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

      module_function

      # Lets rows be added and nothing else, whichever program asks. The third
      # trigger is for INSERT OR REPLACE, which deletes without firing the second.
      def guard(connection, table, name) = triggers(table, name).each_value { |sql| connection.execute(sql) }

      # @param moved [String, nil] SQL for the number of the last entry that a row tells of, if it may be deleted
      #   once all of them lie elsewhere
      # @return [Hash{String=>String}] the same for a table without numbers of rows
      def never_changed(table, name, moved: nil)
        %w[UPDATE DELETE].to_h do |verb|
          unless_moved = "WHEN #{moved} > #{CLEARED} " if moved && verb == "DELETE"
          [
            "#{table}_no_#{verb.downcase}",
            "CREATE TRIGGER #{table}_no_#{verb.downcase} BEFORE #{verb} ON #{table} #{unless_moved}BEGIN SELECT " \
              "RAISE(ABORT, '#{name} can only be added to'); END"
          ]
        end
      end

      # @return [Hash{String=>String}] all that there have to be, by name
      def all_triggers
        [
          *TABLES.map { |table, name| triggers(table, name) },
          never_changed("up_tack_numbers", "numbers that were given"),
          told_on.merge(
            never_changed("up_tack_changed", "the change log", moved: "COALESCE(OLD.last_id, OLD.entry_id)")
              .slice("up_tack_changed_no_delete")
          )
        ].reduce(:merge)
      end

      # @return [Hash{String=>String}] lets a row tell of further entries, and of nothing else
      def told_on
        name = "up_tack_changed_no_update"
        {
          name =>
            "CREATE TRIGGER #{name} BEFORE UPDATE ON up_tack_changed WHEN (NEW.field_id = OLD.field_id AND " \
              "NEW.entry_id = OLD.entry_id AND NEW.last_id > COALESCE(OLD.last_id, OLD.entry_id)) IS NOT TRUE " \
              "BEGIN SELECT " \
              "RAISE(ABORT, 'the change log can only be added to'); END"
        }
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
