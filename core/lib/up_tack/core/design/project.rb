# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The whole design: immutable, built from a plain hash and checked once.
      # last_id:: the highest number given to a table, field or rule so far
      # lists:: choice lists that several fields may use
      # tolerated:: Problems that it has from an earlier version, which would let it be written
      Project =
        Struct.new(:name, :conventions, :last_id, :lists, :tables, :tolerated, keyword_init: true) do
          # @param attributes [Hash{String=>Object}] as #attributes gives it
          # @return [Project]
          # @raise [Core::Invalid] with everything that is wrong in it
          def self.from(attributes) = reopen(attributes, tolerating: [])

          # @param attributes [Hash{String=>Object}]
          # @param tolerating [Array<Core::Problem>, :all] tolerable problems that it may have: those of the
          #   design that it came from, or all of them in one that is stored or comes from a file
          # @return [Project]
          # @raise [Core::Invalid] with everything else that is wrong in it
          def self.reopen(attributes, tolerating: :all)
            conventions = Conventions.from(attributes["conventions"] || {})
            neighbours = TableGraph.new(conventions, tolerant: tolerating == :all || tolerating.any?)
            lists = (attributes["lists"] || []).map { |list| ChoiceList.from(list) }.freeze
            closed = Access.closed(attributes["tables"] || [])
            project =
              new(
                name: attributes["name"],
                conventions: conventions,
                last_id: attributes["last_id"] || 0,
                lists: lists,
                tables:
                  (attributes["tables"] || [])
                    .map do |table|
                      Table.from(table, neighbours, lists: lists, conventions: conventions, closed: closed)
                    end
                    .freeze
              )
            neighbours.register(project.tables)
            project.tolerated = tolerate(ProjectValidator.new(project).problems, tolerating)
            neighbours.tolerate(project.tolerated)
            project.freeze
          end

          # @return [Array<Core::Problem>] those that are let be
          # @raise [Core::Invalid] where there are others
          def self.tolerate(problems, tolerating)
            known = (tolerating == :all) ? problems.map(&:signature) : tolerating.map(&:signature)
            refused = problems.reject { |problem| problem.tolerable && known.include?(problem.signature) }
            raise Invalid, refused if refused.any?

            problems.freeze
          end
          private_class_method :tolerate

          # @return [Hash{String=>Object}] for JSON; shares nothing with this project
          def attributes
            attributes = {"name" => name, "conventions" => conventions.attributes, "last_id" => last_id}
            attributes["lists"] = lists.map(&:attributes) if lists.any?
            attributes.merge("tables" => tables.map(&:attributes))
          end

          # @param key [String] of a table
          # @param id [String] of one of its rules
          # @param rule [Rules::Rule, nil] in its place; nil leaves it out
          # @return [Project] the same with that, not checked
          def with_rule(key, id, rule)
            neighbours = TableGraph.new(conventions, tolerant: true)
            all =
              tables
                .map do |table|
                  if table.key == key
                    table.with_rule(id, rule, neighbours)
                  else
                    Table.new(**table.to_h, neighbours: neighbours).freeze
                  end
                end
                .freeze
            neighbours.register(all)
            neighbours.tolerate(tolerated.to_a)
            Project.new(**to_h, tables: all).freeze
          end

          # @return [Analysis::DependencyGraph] what is worked out from what
          def upkeep = tables.empty? ? Analysis::DependencyGraph.new([]) : tables.first.neighbours.upkeep

          # @return [ChoiceList, nil]
          def list(id) = lists.find { |list| list.id == id }

          # @return [Boolean] whether a field or table is still known by a key that it had before
          def aliases? =
            tables.any? { |table| table.aliases.any? || table.fields.any? { |field| field.aliases.any? } }

          # @param key [String] that a program uses
          # @return [String] the one that the table has now, where it was renamed since
          def present_key(key) = table(key) ? key : tables.find { |table| table.aliases.include?(key) }&.key || key

          # @return [Table, nil]
          def table(key) = tables.find { |table| table.key == key }
        end
    end
  end
end
