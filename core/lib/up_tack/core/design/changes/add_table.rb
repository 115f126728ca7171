# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # A new table, with one text field to begin with.
        class AddTable < Change
          # @param label [String]
          # @param one [String, nil] what a single record is called
          # @param key [String, nil] made from the label unless given
          def initialize(label:, one: nil, key: nil)
            @label = tidy_label(label)
            @one = tidy_label(one)
            @key = key
          end

          def apply(project)
            attributes = project.attributes
            key = pick_key(@key, @label, taken(attributes["tables"]), "table")
            id = next_id(attributes, "t")
            field = {"id" => next_id(attributes, "f"), "key" => "name", "label" => "Name", "type" => "text"}
            table = {"id" => id, "key" => key, "label" => @label, "fields" => [field], "rules" => []}
            table["one"] = @one unless @one.nil? || @one == ""
            @summary = "Table #{@label} added"
            build(project, attributes.merge("tables" => attributes["tables"] + [table]))
          end
        end
      end
    end
  end
end
