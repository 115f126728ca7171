# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Writes a formula again with a field, or a table, under another key,
      # wherever it is named: alone, along links or in aggregates.
      module Renaming
        module_function

        # @param text [String] a formula without mistakes
        # @param references [Array<Reference>] those of the formula
        # @param table [String] key of the table before
        # @param key [String, nil] key of the field before; nil renames the table itself
        # @return [String]
        def rename(text, references, table:, key:, to:)
          places = references.select { |each| each.from && each.table == table && each.key == key }.uniq(&:from)
          places.sort_by(&:from).reverse_each { |place| text = text[0...place.from] + to + text[place.to..] }
          text
        end
      end
    end
  end
end
