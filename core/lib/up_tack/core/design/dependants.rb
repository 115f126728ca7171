# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The rules and filters, of any table, that use a field or a table and
      # can't be without it.
      module Dependants
        module_function

        # @param key [String, nil] of the field; nil for the whole table
        # @return [Array<Array(Table, Rules::Rule)>]
        def rules(project, table:, key: nil)
          project.tables.flat_map do |design|
            design
              .rules
              .select do |rule|
                (design.key == table && rule.field == key) || named?(rule.references(design), table, key)
              end
              .map { |rule| [design, rule] }
          end
        end

        # Takes them out of a plain project.
        # @return [void]
        def drop(project, attributes, table:, key: nil)
          lost = rules(project, table: table, key: key).map { |_, rule| rule.id }
          project
            .tables
            .zip(attributes["tables"]) do |design, each|
              each["rules"].reject! { |rule| lost.include?(rule["id"]) }
              filters =
                design.filters.select { |filter| named?(filter.compiled(design).references, table, key) }.map(&:id)
              each["filters"]&.reject! { |filter| filters.include?(filter["id"]) }
              each["forms"]&.map! { |form| FormRewriter.without(Form.from(form), design, table: table, key: key) }
            end
        end

        # @param key [String, nil] of the field; nil for the whole table
        # @return [Array<Array(Table, Form)>] forms on which it stands
        def forms(project, table:, key: nil)
          project.tables.flat_map do |design|
            design
              .forms
              .select { |form| FormRewriter.without(form, design, table: table, key: key) != form.attributes }
              .map { |form| [design, form] }
          end
        end

        def named?(references, table, key)
          references.any? { |each| each.table == table && (key.nil? || each.key == key) }
        end
      end
    end
  end
end
