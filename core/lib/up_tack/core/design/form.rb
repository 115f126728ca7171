# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A form of a table: what stands where, and where the cursor goes. It adds to
      # the table's rules and never weakens them.
      #
      # id:: such as "m12"; name:: for people; note:: the builder's own words
      # sections:: [{"title", "columns" (1 to 4), "items" => [item, …]}], where an item is
      #   {"field" => key, "width", "label", "hint", "default" => formula,
      #    "carry" => true, "states" => [{"state", "when"}]},
      #   {"lines" => {"table", "link"}, "fields" => keys, "label", "width"} for records
      #   that link here, or {"panel" => key of a link, "fields" => keys, "label",
      #   "width"} for details of the linked record
      # order:: keys of fields in the order of the cursor, nil for that of the layout
      # jumps:: [{"after" => key, "when" => condition or nil, "to" => key, "first_blank" or "end"}]
      # skip_filled:: whether the cursor passes over what rules have filled
      # buttons:: which of "copy", "next" and "save_next" it has
      Form =
        Struct.new(:id, :name, :note, :sections, :order, :jumps, :skip_filled, :buttons, keyword_init: true) do
          # @param attributes [Hash{String=>Object}] from a design
          def self.from(attributes)
            new(
              id: attributes["id"],
              name: attributes["name"],
              note: attributes["note"],
              sections: attributes["sections"] || [],
              order: attributes["order"],
              jumps: attributes["jumps"] || [],
              skip_filled: attributes["skip_filled"] == true,
              buttons: attributes["buttons"] || Form::BUTTONS
            ).freeze
          end

          # @param table [Table]
          # @return [Form] that which every table has: all fields in their order
          def self.usual(table)
            from(
              "id" => "all",
              "name" => Wording["All fields"],
              "sections" => [
                {
                  "columns" => 2,
                  "items" =>
                    table.fields.map do |field|
                      {"field" => field.key, "width" => field.long? ? 2 : 1}
                    end
                }
              ]
            )
          end

          # @return [Hash{String=>Object}] shares nothing with this form
          def attributes
            attributes = {
              "id" => id,
              "name" => name,
              "note" => note,
              "sections" => sections,
              "order" => order,
              "jumps" => jumps,
              "buttons" => buttons
            }.compact
            attributes["skip_filled"] = true if skip_filled
            Marshal.load(Marshal.dump(attributes))
          end

          # @return [Array<Hash>] all items, from the first section to the last
          def items = sections.flat_map { |section| section["items"] || [] }

          # @return [Array<Hash>] those that are fields of the table
          def field_items = items.select { |item| item["field"] }

          # @return [Array<String>] keys of its fields, in the order of the layout
          def field_keys = field_items.map { |item| item["field"] }

          # @return [Array<String>] keys of its fields in the order of the cursor
          def stops = order ? (order & field_keys) + (field_keys - order) : field_keys

          # @return [Array<String>] keys of the fields that are carried over from the record before
          def carried = field_items.select { |item| item["carry"] }.map { |item| item["field"] }

          # @return [Hash{String=>Array(String, Symbol)}] its formulas with the type that each
          #   must have, by where they stand, such as "jumps.0.when"
          def formulas(table)
            found = {}
            sections.each_with_index do |section, place|
              (section["items"] || []).each_with_index do |item, index|
                at = "sections.#{place}.items.#{index}"
                found["#{at}.default"] = [item["default"], table.field(item["field"])&.kind] unless item["default"]
                  .to_s
                  .strip
                  .empty?
                (item["states"] || []).each_with_index do |state, number|
                  found["#{at}.states.#{number}.when"] = [state["when"], :yes_no]
                end
              end
            end
            jumps.each_with_index do |jump, number|
              found["jumps.#{number}.when"] = [jump["when"], :yes_no] unless jump["when"].to_s.strip.empty?
            end
            found
          end
        end

      Form::BUTTONS = %w[copy next save_next].freeze
      # Where a jump can lead besides a field.
      Form::PLACES = %w[first_blank end].freeze
    end
  end
end
