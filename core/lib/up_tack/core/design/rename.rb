# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Carries a new key of a field or table into everything that uses the old
      # one: formulas of all tables, filters, links and titles.
      module Rename
        module_function

        # @param project [Project] before
        # @param attributes [Hash] its plain form, which is changed
        def field(project, attributes, table:, key:, to:)
          everywhere(project, attributes, of: table, key: key, to: to)
          home = attributes["tables"].find { |each| each["key"] == table }
          home["title"] = to if home["title"] == key
        end

        # @param project [Project] before
        # @param attributes [Hash] its plain form, which is changed
        def table(project, attributes, key:, to:)
          everywhere(project, attributes, of: key, key: nil, to: to)
          attributes["tables"].each do |each|
            each["fields"].each { |field| field["target"] = to if field["target"] == key }
          end
        end

        def everywhere(project, attributes, **renaming)
          project
            .tables
            .zip(attributes["tables"]) do |design, table|
              table["rules"] = design.rules.map { |rule| rule.renamed(design, **renaming) }
              filters =
                design.filters.map do |filter|
                  filter.attributes.merge("formula" => in_filter(filter, design, **renaming))
                end
              table["filters"] = filters if filters.any?
              forms = design.forms.map { |form| FormRewriter.renamed(form, design, **renaming) }
              table["forms"] = forms if forms.any?
              proofs = design.proofs.map { |proof| ProofRewriter.renamed(proof, design, **renaming) }
              table["proofs"] = proofs if proofs.any?
            end
        end

        def in_filter(filter, design, of:, key:, to:)
          Expression::Renaming.rename(filter.formula, filter.compiled(design).references, table: of, key: key, to: to)
        end
      end
    end
  end
end
