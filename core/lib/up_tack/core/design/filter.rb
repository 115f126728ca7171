# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A condition on a table's records that is kept under a name.
      Filter = Struct.new(:id, :name, :formula, keyword_init: true) do
        # @param plain [Hash{String=>Object}]
        def self.from(plain) = new(id: plain["id"], name: plain["name"], formula: plain["formula"]).freeze

        # @return [Hash{String=>Object}]
        def to_plain = to_h.transform_keys(&:to_s)

        # @param table [Table]
        # @return [Expression::Formula]
        # @raise [Expression::Invalid]
        def compiled(table) = Expression.compile(formula.to_s, table.scope, expecting: :yes_no)
      end
    end
  end
end
