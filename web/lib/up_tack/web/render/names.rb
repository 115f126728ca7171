# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What formulas can name: the fields of each table, where links lead, and
      # the records that link back. The editor completes from it.
      module Names
        module_function

        # @param project [Core::Design::Project]
        # @param role [String] nothing is named that this role does not see
        def render(project, role) =
          project.tables.select { |table| table.allows?(role, :see) }.map { |table| table(table, project, role) }

        def table(table, project, role)
          {
            key: table.key, label: table.label, title: table.title_field&.key,
            fields: table.fields.select { |field| field.allows?(role, :see) }.map { |field| field(field, project) },
            linked: linked(table, role)
          }
        end

        def field(field, project)
          {
            key: field.key,
            label: field.label,
            kind: field.kind,
            relations: field.values.relations,
            type_label: type_label(field, project),
            target: field.target,
            choices: field.choices
          }
        end

        # @return [String] such as "Number" or "Link to Members"
        def type_label(field, project)
          label = field.values.label
          return label unless field.link?

          Core::Wording["%{link} to %{table}", link: label, table: project.table(field.target).label]
        end

        # A table that links here in two ways is named with the link.
        def linked(table, role)
          links =
            table
              .neighbours
              .links_to(table.key)
              .select { |other, field| other.allows?(role, :see) && field.allows?(role, :see) }
          links.map do |other, field|
            several = links.count { |each, _| each.key == other.key } > 1
            {
              table: other.key,
              link: field.key,
              path: several ? "#{other.key}.#{field.key}" : other.key,
              label: (field.reverse.to_s == "") ? other.label : field.reverse
            }
          end
        end
      end
    end
  end
end
