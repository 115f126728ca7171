# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # Something that rules of a kind keep in the design besides id, kind, field, name and note.
      # key:: under which a design has it, such as "low"
      # type:: one of Part::TYPES
      # label, hint:: in words, for the editor that all kinds have in common
      # choices:: for :choice: [key, label] of each, the usual one first; nil for "nothing is said". Two without
      #   labels are a box to tick
      # usual:: for :whole: what it is where nothing is said
      # slips:: for :choice: those that a slip of the hand may put in its place, all of them mostly
      # only:: parts with the values that they must have for this one to mean anything
      Part =
        Struct.new(:key, :type, :label, :hint, :choices, :usual, :slips, :only, keyword_init: true) do
          def initialize(key:, type:, label: nil, hint: nil, choices: [], usual: nil, slips: nil, only: {})
            Part::TYPES.fetch(type) {
              raise Incomplete, Messages["rules.part.there_is_no_type_of_part", type: type.inspect]
            }
            super(key: key, type: type, label: label, hint: hint, choices: choices, usual: usual,
                  slips: slips || choices.map(&:first), only: only)
          end

          def label = self[:label] && Wording[self[:label]]
          def hint = self[:hint] && Wording[self[:hint]]

          # @return [Array<Array(String, String)>] as declared, in the language of the messages
          def said_choices = choices.map { |key, label| [key, label && Wording[label]] }

          def formula? = %i[formula condition].include?(type)

          # @return [Boolean] whether it names fields of its own table, by their keys
          def keys? = %i[field fields].include?(type)

          # @return [Boolean] whether it is a list, each of whose entries can be forgotten
          def list? = %i[texts fields steps].include?(type)

          # @return [Array<String, nil>] what a :choice can be, the usual one first
          def options = choices.map(&:first)

          # @param attributes [Hash{String=>Object}] a rule as a design has it
          # @return [Boolean] whether the part means anything there
          def meant?(attributes) = only.all? { |other, value| attributes[other] == value }

          # @return [Problem, nil] what is wrong with the shape of a value
          def problem(value)
            shape = Part::TYPES.fetch(type)
            return if value.nil? || shape.sound.call(value)

            Problem.new(part: key, message: Messages["rules.part.of_rule_is", key: key, shape: shape.words])
          end

          # @return [Hash{String=>Object}] JSON Schema of its values
          def schema = Part::TYPES.fetch(type).schema
        end

      # What a part of one type must look like before anything else is asked of it.
      # sound:: called with a value; words:: what it is, in words; schema:: as JSON Schema
      Part::Type = Struct.new(:sound, :words, :schema)

      Part::LONGEST_TEXT = 2_000
      Part::LONGEST_LIST = 1_000
      Part::MOST_SETS = 40

      text = ->(value) { value.is_a?(String) && value.length <= Part::LONGEST_TEXT }
      formula = ->(value) { value.is_a?(String) && value.length <= Expression::LONGEST * 4 }
      texts = ->(value) { value.is_a?(Array) && value.length <= Part::LONGEST_LIST && value.all?(&text) }
      steps = ->(value) do
        value.is_a?(Array) && value.length <= Part::MOST_SETS &&
          value.all? { |step| step.is_a?(Hash) && step["do"].is_a?(String) }
      end
      map = ->(value) do
        value.is_a?(Hash) && value.length <= Part::LONGEST_LIST &&
          value.all? { |key, all| text.call(key) && texts.call(all) }
      end
      sets = ->(value) do
        value.is_a?(Array) && value.length <= Part::MOST_SETS &&
          value.all? do |set|
            set.is_a?(Hash) && text.call(set["field"]) && [set["to"], set["else"]].compact.all?(&formula)
          end
      end

      a_text = {"type" => "string"}.freeze
      some_texts = {"type" => "array", "items" => a_text}.freeze
      in_text = "a text of up to 2,000 characters"
      of_text = Part::Type.new(text, in_text, a_text)
      of_formula = Part::Type.new(formula, in_text, a_text)
      of_texts = Part::Type.new(texts, "a list of texts", some_texts)

      Part::TYPES = {
        # A formula, and one that is yes or no.
        formula: of_formula, condition: of_formula,
        text: of_text,
        # One of a few words.
        choice: of_text,
        # What a text must look like, see Masks.
        mask: of_text,
        # The key of a table, and that of a field of it.
        table: of_text, table_field: of_text,
        # The key of a field of the rule's own table, and those of several.
        field: of_text, fields: of_texts,
        texts: of_texts,
        # Formulas, one a column of a decision table.
        inputs: of_texts,
        whole:
          Part::Type.new(
            ->(value) { value.is_a?(Integer) && value.between?(0, 10**12) },
            "a whole number",
            {"type" => "integer"}.freeze
          ),
        flag: Part::Type.new(->(value) { [true, false].include?(value) }, "yes or no", {"type" => "boolean"}.freeze),
        # A value of the rule's field.
        value: Part::Type.new(->(_) { true }, "a value", {}.freeze),
        # The steps of a clean-up.
        steps:
          Part::Type.new(
            steps,
            "a list of steps",
            {
              "type" => "array",
              "items" => {"type" => "object", "required" => %w[do], "properties" => {"do" => a_text}}
            }.freeze
          ),
        # Texts for each value of another field.
        map:
          Part::Type.new(
            map,
            "a list of texts for each value",
            {"type" => "object", "additionalProperties" => some_texts}.freeze
          ),
        # What a fill sets.
        sets:
          Part::Type.new(
            sets,
            "a list of up to 40 fields with what each is set to",
            {
              "type" => "array",
              "items" => {
                "type" => "object", "additionalProperties" => false, "required" => %w[field to],
                "properties" => {"field" => a_text, "to" => a_text, "else" => {"type" => %w[string null]}}
              }
            }.freeze
          ),
        # The rows of a decision table.
        rows:
          Part::Type.new(
            ->(value) { value.is_a?(Array) && value.length <= Part::LONGEST_LIST && value.all?(&texts) },
            "a list of up to 1,000 rows of texts",
            {"type" => "array", "items" => some_texts}.freeze
          )
      }.freeze
    end
  end
end
