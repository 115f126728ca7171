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

        # @return [Boolean] whether such a rule can be pinned on a field
        def self.suits?(_field, _table) = true

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

        # @return [Boolean] whether it alone gives its field values, so that nobody types them
        def owns? = false

        def kind = self.class.kind
        def stage = self.class.stage

        # @return [Array<String>] keys of the fields whose values it needs
        def reads(_table) = []

        # @return [Array<String>] keys of the fields after which it has to act
        def awaits(table) = reads(table)

        # @return [Array<String>] keys of the fields that it sets
        def writes = []

        # @return [Boolean] whether it acts when a field that it reads changes
        def moved_by_change? = false

        # @return [Boolean] whether `old.` in its formulas tells of the record before this save
        def reads_before? = false

        # @return [Boolean] whether no record is without a value in its field
        def fills_always? = false

        # @return [Boolean] whether its field is calculated by a formula
        def calculates? = false

        # @return [Boolean] whether its field always equals a formula
        def follows? = false

        # @return [Masks::Mask, nil] by which the texts of its field are written
        def mask = nil

        # @return [Array(Object, Object), nil] the lowest and the highest value that it lets its field have, as
        #   far as they are fixed; either may be nil, and so may both
        def bounds(_table) = nil

        # @return [Boolean] whether the change log tells what it would have written on records that exist
        def backfills? = false

        # @return [Integer] how far a rule that sets nothing looks: 0 at one field, 1 across several,
        #   2 at other records
        def reach(table) = (fields(table).length > 1) ? 1 : 0

        # @return [Array<String>] keys of stages at which it acts, on the board one column each
        def stages = [stage]

        # What it does at other stages than its own.
        # @return [Hash{String=>#apply}] by key of the stage
        def other_stages(_table) = {}

        # @return [Array<Expression::Nodes::Node>] conditions without which it does nothing
        def conditions(_table) = %w[when reaches].filter_map { |part| tree(part) if formulas[part] }

        # What it can do with a record, each of which should be seen once before it counts
        # as proven.
        # @return [Array<Array(String, String, Array<String>)>] a key, words, and the marks
        #   by which a Bench::Probe tells that it happened
        def outcomes(_table) =
          [["acts", "it acts", %w[set cleared]], ["idle", "it leaves a record as it is", %w[skipped]]]

        # @return [Hash{String=>String}] its formulas by where they stand, for whoever looks into them
        def formula_parts = formulas

        # @return [Array<String>] keys of the fields on whose thread it is pinned
        def fields(_table) = [field]

        # @return [Array<String>] keys of all fields it names, which must stay
        def names(table) = fields(table)

        # @return [String] what its tack on the board says: the name, or the rule itself
        def tack(table) = name || words(table)

        # @param reading [ParseContext] by which to understand what the builder typed
        # @return [Rule] the same with fixed values as they are kept
        def settled(_table, _reading) = self

        # Texts that a rule keeps beside its formula have at most this many characters.
        LONGEST_TEXT = 2_000

        # The parts that are formulas, and those that are keys of fields of its table.
        FORMULAS = %w[formula when saying low high series reaches].freeze
        KEYS = %w[by with locked watch tick outputs].freeze

        # @return [Array<Problem>] parts that are not of the right shape, or too long
        def shape_problems
          {"field" => field, "name" => name, "note" => note}.merge(@parts)
            .filter_map { |part, value| PartTypes.problem(part, value) }
            .first(1)
        end

        # @return [Array<Expression::Reference>] every field and table that it names
        def references(table)
          found = formulas.keys.flat_map { |part| compiled(table, part: part).references }
          found +
            key_parts.map { |key| Expression::Reference.new(table: table.key, key: key, steps: [], before: false) }
        end

        # @param table [Design::Table] its own, before the renaming
        # @param of [String] key of the table in which something is renamed
        # @param key [String, nil] key of the field; nil when the table itself is renamed
        # @return [Hash{String=>Object}] the rule as a design has it, under the new name
        def renamed(table, of:, key:, to:)
          plain = to_plain
          plain["field"] = to if table.key == of && field == key
          formulas.each do |part, text|
            put(
              plain,
              part,
              Expression::Renaming.of(text, compiled(table, part: part).references, table: of, key: key, to: to)
            )
          end
          return plain if key.nil? || table.key != of

          plain.merge(plain.slice(*KEYS).transform_values { |named| under_new_name(named, key, to) })
        end

        # @param table [Design::Table] its own, before
        # @param renamed [Design::RenamedChoices]
        # @return [Hash{String=>Object}] the rule as a design has it, with choices under their new names
        def with_choices(table, renamed)
          # What stands within its parts is not to be changed in the rule itself.
          plain = Marshal.load(Marshal.dump(to_plain))
          formulas.each { |part, text| put(plain, part, renamed.formula(text, table, given_to: taker(part))) }
          plain
        end

        private

        # @param part [String] one of its formulas
        # @return [String, nil] key of the field that takes what it gives
        def taker(_part) = nil

        # @return [Hash{String=>String}] its formulas, by where they stand, such as "when" or "sets.0.to"
        def formulas = @parts.slice(*FORMULAS).compact

        # Puts a text where one of its formulas stands in the plain rule.
        def put(plain, part, text)
          *way, last = part.split(".").map { |step| step.match?(/\A\d+\z/) ? step.to_i : step }
          (way.empty? ? plain : plain.dig(*way))[last] = text
        end

        # @param named [String, Array<String>] keys of fields
        def under_new_name(named, key, to)
          return named.map { |each| under_new_name(each, key, to) } if named.is_a?(Array)

          (named == key) ? to : named
        end

        def key_parts = KEYS.flat_map { |part| Array(@parts[part]) }

        # @return [Array<Problem>] of parts that name fields which are not there
        def key_problems(table)
          gone = key_parts.find { |key| table.field(key).nil? }
          gone ? [Problem.new(part: "field", message: "There is no field `#{gone}` in #{table.label}.")] : []
        end

        def problem(part, message) = Problem.new(part: part, message: message)

        def objection(part, each)
          Problem.new(part: part, message: each.message, from: each.from, to: each.to, tolerable: true)
        end

        # @return [Boolean] whether a rule of this kind stands before it on the same field
        def doubled?(table)
          table
            .rules
            .take_while { |other| !other.equal?(self) }
            .any? { |other| other.instance_of?(self.class) && other.field == field }
        end

        def missing_field(table)
          return [] if table.field(field)

          [Problem.new(part: "field", message: "There is no field `#{field}` in #{table.label}.")]
        end

        # @return [Array<Problem>] those of the formula
        def formula_problems(table, expecting:, part: "formula")
          formula = compiled(table, expecting: expecting, part: part)
          found = (expecting == :link) ? target_problems(table, formula, part: part) : []
          found + formula.objections.map { |each| objection(part, each) }
        rescue Expression::Invalid => e
          e.problems.map { |each| Problem.new(part: part, message: each.message, from: each.from, to: each.to) }
        end

        # A link must lead to the table that its field points to.
        # @param key [String] of the field
        def target_problems(table, formula, part: "formula", key: field)
          wrong = Expression::LinkTargets.new(table.scope).of(formula.tree) - [table.field(key).target]
          return [] if wrong.empty?

          labels = [wrong.first, table.field(key).target].map { |target| table.neighbours.tables.fetch(target).label }
          [
            Problem.new(
              part: part,
              message: "This leads to #{labels.first}; #{table.field(key).label} links to #{labels.last}.",
              from: formula.tree.from,
              to: formula.tree.to
            )
          ]
        end

        def compiled(table, expecting: nil, part: "formula") =
          Expression.compile(formulas[part].to_s, table.scope, expecting: expecting, counting: counting?(part))

        # @return [Boolean] whether `counter(…)` may stand in a part
        def counting?(_part) = false

        def formula_reads(table, part: "formula") = compiled(table, part: part).reads

        # Keys of the fields of this table that the formula names, `old.` or not.
        def formula_names(table, part: "formula")
          compiled(table, part: part)
            .references
            .select { |each| each.key && each.steps.empty? && each.table == table.key }
            .map(&:key)
            .uniq
        end

        def tree(part = "formula") = Expression.parse(formulas[part])
      end
    end
  end
end
