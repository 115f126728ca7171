# frozen_string_literal: true

require "yaml"

module UpTack
  module Web
    module Guard
      # Who may ask for what, read from the OpenAPI document: each operation names
      # in `x-least` the least role that it needs, or "anyone". What the document
      # does not have is nobody's.
      class Access
        # An operation of the document.
        # least:: "anyone", "reader", "clerk" or "builder"
        # confirm:: whether the password is asked for once more (`x-confirm`)
        # query:: names of the parameters in the address; table:: key of the table that the path names, nil elsewhere
        Operation = Struct.new(:id, :least, :confirm, :query, :table, keyword_init: true)
        # What the document says once of an operation. verb:: in small letters; shape:: of its path
        Entry = Struct.new(:verb, :shape, :operation)

        ORDER = %w[reader clerk builder].freeze

        # @return [Access] of this application
        def self.current = @current ||= new(YAML.load_file(Installation.path("web", "openapi.yaml")))

        # @param document [Hash]
        def initialize(document)
          @summaries =
            document
              .fetch("paths")
              .each_value
              .flat_map(&:values)
              .grep(Hash)
              .flat_map { |operation|
                operation.values_at("operationId", "x-former-id").compact.map { |id| [id, operation["summary"].to_s] }
              }
              .to_h
          @operations =
            document
              .fetch("paths")
              .flat_map do |template, item|
                item
                  .slice("get", "post", "put", "patch", "delete")
                  .map do |verb, operation|
                    Entry.new(
                      verb,
                      shape(template),
                      Operation.new(
                        id: operation["operationId"],
                        least: operation.fetch("x-least"),
                        confirm: operation["x-confirm"] == true,
                        query: query(document, item["parameters"], operation["parameters"])
                      )
                    )
                  end
              end
        end

        # @return [Operation, nil] nil for what there is not
        def find(verb, path)
          verb = (verb == "HEAD") ? "get" : verb.downcase
          @operations.each do |entry|
            match = (entry.verb == verb) && entry.shape.match(path) or next
            return entry.operation.dup.tap { |found| found.table = match[:table] if match.names.include?("table") }
          end
          nil
        end

        # @return [Array<String>] what can be asked at a path, "GET" and so on
        def verbs(path) = @operations.select { |entry| entry.shape.match?(path) }.map { |entry| entry.verb.upcase }.uniq

        # @param id [String] of an operation, or one that it had before, as an old log may have it
        # @return [String] what it does, in words
        def summary(id) = @summaries.fetch(id, id)

        # @return [Boolean] whether a role is enough
        def self.enough?(role, least) =
          least == "anyone" || (ORDER.index(role).to_i >= ORDER.index(least) && ORDER.include?(role))

        private

        def query(document, *lists)
          parameters = lists.flatten(1).compact.map do |each|
            each["$ref"] ? document.dig(*each["$ref"].delete_prefix("#/").split("/")) : each
          end
          parameters.select { |each| each["in"] == "query" }.map { |each| each["name"] }
        end

        def shape(template)
          parts = template.split(/(\{\w+\})/).map do |part|
            part.start_with?("{") ? "(?<#{part[1...-1]}>[^/]+)" : Regexp.escape(part)
          end
          /\A#{parts.join}\z/
        end
      end
    end
  end
end
