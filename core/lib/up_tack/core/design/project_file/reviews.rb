# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module ProjectFile
        # Whom a table's review tells: by name in a file, by number in a design.
        module Reviews
          module_function

          # @param table [Hash] plain, which is changed
          # @param people [Hash{Integer=>Hash{String=>String}}]
          def name(table, people)
            return unless table["review"]

            person = people[table["review"]["person"]]
            person ? table["review"] = table["review"].merge("person" => person["name"]) : table.delete("review")
          end

          # @param attributes [Hash] a whole file, which is changed
          # @return [Array<Core::Problem>]
          def number(attributes)
            names = (attributes["people"] || []).map { |person| person["name"] }
            attributes["tables"].filter_map do |table|
              person = table["review"] && table["review"]["person"]
              next if person.nil? || person.is_a?(Integer)

              place = names.index(person)
              unless place
                next(
                  Problem.new(
                    part: "person",
                    message:
                      Messages["design.reviews.suggestions_for_are_told_to_who", table: table["label"], person: person],
                    place: "tables › #{table["key"]} › review › person"
                  )
                )
              end

              table["review"] = table["review"].merge("person" => place + 1)
              nil
            end
          end
        end
      end
    end
  end
end
