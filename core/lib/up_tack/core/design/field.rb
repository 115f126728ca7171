# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A field of a table.
      # id:: stays the same through renaming, such as "f12"
      # key, label:: for formulas, and for people
      # type:: key of a Values type
      # decimals:: for numbers: how many are taken, nil for any
      # choices:: for choices: the list, in its order
      # note:: the builder's own words
      Field = Struct.new(:id, :key, :label, :type, :decimals, :choices, :note, keyword_init: true) do
        # @param plain [Hash{String=>Object}] from a design
        def self.from(plain)
          new(
            id: plain["id"], key: plain["key"], label: plain["label"], type: plain["type"],
            decimals: plain["decimals"], choices: (plain["choices"] || []).freeze, note: plain["note"]
          ).freeze
        end

        # @return [Hash{String=>Object}] without what is not set
        def to_plain
          plain = {"id" => id, "key" => key, "label" => label, "type" => type}
          plain["decimals"] = decimals if type == "number" && decimals
          plain["choices"] = choices.dup if type == "choice"
          plain["note"] = note unless note.nil? || note == ""
          plain
        end

        # @return [Module] one of Values
        def values = Values[type]

        # @return [Symbol] what it is in an expression
        def kind = values.kind

        # @return [Object, nil, Values::Unreadable]
        def read(raw, reading) = values.read(raw, self, reading)

        # @return [String] the value in its reading format
        def show(value) = values.show(value, self)

        # Brings a computed value into what the field can hold: numbers are
        # rounded to its decimals, a choice must be one of its list.
        # @return [Object, nil, Values::Unreadable]
        def settle(value)
          return if value.nil?

          value = Numbers.round(value, decimals) if value.is_a?(BigDecimal) && decimals
          values.read(value, self, nil)
        end
      end
    end
  end
end
