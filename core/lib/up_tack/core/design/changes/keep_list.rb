# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Makes a list of choices that several fields can use, or changes one.
        class KeepList < Change
          # @param id [String, nil] nil for a new one
          # @param name [String]
          # @param values [Array<String>]
          # @param retired [Array<String>]
          def initialize(name:, values:, retired: [], id: nil)
            @id = id
            @parts = {"name" => tidy_label(name), "values" => values, "retired" => retired}
          end

          def apply(project)
            plain = project.to_plain
            lists = (plain["lists"] ||= [])
            @summary = "List #{@parts["name"]} #{@id ? "changed" : "made"}"
            if @id
              list = lists.find { |each| each["id"] == @id } || Invalid.because("There is no such list; it may have been deleted.", part: "id")
              list.merge!(@parts)
            else
              lists << {"id" => next_id(plain, "l")}.merge(@parts)
            end
            build(project, plain)
          end
        end
      end
    end
  end
end
