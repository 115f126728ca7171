# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Makes a list of choices that several fields can use, or changes one.
        class SaveList < Change
          # @param id [String, nil] nil for a new one
          # @param name [String]
          # @param values [Array<String>]
          # @param retired [Array<String>]
          # @param renamed [Hash{String=>String}, nil] new names of its choices by old ones
          def initialize(name:, values:, retired: [], id: nil, renamed: nil)
            @id = id
            @renamed = renamed
            @parts = {"name" => tidy_label(name), "values" => values, "retired" => retired}
          end

          def apply(project)
            known = project.list(@id)
            renamed = known ? renaming(@renamed, known.values, @parts["values"]) : {}
            if renamed.any?
              project =
                with_renamed(project, RenamedChoices.in_list(project, @id, renamed)) do |attributes|
                  replace(attributes)
                end
            end
            attributes = project.attributes
            lists = (attributes["lists"] ||= [])
            renames = ": #{renaming_words(renamed, known.values)}" if renamed.any?
            @summary = "List #{@parts["name"]} #{@id ? "changed" : "made"}#{renames}"
            @id ? replace(attributes) : lists << {"id" => next_id(attributes, "l")}.merge(@parts)
            build(project, attributes)
          end

          private

          def replace(attributes)
            list =
              (attributes["lists"] || []).find { |each| each["id"] == @id } ||
              Invalid.because(Messages["design.all.there_is_no_such_list"], part: "id")
            list.merge!(@parts)
          end
        end
      end
    end
  end
end
