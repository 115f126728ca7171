# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Merges the design of a project file into the project.
        class ApplyProjectFile < Change
          # @param design [Hash{String=>Object}] plain and sound, as a file holds it
          # @param tolerating [Array<Core::Problem>, :all] see Project.reopen
          def initialize(design:, tolerating: [])
            @design = design
            @tolerating = tolerating
          end

          # @return [Project]
          # @raise [Core::Invalid] where the two do not go together
          def apply(project)
            built = build(project, Merge.new(project, @design).attributes, tolerating: @tolerating)
            counts = {
              "table" => @design["tables"].length,
              "rule" => @design["tables"].sum { |table| (table["rules"] || []).length },
              "proof" => @design["tables"].sum { |table| (table["proofs"] || []).length }
            }
            @summary =
              "Project file of #{@design["name"]} " \
                "imported: #{counts.map { |what, count| "#{count} #{what}#{"s" unless count == 1}" }.join(", ")}"
            built
          end
        end
      end
    end
  end
end
