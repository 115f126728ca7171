# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Which columns of a file's tables have the keys of others of its tables: as it is declared, or where they are
      # called so and all their values are among those keys.
      class ProposedLinks
        # Different values of a column that are compared, at most.
        MOST = 200_000
        SUFFIX = /[\s_-]*(?:id|code|no|nr|number|key|ref)\z/i
        KEY = /(?:\A|[\s_-])(?:id|code|no|nr|number|key|ref)\z/i

        # @param parts [Array<Interchange::Collection::Part>]
        # @param proposed [Array<Collections::Proposed>]
        def initialize(parts, proposed)
          @parts = parts
          @proposed = proposed
        end

        # @return [void] sets target and refers of fields
        def call
          @proposed.each { |table| declared(table) }
          @proposed.each { |table| table.fields.each { |field| by_name(table, field) if field.target.nil? } }
        end

        private

        def declared(table)
          (@parts[table.number].declared&.links || []).each do |link|
            to = @proposed.find { |each| each.name.casecmp?(link.table.to_s) }
            field = column(table, link.columns.first)
            refers = to && column(to, link.references.first || @parts[to.number].declared&.key&.name)
            next join(table, field, to, refers.column) if link.columns.one? && field && refers

            table.notes << Core::Messages["imports.proposed_links.link_is_not_taken",
              columns: link.columns.join(", "), table: link.table.to_s]
          end
        end

        def column(table, name)
          heading = @parts[table.number].heading(name)
          heading && table.fields.find { |field| field.column == heading }
        end

        # A link has a name of its own: that of the column without what makes it a key.
        def join(table, field, to, refers)
          field.plain = field.type unless field.link?
          field.type = "link"
          field.choices = nil
          field.target = to.key
          field.refers = refers
          field.rules = field.rules.select(&:general)
          short = field.label.sub(SUFFIX, "")
          return if short.empty? || table.fields.any? { |other| other.label.casecmp?(short) }

          field.label = short
        end

        def by_name(table, field)
          folded = plain(field.column)
          @proposed.each do |to|
            key = key(to) or next
            next if to.equal?(table) && key == field.column
            called = names(to).include?(folded) || (folded == plain(key) && folded.length > 2)
            return join(table, field, to, key) if called && within?(table, field, to, key)
          end
        end

        # member and members, party and parties, box and boxes; with a suffix, as keys have it.
        def names(to)
          all = [to.name, to.label].map { |name| Core::Unicode.folded(name).gsub(/[^\p{L}\p{N}]/, "") }
          all += all.flat_map { |name| [name.delete_suffix("s"), name.delete_suffix("es"), name.sub(/ies\z/, "y")] }
          all.uniq
        end

        def plain(column)
          text = Core::Unicode.folded(column)
          text.sub(SUFFIX, "").then { |short| short.empty? ? text : short }.gsub(/[^\p{L}\p{N}]/, "")
        end

        # Whether a column may be a key, or have those of another table, by its name.
        def called?(table, column)
          @called ||= @proposed.flat_map { |each|
            [*names(each), *each.fields.map(&:column).grep(KEY).map { |key| plain(key) }]
          }.to_set
          column.match?(KEY) || @called.include?(plain(column)) ||
            @parts[table.number].declared_as(column)&.key
        end

        # @return [String, nil] the column by which records of a table are known
        def key(table)
          @keys ||= {}
          @keys.fetch(table.number) do
            part = @parts[table.number]
            @keys[table.number] = part.heading(part.declared&.key&.name) ||
              table.fields.first(3).map(&:column).find { |column| key?(table, column) }
          end
        end

        def key?(table, column)
          found = values(table)[column] if column.match?(KEY)
          found && found[:unique] && found[:all].any?
        end

        def within?(table, field, to, key)
          own = values(table)[field.column]
          there = values(to)[key]
          own && there && own[:all].any? && there[:unique] && own[:all].subset?(there[:all])
        end

        # All values of the columns that may be keys, or have them; read once.
        def values(table)
          @values ||= {}
          @values[table.number] ||= collected(table)
        end

        def collected(table)
          source = @parts[table.number].source
          open = source.columns.each_with_index.select { |column, _| called?(table, column) }
          found = open.to_h { |column, _| [column, {unique: true, all: Set.new}] }
          source.each_row do |row, _|
            open.reject! do |column, place|
              text = Interchange::Profile.text(row.cells[place]).strip
              next if text.empty?

              known = found[column]
              known[:unique] = false unless known[:all].add?(KeyMap.folded(text).hash)
              known[:all].length > MOST && found.delete(column)
            end
          end
          found
        rescue Interchange::Unreadable
          {}
        end
      end
    end
  end
end
