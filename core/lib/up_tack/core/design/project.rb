# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The whole design: immutable, built from a plain hash and checked once.
      # last_id:: the highest number given to a table, field or rule so far
      Project = Struct.new(:name, :conventions, :last_id, :tables, keyword_init: true) do
        # @param plain [Hash{String=>Object}] as to_plain gives it
        # @return [Project]
        # @raise [Invalid] with everything that is wrong in it
        def self.from(plain)
          neighbours = Neighbours.new
          project = new(
            name: plain["name"], conventions: Conventions.from(plain["conventions"] || {}),
            last_id: plain["last_id"] || 0, tables: (plain["tables"] || []).map { |table| Table.from(table, neighbours) }.freeze
          ).freeze
          neighbours.settle(project.tables)
          problems = Inspection.new(project).problems
          raise Invalid, problems if problems.any?

          project
        end

        # @return [Hash{String=>Object}] for JSON; shares nothing with this project
        def to_plain
          {"name" => name, "conventions" => conventions.to_plain, "last_id" => last_id, "tables" => tables.map(&:to_plain)}
        end

        # @return [Analysis::Upkeep] what is worked out from what
        def upkeep = tables.empty? ? Analysis::Upkeep.new([]) : tables.first.neighbours.upkeep

        # @return [Table, nil]
        def table(key) = tables.find { |table| table.key == key }
      end
    end
  end
end
