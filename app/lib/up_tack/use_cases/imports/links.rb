# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Finds linked records by the names under which people know them, or by what numbers
      # them. What is not found, or means two, is left as it is for the rules to refuse.
      class Links
        # @param workspace [Workspace]
        # @param file_keys [KeyMap, nil] of fields whose cells have keys of their file
        def initialize(workspace, file_keys = nil)
          @workspace = workspace
          @file_keys = file_keys
          @found = {}
        end

        # @param design [Core::Design::Table]
        # @return [Array<String>] keys of fields of texts that are different in every record
        def self.keys(design)
          design
            .rules
            .select do |rule|
              rule.numbers? || (rule.compares_records? && rule.keys.length == 1)
            end
            .map(&:field)
            .uniq
            .select { |key| design.field(key).one_line? && design.kept?(key) }
        end

        # @param field [Core::Design::Field] a link
        # @param text [String]
        # @return [Integer, String] the record's number, or the text where none or several are meant
        def find(field, text)
          return @file_keys.find(field.key, text) || text if @file_keys&.of?(field.key)

          folded = Core::Unicode.folded(text.strip)
          known = (@found[field.target] ||= {})
          known.fetch(folded) { known[folded] = look_up(field.target, text.strip, folded) } || text
        end

        # Records of a table that were saved meanwhile may be meant from here on.
        def forget(table)
          @found.delete(table)
          names.delete(table)
        end

        # The same of all tables.
        def forget_all = [@found, names].each(&:clear)

        private

        def look_up(table, text, folded)
          ids =
            names
              .fetch(table) { names[table] = Store::NameIndex.find(@workspace.plan(table), @workspace.context) }
              .exactly(folded)
          return ids.first if ids.length == 1
          return if ids.any?

          by_key = keys(table).flat_map { |key| rows(table).having({key => text}) }.uniq
          return by_key.first if by_key.length == 1

          number = text[/\A#(\d{1,18})\z/, 1]&.to_i
          number if number && rows(table).find(number)
        end

        def names = @names ||= {}

        def rows(table) = (@rows ||= {})[table] ||= Store::RecordTable.new(@workspace.table(table))

        def keys(table) = (@keys ||= {})[table] ||= Links.keys(@workspace.table(table))
      end
    end
  end
end
