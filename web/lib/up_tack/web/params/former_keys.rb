# frozen_string_literal: true

module UpTack
  module Web
    module Params
      # Keys that fields and tables had before they were renamed go on working for programs, until a builder
      # drops them: in addresses, in queries and in what is sent. The answer says which were used.
      module FormerKeys
        # The header that says so, as in `pieces.weight=wet_weight`.
        HEADER = "Up-Tack-Former-Keys"
        # Members of a body, at any depth, that are objects by field key; one field's key; lists of keys.
        BY_KEY = %w[typed carried].freeze
        ONE = %w[field match].freeze
        # Where records are spoken of, to people who are signed in.
        RECORDS = %r{\A/api/(tables|imports)/}
        # What tells of the design and not of records keeps what it says.
        DESIGN = %r{\A/api/tables/[^/]+(/(rules|forms|filters|proofs|bench|samples)\b.*|/fields(/[^/]+)?)?\z}

        def self.registered(app)
          app.helpers Helpers
          app.after("/api/*") { headers HEADER => @former.uniq.join(", ") if @former }
        end

        # Used by the guard, before the routes, and by what reads requests.
        module Helpers
          # Leads to the table, and the field, that have the key now.
          def former_path
            segments = request.path_info.split("/", -1)
            return unless segments[2] == "tables" && segments[3] && aliases?

            table = project.present_key(segments[3])
            field = project.table(table)&.present_key(segments[5]) if segments[4] == "fields" && segments[5]
            request.path_info = [
              "",
              "api",
              "tables",
              present_table(segments[3]),
              segments[4],
              field ? present(table, segments[5]) : segments[5],
              *segments[6..]
            ].compact.join("/")
          end

          # @param table [String] present key
          # @return [String] the present key of a field
          def present(table, key)
            now = project.table(table)&.present_key(key) || key
            (now == key) ? key : now.tap { (@former ||= []) << "#{table}.#{key}=#{now}" }
          end

          # @return [String] the present key of a table
          def present_table(key)
            now = project.present_key(key)
            (now == key) ? key : now.tap { (@former ||= []) << "#{key}=#{now}" }
          end

          # @param body [Object] what was sent, or a part of it
          # @param table [String, nil] present key of the one that it is about
          # @return [Object] the same with present keys
          def with_present_keys(body, table)
            return body unless request.path_info.match?(RECORDS) && !DESIGN.match?(request.path_info) && aliases?

            translate(body, table)
          end

          # @return [String] a condition with present keys
          def present_formula(text, table)
            return text unless aliases? && project.table(table.to_s)

            now = Core::Expression.with_present_keys(text, project.table(table).scope)
            (@former ||= []) << "#{table}: #{now}" unless now == text
            now
          end

          # @return [String] fields to sort by, by present keys
          def present_sort(text, table)
            return text unless aliases?

            text
              .split(",")
              .map do |term|
                term.strip.then { |each| "#{"-" if each.start_with?("-")}#{present(table, each.delete_prefix("-"))}" }
              end
              .join(",")
          end

          private

          def aliases? = project.aliases?
          def project = workspace.project

          def translate(body, table)
            return body.map { |each| translate(each, table) } if body.is_a?(Array)
            return body unless body.is_a?(Hash)

            table = present_table(body["table"]) if body["table"].is_a?(String)
            body.to_h { |name, value| [name, member(name, value, table)] }
          end

          def member(name, value, table)
            return present_table(value) if name == "table" && value.is_a?(String)
            if BY_KEY.include?(name) && value.is_a?(Hash) && table
              return value.transform_keys { |key| present(table, key) }
            end
            return present(table, value) if (ONE.include?(name) || name == "link") && value.is_a?(String) && table
            if %w[match fields].include?(name) && value.is_a?(Array) && table
              return value.map { |key| key.is_a?(String) ? present(table, key) : translate(key, table) }
            end
            return present_formula(value, table) if name == "filter" && value.is_a?(String) && table

            translate(value, table)
          end
        end
      end
    end
  end
end
