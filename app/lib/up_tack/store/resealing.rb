# frozen_string_literal: true

module UpTack
  module Store
    # Seals what an earlier version wrote, and goes on where the key is another one than before.
    module Resealing
      # Which key seals from where on: JSON, [id, first entry, first event] each.
      KEYS = "log_keys"

      module_function

      # As the version did that began to seal.
      def unkeyed
        before = Seal::BEGINNING
        each_entry { |entry, _| before = set_seal(entry.first, Seal.unkeyed(before, entry)) }
      end

      # Names become references, and every entry is sealed again under the key. Whether it held until then, and
      # how it ended, is the first thing that the events tell.
      def keyed
        fault, last, head = earlier
        unguarded { seal_names && seal_entries }
        Settings[KEYS] = JSON.generate([[LogKey.current.id, 1, 1]])
        return unless last || Revision.exists?

        Event.add("upgraded", {"entries" => last.to_i, "head" => head, "fault" => fault})
        vouch_for_all
      end

      # Where the key is another one than before the log goes on under it; what was sealed before can be
      # checked as long as the earlier key is still in the file.
      # @return [void]
      def follow_key
        periods = JSON.parse(Settings[KEYS] || "[]")
        return if periods.empty? || periods.last.first == LogKey.current.id

        latest = [LogWriter::LATEST, Event::LATEST].map { |sql| Statements.run(sql).dig(0, 0).to_i + 1 }
        Settings[KEYS] = JSON.generate([*periods, [LogKey.current.id, *latest]])
        Event.add("key", {"from" => periods.last.first, "to" => LogKey.current.id})
      end

      # @yield [entry, seal] values of Seal::COLUMNS
      def each_entry
        last = 0
        loop do
          entries =
            connection.select_rows(
              "SELECT #{Seal::COLUMNS.join(", ")}, seal FROM up_tack_entries WHERE id > #{last} ORDER " \
                "BY id LIMIT 2000"
            )
          break if entries.empty?

          entries.each { |*entry, seal| yield entry, seal }
          last = entries.last.first
        end
      end

      # @return [Array(String, Integer, String)] what did not hold, the last entry and its seal
      def earlier
        before, fault, last = Seal::BEGINNING, nil, nil
        each_entry do |entry, seal|
          fault ||= Core::Messages["store.resealing.entry_did_not_hold_when_log", entry: entry.first] unless seal ==
            Seal.unkeyed(before, entry) && entry.first == last.to_i + 1
          before, last = seal || Seal.unkeyed(before, entry), entry.first
        end
        [fault, last, before]
      end

      def unguarded
        tables = AppendOnly::TABLES.slice("up_tack_entries", "up_tack_revisions", "up_tack_batches")
        names = tables.flat_map { |table, name| AppendOnly.triggers(table, name).keys }
        names.each { |name| connection.execute("DROP TRIGGER IF EXISTS #{name}") }
        yield
        tables.each { |table, name| AppendOnly.guard(connection, table, name) }
      end

      def seal_names
        %w[up_tack_entries up_tack_revisions up_tack_batches].each do |table|
          connection
            .select_rows("SELECT DISTINCT person_id, person_name FROM #{table} WHERE person_id > 0")
            .each do |person, name|
              connection.execute(
                "UPDATE #{table} SET person_name = #{connection.quote(PersonNames.seal(person, name))} " \
                  "WHERE person_id = #{person} AND person_name = #{connection.quote(name)}"
              )
            end
        end
      end

      def seal_entries
        before = Seal::BEGINNING
        fields = person_fields
        each_entry do |entry, _|
          differences = with_references(entry.last, fields)
          unless differences.equal?(entry.last)
            Statements.run("UPDATE up_tack_entries SET differences = ? WHERE id = ?", differences, entry.first)
          end
          before = set_seal(entry.first, Seal.compute(before, [*entry[0...-1], differences], LogKey.current))
        end
      end

      # @return [Array<String>] ids of the fields in which rules write who did something
      def person_fields =
        Revision.exists? ? CompiledDesign.current.project.tables.flat_map(&:fields).select(&:person).map(&:id) : []

      # @param differences [String] JSON
      # @return [String] the same object where there is no name in it
      def with_references(differences, fields)
        return differences if fields.none? { |field| differences.include?("\"#{field}\"") }

        JSON.generate(
          JSON
            .parse(differences)
            .map do |of, label, type, before, after, rule|
              if fields.include?(of)
                before, after =
                  [before, after].map do |value|
                    value.is_a?(String) ? PersonNames.seal_within(value) : value
                  end
              end
              [of, label, type, before, after, rule]
            end
        )
      end

      def set_seal(id, seal)
        Statements.run("UPDATE up_tack_entries SET seal = ? WHERE id = ?", seal, id)
        seal
      end

      def vouch_for_all
        {
          Revision => "design",
          Batch => "batch",
          Person => "person_added",
          Token => "token_made"
        }.each do |rows, kind|
          Vouched
            .digests(rows.table_name)
            .each { |id, digest| Event.add(kind, {"of" => rows.table_name, "id" => id, "digest" => digest}) }
        end
      end

      def connection = Database.connection
    end
  end
end
