# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What keeps a list of choices from being used.
      module Choices
        MOST = 1_000

        module_function

        # @param label [String] of the field or list
        # @param values [Object] should be texts
        # @param retired [Object] should be some of them
        # @return [Array<Core::Problem>]
        def problems(label, values, retired)
          message = message(label, values, retired)
          message ? [Problem.new(part: "choices", message: message)] : []
        end

        def message(label, values, retired)
          return Messages["design.choices.choices_are_list_of_texts"] unless [values, retired].all?(Array)
          return Messages["design.choices.needs_at_least_one_choice", label: label] if values.empty?
          return Messages["design.choices.field_has_at_most_choices", most: MOST] if values.length > MOST
          unless values.all? { |choice| sound?(choice) }
            return Messages["design.choices.each_choice_is_short_text_of_up", most: Names::LONGEST_LABEL]
          end

          folded = values.map { |choice| Unicode.folded(choice) }
          double = values.find { |choice| folded.count(Unicode.folded(choice)) > 1 }
          return Messages["design.choices.stands_twice_among_choices", name: double] if double
          return Messages["design.choices.retired_choice_must_be_one_of_list"] unless (retired - values).empty?

          Messages["design.choices.all_choices_of_are_retired", label: label] if retired.length == values.length
        end

        def sound?(choice) = Names.label_problem(choice).nil? && choice == choice.strip
      end
    end
  end
end
