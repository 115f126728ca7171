# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The whole design: immutable, built from a plain hash and checked once.
      # last_id:: the highest number given to a table, field or rule so far
      # lists:: the ChoiceLists that several fields may use
      Project = Struct.new(:name, :conventions, :last_id, :lists, :tables, keyword_init: true) do
        # @param plain [Hash{String=>Object}] as to_plain gives it
        # @return [Project]
        # @raise [Invalid] with everything that is wrong in it
        def self.from(plain)
          neighbours = Neighbours.new
          conventions = Conventions.from(plain["conventions"] || {})
          lists = (plain["lists"] || []).map { |list| ChoiceList.from(list) }.freeze
          project = new(
            name: plain["name"], conventions: conventions, last_id: plain["last_id"] || 0, lists: lists,
            tables: (plain["tables"] || []).map { |table| Table.from(table, neighbours, lists: lists, conventions: conventions) }.freeze
          ).freeze
          neighbours.settle(project.tables)
          problems = Inspection.new(project).problems
          raise Invalid, problems if problems.any?

          project
        end

        # @return [Hash{String=>Object}] for JSON; shares nothing with this project
        def to_plain
          plain = {"name" => name, "conventions" => conventions.to_plain, "last_id" => last_id}
          plain["lists"] = lists.map(&:to_plain) if lists.any?
          plain.merge("tables" => tables.map(&:to_plain))
        end

        # @return [Analysis::Upkeep] what is worked out from what
        def upkeep = tables.empty? ? Analysis::Upkeep.new([]) : tables.first.neighbours.upkeep

        # @return [ChoiceList, nil]
        def list(id) = lists.find { |list| list.id == id }

        # @return [Table, nil]
        def table(key) = tables.find { |table| table.key == key }
      end
    end
  end
end
