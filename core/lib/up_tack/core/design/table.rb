# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A table: its fields and the rules pinned on them, both in their order.
      # one:: what a single record of it is called, "Piece" of "Pieces"
      Table = Struct.new(:id, :key, :label, :one, :note, :fields, :rules, keyword_init: true) do
        # @param plain [Hash{String=>Object}] from a design
        def self.from(plain)
          new(
            id: plain["id"], key: plain["key"], label: plain["label"], one: plain["one"], note: plain["note"],
            fields: (plain["fields"] || []).map { |field| Field.from(field) }.freeze,
            rules: (plain["rules"] || []).map { |rule| Rules.from(rule) }.freeze
          ).freeze
        end

        # @return [Hash{String=>Object}]
        def to_plain
          plain = {"id" => id, "key" => key, "label" => label}
          plain["one"] = one unless one.nil?
          plain["note"] = note unless note.nil?
          plain.merge("fields" => fields.map(&:to_plain), "rules" => rules.map(&:to_plain))
        end

        # @return [Field, nil]
        def field(key) = fields.find { |field| field.key == key }

        # @return [Rules::Rule, nil]
        def rule(id) = rules.find { |rule| rule.id == id }

        # @return [Expression::Scope] the names that its formulas may use
        def scope = Expression::Scope.of_fields(fields)

        # @return [String] what a single record is called
        def record_name = one || "Record"
      end
    end
  end
end
