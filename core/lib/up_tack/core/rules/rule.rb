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
        extend Declarations

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
          @parts = self.class.part_keys.to_h { |part| [part, plain[part]] }.freeze
        end

        # @return [Hash{String=>Object}] without what is not set
        def to_plain
          {"id" => id, "kind" => kind, "field" => field}.merge(@parts.compact, {"name" => name, "note" => note}.compact)
        end

        # What rules of all kinds have besides their parts.
        TEXTUAL = %w[field name note].to_h { |key| [key, Part.new(key: key, type: :text)] }.freeze
        private_constant :TEXTUAL

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

        # What it is for, asked by those who must tell kinds apart: each kind answers yes to what it does.
        #
        # defaults?:: a new record begins with its value
        # masks?:: it writes a text as it is typed; tidies?:: it corrects a text
        # fills?, decides?, copies?:: it sets fields: by formulas, by the rows of a table, from a linked record
        # narrows?:: it leaves open only some choices
        # numbers?:: it counts
        # validates?:: it refuses records or warns: when a field is blank (requires?), by a condition (checks?),
        #   by the other records of its table (compares_records?) or of another one (looks_up?), by the record
        #   as it was (locks?)
        # field_state?:: it shows and hides fields in forms
        %i[
          defaults? masks? tidies? fills? decides? copies? narrows? numbers? validates? requires? checks?
          compares_records? looks_up? locks? field_state?
        ].each { |question| define_method(question) { false } }

        # @return [Boolean] whether it writes what happened to the record: by adding lines, or by counting changes
        def logs? = stage == "log"
        def adds_lines? = false
        def counts_changes? = false

        # @return [Boolean] whether it may write who did something
        def names_person? = to_plain.to_s.include?("user.name")

        # @return [Boolean] whether it judges the value of its field, a blank one too
        def looks_at_value? = false

        # @return [Array<Object>] the values that it names for its field
        def listed_values(_table) = []

        # @return [Array(Integer, Integer), nil] how long a text of its field is at least and at most, either may be nil
        def lengths = nil

        # What it says of its field alone, for schemas: required, unique (:exactly or :folded), least, greatest,
        # among (values), shortest, longest, default, multiple.
        # @return [Hash{Symbol=>Object}, nil] nil where that is not the whole of it
        def constraint(_table) = nil

        # @return [Hash{String=>Object}] what it says of its field in JSON Schema, besides its sentence
        def json_schema(_table) = {}

        # @return [String, nil] a formula that is yes where it lets a record pass
        def as_condition(_table) = nil

        # @param point [String] key of one of its outcomes
        # @param search [Bench::BoundaryCases::PointCases]
        # @return [Array<Hash{String=>Object}>] changes of a record that show it
        def cases(point, search)
          return search.public_send(self.class.shown_by, self, point) if self.class.shown_by

          condition = as_condition(search.table)
          condition ? search.meeting(condition, point == "passed") : []
        end

        # @return [Boolean] whether it only warns, and whether it lets records be that were there before it
        def warning? = false
        def lets_old? = false

        # @return [Boolean] whether it looks at other records, be it without naming them in a formula
        def looks_at_other_records? = compares_records? || looks_up? || locks?

        # @return [Boolean] whether what it does shows only on a record that was there before
        def needs_stored_record? = locks? || logs?

        # What each kind answers for itself, see Declarations.
        def words(_table) = raise(NotImplementedError)
        def sentence(_table) = raise(NotImplementedError)
        def compile(_table) = raise(NotImplementedError)

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

        # @param _reading [ParseContext] by which to understand what the builder typed
        # @return [Rule] the same with fixed values as they are kept
        def settled(_table, _reading) = self

        # @return [Array<Problem>] parts that are not of the right shape, or too long
        def shape_problems
          named = {"field" => field, "name" => name, "note" => note}.map { |key, text| [TEXTUAL.fetch(key), text] }
          (named + self.class.parts.map { |part| [part, @parts[part.key]] })
            .filter_map { |part, value| part.problem(value) }
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

          plain.merge(plain.slice(*self.class.field_keys).transform_values { |named| under_new_name(named, key, to) })
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

        # @param _part [String] one of its formulas
        # @return [String, nil] key of the field that takes what it gives
        def taker(_part) = nil

        # @return [Hash{String=>String}] its formulas, by where they stand, such as "when" or "sets.0.to"
        def formulas = @parts.slice(*self.class.formula_keys).compact

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

        def key_parts = self.class.field_keys.flat_map { |part| Array(@parts[part]) }

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
