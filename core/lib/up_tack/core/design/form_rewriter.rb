# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Goes through the parts of a form when a field or table that it uses gets
      # another key, or goes.
      module FormRewriter
        module_function

        # @param form [Form]
        # @param table [Table] its own, before the renaming
        # @param of [String] key of the table in which something is renamed
        # @param key [String, nil] key of the field; nil when the table itself is renamed
        # @return [Hash{String=>Object}] the form under the new name, plain
        def renamed(form, table, of:, key:, to:)
          attributes = form.attributes
          form
            .formulas(table)
            .each do |part, (text, _)|
              put(
                attributes,
                part,
                Expression::Renaming.rename(text, references(text, table), table: of, key: key, to: to)
              )
            end
          swap = ->(place, named) { (key && place == of && named == key) ? to : named }
          attributes["order"]&.map! { |each| swap.call(table.key, each) }
          attributes["jumps"].each { |jump| %w[after to].each { |part| jump[part] = swap.call(table.key, jump[part]) } }
          each_item(attributes) { |item| rename_item(item, table, of, key, to, swap) }
          attributes
        end

        # @return [Hash{String=>Object}] the form without what can't be without the field
        #   or table, plain
        def without(form, design, table:, key:)
          attributes = form.attributes
          lost =
            form
              .formulas(design)
              .select do |_, (text, _)|
                references(text, design).any? { |each| each.table == table && (key.nil? || each.key == key) }
              end
              .keys
          attributes["sections"].each_with_index do |section, place|
            section["items"] = (section["items"] || []).each_with_index.filter_map do |item, index|
              item_without(item, design, table, key, lost, "sections.#{place}.items.#{index}")
            end
          end
          attributes["jumps"] = attributes["jumps"]
            .each_with_index
            .reject do |jump, number|
              lost.include?("jumps.#{number}.when") ||
                (design.key == table && key && jump.values_at("after", "to").include?(key))
            end
            .map(&:first)
          attributes["order"]&.delete(key) if design.key == table
          attributes
        end

        # Forms let go of what they showed along a link that leads to another table now,
        # or is no link any more.
        # @param attributes [Hash] a project, which is changed
        # @param table [Hash] plain, in which the link is
        # @param field [Hash] plain, as it is now
        def turned_elsewhere(attributes, table, field)
          attributes["tables"].each do |each|
            (each["forms"] || []).each do |form|
              form["sections"].each do |section|
                (section["items"] || []).reject! do |item|
                  lines_by?(item, table, field) ||
                    (each.equal?(table) && item["panel"] == field["key"] && field["type"] != "link")
                end
              end
              each_item(form) { |item| item["fields"] = [] if each.equal?(table) && item["panel"] == field["key"] }
            end
          end
        end

        def lines_by?(item, table, field) =
          item["lines"] && item["lines"].values_at("table", "link") == [table["key"], field["key"]]

        def each_item(attributes, &block)
          attributes["sections"].each { |section| (section["items"] || []).each(&block) }
        end

        def rename_item(item, table, of, key, to, swap)
          item["field"] = swap.call(table.key, item["field"]) if item["field"]
          inner = inner_table(item, table)
          item["fields"] = item["fields"].map { |each| swap.call(inner, each) } if item["fields"]
          item["panel"] = swap.call(table.key, item["panel"]) if item["panel"]
          return unless item["lines"]

          item["lines"]["link"] = swap.call(item["lines"]["table"], item["lines"]["link"])
          item["lines"]["table"] = to if key.nil? && item["lines"]["table"] == of
        end

        def item_without(item, design, table, key, lost, at)
          own = item["field"] || item["panel"]
          return if own && key && design.key == table && own == key
          return if item["panel"] && key.nil? && design.field(item["panel"])&.target == table
          return if item["lines"] && item["lines"]["table"] == table && [nil, item["lines"]["link"]].include?(key)

          item["fields"] = item["fields"].reject { |each| inner_table(item, design) == table && each == key } if item[
            "fields"
          ]
          item.delete("default") if lost.include?("#{at}.default")
          if item["states"]
            item["states"] = item["states"]
              .each_with_index
              .reject { |_, number| lost.include?("#{at}.states.#{number}.when") }
              .map(&:first)
          end
          item
        end

        # @return [String, nil] key of the table whose fields an item lists
        def inner_table(item, table) = item["lines"] ? item["lines"]["table"] : table.field(item["panel"].to_s)&.target

        def put(attributes, part, text)
          *path, last = path(part)
          attributes.dig(*path)[last] = text
        end

        # @param part [String] where a formula stands, such as "jumps.0.when"
        # @return [Array<String, Integer>] the steps that lead there
        def path(part) = part.split(".").map { |step| step.match?(/\A\d+\z/) ? step.to_i : step }

        def references(text, table) = Expression.compile(text, table.scope).references
      end
    end
  end
end
