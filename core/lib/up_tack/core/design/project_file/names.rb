# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module ProjectFile
        # What can be seen of a project file without putting the design together: kinds and
        # types that there are not, ids and keys that stand twice, lists and tables that
        # something names and that are missing.
        class Names
          # @param attributes [Hash] of the right shape
          def initialize(attributes)
            @attributes = attributes
            @tables = attributes["tables"] || []
          end

          # @return [Array<Core::Problem>]
          def problems = @problems ||= unknown + doubled_ids + doubled_keys + missing + counted

          # @return [Boolean] whether nothing is wrong, but that kinds are not known
          def only_unknown? = (problems - unknown).empty?

          # @return [Hash] the same without the rules and fields whose kinds are not known
          def without_unknown
            return @attributes if unknown.empty?

            copy = Marshal.load(Marshal.dump(@attributes))
            copy["tables"].each { |table| table["rules"]&.select! { |rule| Rules.all.key?(rule["kind"]) } }
            copy
          end

          private

          def unknown
            @unknown ||=
              @tables.flat_map do |table|
                rules =
                  (table["rules"] || [])
                    .reject { |rule| Rules.all.key?(rule["kind"]) }
                    .map do |rule|
                      problem(
                        Messages[
                          "design.names.there_is_no_rule_kind",
                          kind: rule["kind"],
                          kinds: Rules.all.keys.join(", ")
                        ],
                        "tables",
                        table["key"],
                        "rules",
                        rule["id"],
                        "kind"
                      )
                    end
                fields =
                  (table["fields"] || [])
                    .reject { |field| Values.all.key?(field["type"]) }
                    .map do |field|
                      problem(
                        Messages[
                          "design.names.there_is_no_field_type",
                          type: field["type"],
                          types: Values.all.keys.join(", ")
                        ],
                        "tables",
                        table["key"],
                        "fields",
                        field["key"],
                        "type"
                      )
                    end
                rules + fields
              end
          end

          # Ids are never given twice in a project, whatever has them.
          def doubled_ids
            named = (@attributes["lists"] || []).map { |list| [list["id"], ["lists", list["name"]]] }
            @tables.each do |table|
              named << [table["id"], ["tables", table["key"]]]
              %w[fields rules filters forms proofs].each do |part|
                (table[part] || []).each do |each|
                  named << [
                    each["id"],
                    ["tables", table["key"], part, each["key"] || each["name"] || each["field"]].compact
                  ]
                end
              end
            end
            named
              .group_by(&:first)
              .select { |id, all| id && all.length > 1 }
              .map do |id, all|
                problem(
                  Messages[
                    "design.names.id_stands_times",
                    id: id,
                    times: all.length,
                    places: all.map { |_, path| path.join(" › ") }.join(" and ")
                  ],
                  *all.last.last
                )
              end
          end

          def doubled_keys
            twice(@tables, "key", "table", "tables") +
              @tables.flat_map do |table|
                twice(table["fields"] || [], "key", "field", "tables", table["key"], "fields")
              end
          end

          def twice(all, part, what, *path)
            all
              .group_by { |each| each[part].to_s.downcase }
              .select { |_, same| same.length > 1 }
              .map { |key, same|
              problem(Messages["design.names.same_key", number: same.length, thing: what, key: key], *path, key)
            }
          end

          def missing
            lists = (@attributes["lists"] || []).map { |list| list["id"] }
            keys = @tables.map { |table| table["key"] }
            @tables.flat_map do |table|
              (table["fields"] || []).filter_map do |field|
                path = ["tables", table["key"], "fields", field["key"]]
                if field["list"] && !lists.include?(field["list"])
                  next(
                    problem(
                      Messages["design.names.uses_list_which_file", field: field["label"], list: field["list"]],
                      *path,
                      "list"
                    )
                  )
                end

                if field["type"] == "link" && !keys.include?(field["target"])
                  problem(
                    Messages["design.names.links_to_table_which_file", field: field["label"], target: field["target"]],
                    *path,
                    "target"
                  )
                end
              end
            end
          end

          # Otherwise an id could be given a second time.
          def counted
            ids =
              [
                @attributes["lists"],
                @tables,
                *@tables.flat_map { |table| table.values_at("fields", "rules", "filters", "forms", "proofs") }
              ].compact.flatten(1).map { |each| each["id"].to_s[/\d+\z/].to_i }
            highest = ids.max || 0
            if @attributes["last_id"].to_i >= highest
              []
            else
              [
                problem(
                  Messages[
                    "design.names.highest_number_given_so_far",
                    highest: highest,
                    given: @attributes["last_id"].inspect
                  ],
                  "last_id"
                )
              ]
            end
          end

          def problem(message, *path) =
            Problem.new(part: path.last.to_s, message: message, place: path.compact.join(" › "))
        end
      end
    end
  end
end
