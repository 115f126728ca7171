# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # What every rule kind has in common. A rule is immutable and knows how to
      # say itself in words; `compile` gives what a save runs.
      #
      # A kind answers: kind, stage (class methods); problems(table),
      # reads(table), writes, fields(table), words(table), sentence(table) and
      # compile(table), whose result answers apply(working).
      class Rule
        # What each kind keeps in the design besides id, kind, field and note.
        PARTS = [].freeze

        # id:: such as "r12"
        # field:: key of the field it is pinned on
        # name:: the builder's short name for the tack, nil to let it say itself
        # note:: the builder's own words, nil when there are none
        attr_reader :id, :field, :name, :note

        # @param plain [Hash{String=>Object}]
        def self.from(plain) = new(plain)

        def initialize(plain)
          @id = plain["id"]
          @field = plain["field"]
          @name = plain["name"].to_s.strip.empty? ? nil : plain["name"]
          @note = plain["note"].to_s.strip.empty? ? nil : plain["note"]
          @parts = self.class::PARTS.to_h { |part| [part, plain[part]] }.freeze
        end

        # @return [Hash{String=>Object}] without what is not set
        def to_plain
          {"id" => id, "kind" => kind, "field" => field}.merge(@parts.compact, {"name" => name, "note" => note}.compact)
        end

        def kind = self.class.kind
        def stage = self.class.stage

        # @return [Array<String>] keys of the fields whose values it needs
        def reads(_table) = []

        # @return [Array<String>] keys of the fields that it sets
        def writes = []

        # @return [Array<String>] keys of the fields on whose thread it is pinned
        def fields(_table) = [field]

        # @return [Array<String>] keys of all fields it names, which must stay
        def names(table) = fields(table)

        # @return [String] what its tack on the board says: the name, or the rule itself
        def tack(table) = name || words(table)

        # @param reading [Reading] by which to understand what the builder typed
        # @return [Rule] the same with fixed values as they are kept
        def settled(_table, _reading) = self

        # Texts that a rule keeps beside its formula have at most this many characters.
        LONGEST_TEXT = 2_000

        # @return [Array<Design::Problem>] parts that are no texts, or too long
        def shape_problems
          texts = {"field" => field, "name" => name, "note" => note}.merge(@parts.slice("formula", "message", "keeping"))
          wrong = texts.find { |part, text| !text.nil? && !(text.is_a?(String) && text.length <= ((part == "formula") ? Expression::LONGEST * 4 : LONGEST_TEXT)) }
          return [] unless wrong

          [Design::Problem.new(part: wrong.first, message: "The #{wrong.first} of a rule is a text of up to 2,000 characters.")]
        end

        # @return [Array<Expression::Reference>] every field and table that its formula names
        def references(table) = @parts["formula"] ? compiled(table, expecting: nil).references : []

        # @param table [Design::Table] its own, before the renaming
        # @param of [String] key of the table in which something is renamed
        # @param key [String, nil] key of the field; nil when the table itself is renamed
        # @return [Hash{String=>Object}] the rule as a design has it, under the new name
        def renamed(table, of:, key:, to:)
          plain = to_plain
          plain["field"] = to if table.key == of && field == key
          plain["formula"] = Expression::Renaming.of(plain["formula"], references(table), table: of, key: key, to: to) if plain["formula"]
          plain
        end

        private

        def missing_field(table)
          return [] if table.field(field)

          [Design::Problem.new(part: "field", message: "There is no field `#{field}` in #{table.label}.")]
        end

        # @return [Array<Design::Problem>] those of the formula
        def formula_problems(table, expecting:)
          formula = compiled(table, expecting: expecting)
          (expecting == :link) ? target_problems(table, formula) : []
        rescue Expression::Invalid => e
          e.problems.map { |each| Design::Problem.new(part: "formula", message: each.message, from: each.from, to: each.to) }
        end

        # A link must lead to the table that its field points to.
        def target_problems(table, formula)
          wrong = Expression::LinkTargets.new(table.scope).of(formula.tree) - [table.field(field).target]
          return [] if wrong.empty?

          labels = [wrong.first, table.field(field).target].map { |key| table.neighbours.tables.fetch(key).label }
          [Design::Problem.new(part: "formula", message: "This leads to #{labels.first}; #{table.field(field).label} links to #{labels.last}.", from: formula.tree.from, to: formula.tree.to)]
        end

        def compiled(table, expecting:) = Expression.compile(@parts["formula"].to_s, table.scope, expecting: expecting)

        def formula_reads(table) = compiled(table, expecting: nil).reads

        # Keys of the fields of this table that the formula names, `old.` or not.
        def formula_names(table)
          compiled(table, expecting: nil).references.select { |each| each.key && each.steps.empty? && each.table == table.key }.map(&:key).uniq
        end

        def tree = Expression.parse(@parts["formula"])
      end
    end
  end
end
