# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Takes a proof away.
        class DeleteProof < Change
          # @param table [String] key
          # @param id [String]
          def initialize(table:, id:)
            @table = table
            @id = id
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            index =
              (table["proofs"] || []).index { |each| each["id"] == @id } ||
              Invalid.because(Messages["design.all.there_is_no_such_proof", table: table["label"]], part: "id")
            proof = table["proofs"].delete_at(index)
            @summary = "Proof #{Values::Plain.quoted(proof["name"], 60)} deleted in #{table["label"]}"
            build(project, attributes)
          end
        end
      end
    end
  end
end
