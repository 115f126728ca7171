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
          return "The choices are a list of texts." unless [values, retired].all?(Array)
          return "#{label} needs at least one choice." if values.empty?
          return "A field has at most #{MOST} choices." if values.length > MOST
          unless values.all? { |choice| sound?(choice) }
            return "Each choice is a short text of up to #{Names::LONGEST_LABEL} characters, without spaces " \
              "at its ends."
          end

          folded = values.map { |choice| Unicode.folded(choice) }
          double = values.find { |choice| folded.count(Unicode.folded(choice)) > 1 }
          return "“#{double}” stands twice among the choices." if double
          return "A retired choice must be one of the list." unless (retired - values).empty?

          "All choices of #{label} are retired; new records need one that is not." if retired.length == values.length
        end

        def sound?(choice) = Names.label_problem(choice).nil? && choice == choice.strip
      end
    end
  end
end
