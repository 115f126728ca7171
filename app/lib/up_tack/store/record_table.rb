# frozen_string_literal: true

module UpTack
  module Store
    # The records of one of the builder's tables, as hashes of kept values by
    # field key, read from and written to a real table of typed columns.
    class RecordTable
      # Records fetched at a time when all of them are gone through.
      BATCH = 2_000

      # @param table [Core::Design::Table]
      # @param fields [Array<Core::Design::Field>] those that have a column
      def initialize(table, fields = table.kept_fields)
        @table = table
        @fields = fields
      end

      # A nameless model, made anew for each state of the design: it is used for
      # its queries only and never has instances, so that no column name a
      # builder picks can collide with a method.
      def self.model(name)
        Class.new(ActiveRecord::Base) do
          self.table_name = name
          self.inheritance_column = nil
          self.record_timestamps = false
          reset_column_information
        end
      end

      # @return [Hash{String=>Object}, nil]
      def find(id)
        raw = Statements.run(select_one, id).first
        raw && LazyRow.new(layout(nil), raw).to_h
      end

      # @return [Hash{Integer=>Hash{String=>Object}}] those that exist, in the order asked for
      def find_all(ids)
        found = some(ids).to_h
        ids.filter_map { |id| found[id] && [id, found[id].to_h] }.to_h
      end

      # @return [Array<Array(Integer, LazyRow)>] those that exist, in no order
      def some(ids) = ids.empty? ? [] : rows("WHERE id #{one_of(ids)}", [list(ids)])

      # @return [Array<Array(Integer, LazyRow)>] the records whose link points to one of some others
      def linked(link, ids) = rows("WHERE #{quoted(link)} #{one_of(ids)} ORDER BY id", [list(ids)])

      # @return [Array<Integer>] their numbers alone
      def linking(link, ids) = run("SELECT id", "WHERE #{quoted(link)} #{one_of(ids)} ORDER BY id", [list(ids)]).flatten

      # @param keys [Array<String>, nil] only these fields; nil for all
      # @return [Array<Array(Integer, LazyRow)>] the same for one record, from a number on, a batch at a time
      def linked_after(link, id, after, keys = nil)
        Deadline.look
        rows("WHERE #{quoted(link)} = ? AND id > ? ORDER BY id LIMIT #{BATCH}", [id, after], keys)
      end

      # @param values [Hash{String=>Object}] by field key, nil for blank
      # @param regard_case [Boolean] whether capitals tell texts apart
      # @return [Array<Integer>] numbers of the records that hold all of them
      def having(values, regard_case: false)
        first, *others = values.map { |key, value|
          EqualityConditions.alternatives(@table.field(key), value, regard_case)
        }
        ways = first.product(*others)
        kinds = ways.map { |conditions| conditions.map(&:kind) }
        sought = ways.flatten.reject { |condition| condition.kind == :blank }.map(&:value)
        Statements.run(having_sql(values.keys, kinds), *sought).flatten.uniq.sort
      end

      # @param key [String] of a field
      # @param values [Array<Object>]
      # @return [Hash{Object=>Array<Integer>}] numbers of the records that hold each of them,
      #   by the value as it is sought
      def numbers_by(key, values)
        field = @table.field(key)
        sought = values.map { |value| RecordTable.sought(value) }.uniq
        sought
          .each_slice(500)
          .each_with_object({}) do |some, found|
            column = Query::Keys.expression(field)
            list = some.map { |value| Query::Keys.value(value, field) }.join(", ")
            Database
              .connection
              .select_rows(
                "SELECT rows.id, #{column} FROM #{quoted(@table.key)} AS rows WHERE #{column} IN " \
                  "(#{list}) ORDER BY rows.id"
              )
              .each { |id, value| (found[RecordTable.sought(ColumnCodec.reader(field).call(value))] ||= []) << id }
          end
      end

      # @return [Object] a value as it is sought: texts without regard to capitals
      def self.sought(value) = value.is_a?(String) ? Core::Unicode.folded(value.strip) : value

      def count_linked(link, ids) =
        run("SELECT COUNT(*)", "WHERE #{quoted(link)} #{one_of(ids)}", [list(ids)]).dig(0, 0)

      def count = run("SELECT COUNT(*)").dig(0, 0)

      # @return [Array<Array(Integer, Hash)>] numbers with values, the first or the last ones
      def page(descending: false, limit: 100) =
        rows("ORDER BY id #{"DESC" if descending} LIMIT ?", [limit]).map { |id, row| [id, row.to_h] }

      # @param ids [Array<Integer>, nil] only these; nil for all
      # @param keys [Array<String>, nil] only these fields; nil for all
      # @yield [Array<Array(Integer, LazyRow)>] in order of number, some thousands at a time
      def each_batch(ids = nil, keys: nil, &block)
        if ids
          return ids
              .sort
              .each_slice(500) do |some|
                Deadline.look
                block.call(rows("WHERE id #{one_of(some)} ORDER BY id", [list(some)], keys))
              end
        end

        last = 0
        loop do
          Deadline.look
          batch = rows("WHERE id > ? ORDER BY id LIMIT #{BATCH}", [last], keys)
          block.call(batch) if batch.any?
          break if batch.length < BATCH

          last = batch.last.first
        end
      end

      # @yield [id, row] for every record, in order of number
      def each(&block) = each_batch { |batch| batch.each(&block) }

      # @param id [Integer, nil] the number that it had before, for a record that comes back
      # @param prepared [Array<Object>, nil] what columns take, where that is known already
      # @param open [Array<Integer>] places of the fields where it is not
      # @return [Integer] the new record's number
      def insert(values, id: nil, prepared: nil, open: nil)
        return insert_blank if @fields.empty? && id.nil?

        insertion = (@insertions ||= {})[id.nil?] ||= insertion([*("id" if id), *@fields.map(&:key)])
        cells = cells(values, prepared, open)
        cells.unshift(id) if id
        Statements.insert(insertion, cells).tap { |made| Journal.made(@table, made) }
      end

      # Adds new records whose numbers are known.
      # @param records [Array<Array(Integer, Hash{String=>Object}, Array<Object>)>] numbers, values, and
      #   what columns take as `insert` has it
      # @param open [Array<Integer>]
      # @return [void]
      def insert_all(records, open)
        insertion = (@insertions ||= {})[false] ||= insertion(["id", *@fields.map(&:key)])
        Statements.insert_all(
          insertion,
          records.map { |id, values, prepared| cells(values, prepared, open).unshift(id) }
        )
        Journal.made(@table, records.first.first, records.last.first)
      end

      # @return [Integer] the number that the next new record gets; none is given twice
      def following
        Statements.run(
          "SELECT MAX(COALESCE((SELECT seq FROM sqlite_sequence WHERE name = ?), 0), " \
            "COALESCE((SELECT MAX(id) FROM #{quoted(@table.key)}), 0)) + 1",
          @table.key
        ).dig(0, 0)
      end

      # @param values [Hash{String=>Object}] those that change
      def update(id, values)
        fields = @fields.select { |field| values.key?(field.key) }
        return if fields.empty?

        Journal.changing(@table, id, fields.map(&:key))
        Statements.run(
          "UPDATE #{quoted(@table.key)} " \
            "SET #{fields.map { |field| "#{quoted(field.key)} = ?" }.join(", ")} WHERE id = ?",
          *fields.map { |field| ColumnCodec.write(values[field.key], field) },
          id
        )
      end

      def delete(id)
        Journal.deleting(@table, id, ["id", *@fields.map(&:key)])
        Statements.run("DELETE FROM #{quoted(@table.key)} WHERE id = ?", id)
      end

      # Gives a record what the journal noted of it.
      # @param cells [Hash{String=>Object}] as columns have them, with the number where the record was deleted
      # @return [void]
      def restore(id, cells)
        names = cells.keys.map { |name| quoted(name) }
        return Statements.insert(Statements::Insertion.new(quoted(@table.key), names), cells.values) if cells.key?("id")

        sets = names.map { |name| "#{name} = ?" }.join(", ")
        Statements.run("UPDATE #{quoted(@table.key)} SET #{sets} WHERE id = ?", *cells.values, id)
      end

      # @return [Hash{String=>Integer}] how many records have a value, by field key
      def filled
        return {} if @fields.empty?

        counts = run("SELECT #{@fields.map { |field| "COUNT(#{quoted(field.key)})" }.join(", ")}").first
        @fields.map(&:key).zip(counts).to_h
      end

      private

      # Asked for each record that is saved, mostly for the same.
      def having_sql(keys, kinds)
        (@having ||= {})[[keys, kinds]] ||= begin
          from = "SELECT id FROM #{quoted(@table.key)} WHERE "
          kinds.map { |of| from + keys.zip(of).map { |key, kind| EqualityConditions.sql(kind, key) }.join(" AND ") }
            .join(" UNION ALL ").freeze
        end
      end

      def insert_blank
        Statements.insert(Statements::Insertion.nothing(quoted(@table.key)), []).tap do |made|
          Journal.made(@table, made)
        end
      end

      def insertion(columns) = Statements::Insertion.new(quoted(@table.key), columns.map { |name| quoted(name) })

      def cells(values, prepared, open) =
        prepared ? filled_up(prepared, values, open) : writers.map { |writer| cell(writer, values) }

      # @param rest [String] of the question, of a few fixed texts
      def rows(rest, values, keys = nil)
        layout = layout(keys)
        names = ["id", *layout.keys].map { |name| quoted(name) }
        run("SELECT #{names.join(", ")}", rest, values).map { |raw| [raw.first, LazyRow.new(layout, raw)] }
      end

      def run(columns, rest = "", values = []) =
        Statements.run("#{columns} FROM #{quoted(@table.key)} #{rest}", *values)

      # However many numbers they are, it is one text, and so one statement that is ready.
      def one_of(ids) = (ids.length == 1) ? "= ?" : "IN (SELECT value FROM json_each(?))"
      def list(ids) = (ids.length == 1) ? ids.first : JSON.generate(ids)

      # Where each field's value lies in a row that was read, and how it is read.
      def layout(keys)
        fields = keys ? @fields.select { |field| keys.include?(field.key) } : @fields
        (@layouts ||= {})[keys] ||= fields.each_with_index.to_h do |field, index|
          [field.key, [index + 1, ColumnCodec.reader(field)]]
        end
      end

      def cell((key, writer), values) = ((value = values[key]).nil? || writer.nil?) ? value : writer.call(value)

      def filled_up(cells, values, open)
        open.each { |place| cells[place] = cell(writers[place], values) }
        cells[@fields.length - 1] ||= nil
        cells
      end

      # How each field's values are written.
      def writers = @writers ||= @fields.map { |field| [field.key, ColumnCodec.writer(field)] }

      def select_one =
        @select_one ||=
          "SELECT #{["id", *@fields.map(&:key)].map { |name| quoted(name) }.join(", ")} " \
            "FROM #{quoted(@table.key)} WHERE id = ?"

      def quoted(name) = Database.quoted(name)
    end
  end
end
