# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # What others ask a rule, so that nobody has to know its kind. Here are the answers of a rule that says
      # nothing else; a kind says what is different about it.
      module Questions
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

        # @return [Array<String>] keys of the fields after a change of which it writes down what happened
        def awaited(_table) = []

        def counts_changes? = false

        # @return [Boolean] whether it may write who did something
        def names_person? = attributes.to_s.include?("user.name")

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

        # @param _classes [Hash{String=>String}] see Masks::Mask#expression
        # @return [String, nil] a regular expression as which it has its field written
        def text_expression(_table, _classes) = nil

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
          [["acts", "it runs", %w[set cleared]], ["idle", "it changes nothing", %w[skipped]]]

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
        def normalized(_table, _reading) = self
      end
    end
  end
end
