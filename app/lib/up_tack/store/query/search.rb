# frozen_string_literal: true

module UpTack
  module Store
    class Query
      # A text looked for in all fields of a record at once, as people look for it: anywhere in a text,
      # a choice or the name of a linked record, and as the whole of a number, a day or another value
      # that it can be read as. Values that are calculated only on reading are not looked at.
      class Search
        # @param fields [Array<Core::Design::Field>] those that may be looked at
        # @param text [String] not blank
        # @param reading [Core::ParseContext] how people write numbers and days
        # @param names [#call] gives the NameIndex of a table by its key
        def initialize(fields, text, reading, names)
          @fields = fields
          @text = text.strip
          @folded = Core::Unicode.folded(@text)
          @reading = reading
          @names = names
        end

        # @return [String] SQL over `rows`
        def sql
          found = @fields.filter_map { |field| condition(field) }
          found << "rows.id = #{@text.to_i}" if @text.match?(/\A[1-9]\d{0,14}\z/)
          found.empty? ? "(0)" : "(#{found.join(" OR ")})"
        end

        # @param row [Hash] kept values by key
        # @return [Array<String>] keys of the fields in which it stands
        def fields_of(row) = @fields.select { |field| row[field.key] && stands_in?(field, row[field.key]) }.map(&:key)

        private

        def condition(field)
          return "(INSTR(#{Keys.expression(field)}, #{Keys.quoted(@folded)}) > 0)" if Keys.folded?(field)
          return linked(field) if field.link?

          value = value_for(field)
          value.nil? ? nil : "(#{Keys.name(field)} = #{Keys.value(value, field)})"
        end

        def linked(field)
          ids = named(field)
          ids.empty? ? nil : "(#{Keys.name(field)} IN (SELECT value FROM " \
            "json_each(#{Keys.quoted(JSON.generate(ids.to_a))})))"
        end

        def stands_in?(field, value)
          return Core::Unicode.folded(value).include?(@folded) if Keys.folded?(field)

          field.link? ? named(field).include?(value) : value == value_for(field)
        end

        def named(field)
          @named ||=
            Hash.new do |known, table|
              known[table] = @names
                .call(table)
                .names
                .filter_map { |name| name.id if name.folded.include?(@folded) }
                .to_set
            end
          @named[field.target]
        end

        # A yes or no is found by no word: half of all records would be.
        def value_for(field)
          @values ||= {}
          return @values[field.key] if @values.key?(field.key)

          found = field.values.read(@text, field, @reading) unless field.yes_no?
          @values[field.key] = found.is_a?(Core::Values::Unreadable) ? nil : found
        end
      end
    end
  end
end
