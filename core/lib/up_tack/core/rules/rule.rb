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
          texts = {"field" => field, "name" => name, "note" => note}.merge(@parts.slice("formula", "message"))
          wrong = texts.find { |part, text| !text.nil? && !(text.is_a?(String) && text.length <= ((part == "formula") ? Expression::LONGEST * 4 : LONGEST_TEXT)) }
          return [] unless wrong

          [Design::Problem.new(part: wrong.first, message: "The #{wrong.first} of a rule is a text of up to 2,000 characters.")]
        end

        # @return [Rule] the same with one field under another key
        def renamed(old_key, new_key)
          plain = to_plain
          plain["field"] = new_key if field == old_key
          plain["formula"] = Expression::Reads.renamed(plain["formula"], old_key, new_key) if plain["formula"]
          Rules.from(plain)
        end

        private

        def missing_field(table)
          return [] if table.field(field)

          [Design::Problem.new(part: "field", message: "There is no field `#{field}` in #{table.label}.")]
        end

        # @return [Array<Design::Problem>] those of the formula
        def formula_problems(table, expecting:)
          compiled(table, expecting: expecting)
          []
        rescue Expression::Invalid => e
          e.problems.map { |each| Design::Problem.new(part: "formula", message: each.message, from: each.from, to: each.to) }
        end

        def compiled(table, expecting:) = Expression.compile(@parts["formula"].to_s, table.scope, expecting: expecting)

        def formula_reads = Expression::Reads.of(Expression.parse(@parts["formula"]))

        def formula_names = Expression::Reads.named_in(Expression.parse(@parts["formula"]))

        def tree = Expression.parse(@parts["formula"])
      end
    end
  end
end
