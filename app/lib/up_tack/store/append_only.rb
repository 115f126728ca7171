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

      module_function

      # Lets rows be added and nothing else, whichever program asks. The third
      # trigger is for INSERT OR REPLACE, which deletes without firing the second.
      def guard(connection, table, name) = triggers(table, name).each_value { |sql| connection.execute(sql) }

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
          *TABLES.map { |table, name| triggers(table, name) },
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
