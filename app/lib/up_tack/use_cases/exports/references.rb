# frozen_string_literal: true

module UpTack
  module UseCases
    module Exports
      # A text for a linked record by which it is found again when a file comes in: its
      # name where no other record has it, else what numbers it, else its number.
      class References
        def initialize(workspace)
          @workspace = workspace
          @known = {}
        end

        # @param table [String] key
        # @param id [Integer]
        # @return [String]
        def title(table, id) = (@known[table] ||= texts(table))[id] || "##{id}"

        private

        def texts(table)
          names = Store::NameIndex.find(@workspace.plan(table), @workspace.context).names
          twice = names.map(&:folded).tally.select { |_, times| times > 1 }
          distinct, shared = names.partition { |name| !twice.key?(name.folded) && !name.title.start_with?("#") }
          found = distinct.to_h { |name| [name.id, name.title] }
          keys = keyed(table, shared.map(&:id), found.values.to_set { |title| Core::Unicode.folded(title) })
          found.merge(keys)
        end

        def keyed(table, ids, taken)
          key = Imports::Links.keys(@workspace.table(table)).first or return {}
          Store::RecordTable
            .new(@workspace.table(table))
            .find_all(ids)
            .filter_map do |id, row|
              [id, row[key]] if row[key] && !taken.include?(Core::Unicode.folded(row[key]))
            end
            .to_h
        end
      end
    end
  end
end
