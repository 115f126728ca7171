# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # How somebody looks at a table's records, kept under a name: a condition, and
      # the order and the columns in which they are shown.
      # formula:: the condition; empty lets everything through
      # sort:: ids of fields separated by commas, each with a minus before it where the
      #   greatest comes first; nil for the order in which records were made
      # columns:: plain settings of fields, in the order of the columns; nil for the usual ones
      Filter =
        Struct.new(:id, :name, :formula, :sort, :columns, keyword_init: true) do
          # @param attributes [Hash{String=>Object}]
          def self.from(attributes) =
            new(
              id: attributes["id"],
              name: attributes["name"],
              formula: attributes["formula"],
              sort: attributes["sort"],
              columns: attributes["columns"]
            ).freeze

          # @return [Hash{String=>Object}] without what is not set
          def attributes = to_h.compact.transform_keys(&:to_s)

          # @param table [Table]
          # @return [Expression::Formula]
          # @raise [Expression::Invalid]
          def compiled(table) =
            Expression.compile(formula.to_s.strip.empty? ? "yes" : formula, table.scope, expecting: :yes_no)

          # @return [Boolean] whether order and columns are of the right shape; fields that are
          #   no longer there are passed over
          def sound?
            (sort.nil? || (sort.is_a?(String) && sort.match?(/\A-?\w+(,-?\w+)*\z/) && sort.length <= 400)) &&
              (
                columns.nil? ||
                  (columns.is_a?(Array) && columns.length <= 2_000 && columns.all? { |column| sound_column?(column) })
              )
          end

          private

          # What the foot of a column can show.
          def totals = Filter::TOTALS

          def sound_column?(column)
            column.is_a?(Hash) && column["field"].is_a?(String) &&
              (column.keys - %w[field width hidden frozen total]).empty? &&
              (column["width"].nil? || (column["width"].is_a?(Integer) && column["width"].between?(40, 1_200))) &&
              [true, nil].include?(column["hidden"]) && [true, nil].include?(column["frozen"]) &&
              [nil, *totals].include?(column["total"])
          end
        end
      Filter::TOTALS = %w[filled blank sum average least greatest].freeze
    end
  end
end
