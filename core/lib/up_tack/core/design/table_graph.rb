# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The tables of one project, as each of them knows the others: where links
      # lead, what links back, and what is worked out from what. Filled once,
      # when the project is built.
      class TableGraph
        # @return [Hash{String=>Table}] by key
        attr_reader :tables

        # @return [Conventions] how the firm writes
        attr_reader :conventions

        # @return [Boolean] whether rules may have what only earlier versions let them have
        attr_reader :tolerant

        # @param conventions [Conventions]
        # @param tolerant [Boolean]
        def initialize(conventions = Conventions.from({}), tolerant: false)
          @conventions = conventions
          @tolerant = tolerant
          @tables = {}
          @scopes = {}
        end

        # @param tables [Array<Table>] all of them
        def register(tables) = @tables = tables.to_h { |table| [table.key, table] }.freeze

        # @return [Array<Core::Problem>] what the design has from an earlier version
        def tolerated = @tolerated || []

        # @param problems [Array<Core::Problem>]
        def tolerate(problems)
          @tolerated = problems
          @suspended = problems.flat_map { |problem| problem.stuck.to_a }.freeze
        end

        # @return [Boolean] whether a rule can't act, as it is since an earlier version
        def suspended?(rule) = !@suspended.nil? && @suspended.include?(rule.id)

        # @return [Analysis::Placement] at which stage each rule of a table acts
        def placement(table) = (@placements ||= {})[table.key] ||= Analysis::Placement.new(table)

        # @return [Expression::Scope]
        def scope(table) = @scopes[table.key] ||= build(table)

        # @return [Analysis::DependencyGraph]
        def upkeep = @upkeep ||= Analysis::DependencyGraph.new(tables.values)

        # @return [Linting::RuleLinter] worked out when somebody first asks
        def notices(table) = (@notices ||= {})[table.key] ||= Linting::RuleLinter.new(table)

        # @return [Array<Array(Table, Field)>] tables with their links to a table
        def links_to(key)
          tables.values.flat_map do |table|
            table.fields.select { |field| field.link? && field.target == key }.map { |field| [table, field] }
          end
        end

        private

        def build(table)
          Expression::Scope.new(
            table.fields.map { |field| entry(table, field) },
            key: table.key,
            label: table.label,
            one: table.one,
            title: table.title_field&.key,
            reverses: -> { reverses(table) },
            aliases: table.fields.flat_map { |field| field.aliases.map { |old| [old, field.key] } }.to_h,
            names: [table.key, *table.aliases],
            conventions: conventions,
            tolerant: tolerant
          )
        end

        def entry(table, field)
          Expression::Scope::Entry.new(
            key: field.key, label: field.label, type: field.kind, choices: (field.choices if field.listed?),
            show: ->(value) { field.show(value) }, target: (-> { scope(tables.fetch(field.target)) } if field.link?),
            reverse: (field.reverse.to_s == "") ? table.label : field.reverse, computed: computed(table, field)
          )
        end

        # Works out a field that a record does not bring along: one that is never
        # kept, or that a new record has yet to be given.
        def computed(table, field)
          rule = table.calculation(field.key) or return
          return if rule.once?

          lambda do |evaluation|
            formula = upkeep.calculation(table.key, field.key).formula
            value = field.coerce(formula.call(evaluation))
            value unless value.is_a?(Values::Unreadable)
          end
        end

        def reverses(table)
          links_to(table.key).map do |other, field|
            Expression::Scope::Reverse.new(scope: scope(other), link: scope(other)[field.key])
          end
        end
      end
    end
  end
end
