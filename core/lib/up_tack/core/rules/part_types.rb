# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # What each part of a rule must look like before anything else is asked of it.
      module PartTypes
        LONGEST_TEXT = 2_000
        LONGEST_LIST = 1_000

        TEXT = ->(value) { value.is_a?(String) && value.length <= LONGEST_TEXT }
        FORMULA = ->(value) { value.is_a?(String) && value.length <= Expression::LONGEST * 4 }
        TEXTS = ->(value) { value.is_a?(Array) && value.length <= LONGEST_LIST && value.all?(&TEXT) }
        WHOLE = ->(value) { value.is_a?(Integer) && value.between?(0, 10**12) }
        FLAG = ->(value) { [true, false].include?(value) }
        STEPS = ->(value) do
          value.is_a?(Array) && value.length <= 40 &&
            value.all? { |step| step.is_a?(Hash) && step["do"].is_a?(String) }
        end
        MAP = ->(value) do
          value.is_a?(Hash) && value.length <= LONGEST_LIST &&
            value.all? { |key, texts| TEXT.call(key) && TEXTS.call(texts) }
        end
        SETS = ->(value) do
          value.is_a?(Array) && value.length <= 40 &&
            value.all? do |set|
              set.is_a?(Hash) && TEXT.call(set["field"]) && [set["to"], set["else"]].compact.all?(&FORMULA)
            end
        end
        ROWS = ->(value) { value.is_a?(Array) && value.length <= LONGEST_LIST && value.all?(&TEXTS) }
        ANYTHING = ->(_) { true }

        ALL = {
          **%w[formula when saying low high series reaches].to_h { |part| [part, FORMULA] },
          **%w[values with locked watch inputs outputs].to_h { |part| [part, TEXTS] },
          **%w[least most start step].to_h { |part| [part, WHOLE] },
          **%w[case by_hand follow clears only_blank overrules enforced whole].to_h { |part| [part, FLAG] },
          "steps" => STEPS, "map" => MAP, "sets" => SETS, "rows" => ROWS, "value" => ANYTHING
        }.freeze

        WORDS = {
          TEXT => "a text of up to 2,000 characters",
          FORMULA => "a text of up to 2,000 characters",
          TEXTS => "a list of texts",
          WHOLE => "a whole number",
          FLAG => "yes or no",
          STEPS => "a list of steps",
          MAP => "a list of texts for each value",
          SETS => "a list of up to 40 fields with what each is set to",
          ROWS => "a list of up to 1,000 rows of texts"
        }.freeze

        module_function

        # @return [Problem, nil]
        def problem(part, value)
          shape = ALL.fetch(part, TEXT)
          return if value.nil? || shape.call(value)

          Problem.new(part: part, message: "The #{part} of a rule is #{WORDS.fetch(shape)}.")
        end
      end
    end
  end
end
