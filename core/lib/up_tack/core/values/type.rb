# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # What every field type answers. A type is a module of its own in values/ that extends this one; its file there
      # makes it known. It says by itself `key`, `label`, `kind`, `column`, `read`, `show` and a sample (`usual`,
      # `other`); for the rest it is asked these questions, of which others take what they need, and never for its name.
      #
      # key::     its name in the design, such as "yes_no"
      # label::   its name on screen
      # kind::    what it is in an expression (:text, :number, :date, :time, :moment, :yes_no, :link)
      # column::  the kind of column that stores it
      # read(raw, field, reading)::  what was typed or sent, as a value, nil for
      #   blank, or an Unreadable with a message for people; it reads what `dump` gives, too
      # show(value, field)::  the value in its reading format
      # usual(field)::  some value that such a field can have
      # other(field, now, today)::  another value than it has now, nil where none is known
      module Type
        # What a type must say by itself, with what it is.
        EXPECTED = {
          key: "key, its name in the design", label: "label, its name on screen",
          kind: "kind, what it is in an expression", column: "column, the kind of column that stores it",
          read: "read(raw, field, reading), what was typed as a value", show: "show(value, field), a value for reading",
          usual: "usual(field), some value that such a field can have",
          other: "other(field, now, today), another value than it has now"
        }.freeze

        # @return [String] a value as one would type it
        def edit(value, field) = show(value, field)

        # @return [Array<String>] what is said of a field of this type alone: "decimals", "choices" or "link"
        def settings = []

        # @return [Boolean] whether people can know a record by it
        def titles? = true

        # @return [Hash{String=>Symbol}] what of its reading format can be set: :text, :flag or :pattern, by name
        def format_parts = {}

        # @return [Array<String>] patterns to choose from
        def offered_patterns = []

        # @return [Array<Object>] values on which a reading format is shown
        def format_examples(_field, _now, _today) = []

        # To and from JSON, without loss.
        def dump(value) = value
        def load(stored) = stored

        # @return [Object] a value as a script has it, in JSON
        # @raise [ArgumentError, TypeError] for what is no value of the field
        def scripted(stored, field) = load(stored.to_s) || raise(ArgumentError, "#{field.label} can't be #{stored}")

        # Brings a computed value into what the field can hold.
        # @return [Object, nil, Unreadable]
        def coerce(value, field) = read(value, field, nil)

        # @return [Boolean] whether it is a text that people write; of one line, or of several
        def textual? = one_line? || long?
        def one_line? = false
        def long? = false

        # @return [Boolean] whether it is one of a list; one of two; a record of another table
        def listed? = false
        def yes_no? = false
        def link? = false

        # @return [Boolean] whether it is a number, a day, a day with a time, a time of day
        def numeric? = false
        def day? = false
        def moment? = false
        def clock? = false

        # @return [Boolean] whether its values have an order, so that they can lie between two others
        def ordered? = numeric? || day? || moment? || clock?

        BLANKNESS = ["is blank", "is not blank"].freeze
        ORDERS = ["=", "<>", "<", "<=", ">", ">=", *BLANKNESS].freeze
        TEXT_TESTS = ["=", "<>", "contains", "starts with", "ends with", "in", "not in", *BLANKNESS].freeze

        # @return [Array<String>] tests that a condition offers for it, in that order
        def relations = ordered? ? ORDERS : TEXT_TESTS

        # @return [String] by which input people change it: "line", "area" (several lines), "number" and "day" (a line
        #   with what helps), "choice", "answer" (yes or no) or "link"
        def editor = "line"

        # @return [Boolean] whether capitals make no difference when its values are compared
        def folded? = textual? || listed?

        # @return [String] what a value of it is, in a sentence about a field
        def described = label

        # @return [Numeric] the least by which two values differ
        def step(_field) = 1

        # @param _stored [Object] a value as a design keeps it
        # @return [Object, nil] another one, as a slip of the hand makes it
        def slip(_field, _stored) = nil

        # @return [Symbol] how a column holds it, see Store::ColumnCodec; :as_is where as it is
        def cell = :as_is

        # What it is in SQL, in JSON Schema and in Table Schema.
        def sql = "TEXT"
        def json_schema = {"type" => "string"}

        # @return [Hash{String=>Object}] the same of a value as the API answers and takes it
        def api_schema = json_schema

        def table_schema = "string"

        # @return [Array<String>] what the type has forgotten to say, in sentences
        def missing = EXPECTED.reject { |name, _| respond_to?(name) }.map { |_, words| "define #{words}" }
      end
    end
  end
end
