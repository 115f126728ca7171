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
      # target:: for links: key of the table it points to
      # on_delete:: for links: what happens when the linked record is deleted,
      #   "refuse" (that deletion), "clear" (this value) or "delete" (this record along)
      # reverse:: for links: what the other side calls the records that link to
      #   it, nil for this table's own name
      # note:: the builder's own words
      Field = Struct.new(:id, :key, :label, :type, :decimals, :choices, :target, :on_delete, :reverse, :note, keyword_init: true) do
        # @param plain [Hash{String=>Object}] from a design
        def self.from(plain)
          link = plain["type"] == "link"
          new(
            id: plain["id"], key: plain["key"], label: plain["label"], type: plain["type"],
            decimals: plain["decimals"], choices: (plain["choices"] || []).freeze, target: (plain["target"] if link),
            on_delete: (plain["on_delete"] || "refuse" if link), reverse: (plain["reverse"] if link), note: plain["note"]
          ).freeze
        end

        # @return [Hash{String=>Object}] without what is not set
        def to_plain
          plain = {"id" => id, "key" => key, "label" => label, "type" => type}
          plain["decimals"] = decimals if type == "number" && decimals
          plain["choices"] = choices.dup if type == "choice"
          plain.merge!("target" => target, "on_delete" => on_delete) if link?
          plain["reverse"] = reverse if link? && reverse.to_s != ""
          plain["note"] = note unless note.nil? || note == ""
          plain
        end

        def link? = type == "link"

        # @return [Module] one of Values
        def values = Values[type]

        # @return [Symbol] what it is in an expression
        def kind = values.kind

        # @return [Object, nil, Values::Unreadable]
        def read(raw, reading) = values.read(raw, self, reading)

        # @param records [#title] names linked records; without it a link is shown by its number
        # @return [String] the value in its reading format
        def show(value, records = nil)
          (link? && records) ? values.show(value, self, records) : values.show(value, self)
        end

        # Brings a computed value into what the field can hold: numbers are
        # rounded to its decimals, a choice must be one of its list.
        # @return [Object, nil, Values::Unreadable]
        def settle(value)
          return if value.nil?
          return value if type == "yes_no" || type == "date"

          value = Numbers.round(value, decimals) if value.is_a?(BigDecimal) && decimals
          values.read(value, self, nil)
        end
      end
    end
  end
end
