# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A form as somebody fills it in: without what their role does not see.
      module Form
        module_function

        # @param form [Core::Design::Form]
        # @param table [Core::Design::Table]
        # @param seen [Core::Design::Visibility]
        # @param project [Core::Design::Project]
        def render(form, table, seen, project)
          shown = form.field_keys.select { |key| seen.field?(table.field(key)) }
          {
            id: form.id,
            name: form.name,
            note: form.note,
            skip_filled: form.skip_filled,
            buttons: form.buttons,
            jumps: form.jumps,
            order: form.order,
            stops: form.stops & shown,
            sections:
              form.sections.map do |section|
                {
                  title: section["title"],
                  columns: section["columns"] || 1,
                  items: (section["items"] || []).filter_map { |item| item(item, table, seen, project) }
                }
              end
          }
        end

        def item(item, table, seen, project)
          field = table.field((item["field"] || item["panel"]).to_s)
          return if (item["field"] || item["panel"]) && !seen.field?(field)
          return item if item["field"]

          other = project.table(item["lines"] ? item["lines"]["table"] : field.target)
          return unless seen.table?(other)

          item.merge("fields" => inner(item, other, seen), "table" => other.key)
        end

        # Where none are picked, all but the link that leads back.
        def inner(item, other, seen)
          picked = item["fields"].to_a
          picked = other.fields.map(&:key) - [item.dig("lines", "link")] if picked.empty?
          picked.select { |key| other.field(key) && seen.field?(other.field(key)) }
        end
      end
    end
  end
end
