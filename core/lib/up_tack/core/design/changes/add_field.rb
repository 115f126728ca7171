# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # A new field in a table.
        class AddField < Change
          PARTS = %w[type decimals choices retired list format target on_delete reverse note access].freeze

          # @param table [String] key
          # @param parts [Hash{String=>Object}] "label", "type" and what belongs to
          #   the type; "key" is made from the label unless given
          # @param position [Integer, nil] counted from 0; at the end unless given
          def initialize(table:, parts:, position: nil)
            @table = table
            @parts = parts
            @position = position
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            label = tidy_label(@parts["label"])
            key = pick_key(@parts["key"], label, taken(table["fields"]), "field")
            field = {"id" => next_id(attributes, "f"), "key" => key, "label" => label}.merge(
              @parts.slice(*PARTS).compact
            )
            table["fields"].insert((@position || table["fields"].length).clamp(0, table["fields"].length), field)
            @summary = "Field #{label} added to #{table["label"]}"
            build(project, attributes)
          end
        end
      end
    end
  end
end
