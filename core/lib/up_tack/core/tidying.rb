# frozen_string_literal: true

module UpTack
  module Core
    # Clean-ups of texts, put together from steps in a listed order.
    #
    #   steps = [{"do" => "trim"}, {"do" => "capitals", "just_so" => ["van", "der"]}]
    #   Tidying.run("  anna VAN der berg", steps)   # => "Anna van der Berg"
    module Tidying
      module_function

      # @param text [String]
      # @param steps [Array<Hash>] each with "do" and its settings
      # @return [String, nil] nil when nothing is left
      def run(text, steps)
        known = Steps.all
        tidied = steps.reduce(text) { |so_far, step| known.fetch(step["do"]).run(so_far, step) }
        tidied.match?(/\S/) ? tidied : nil
      end

      # @param steps [Array<Hash>]
      # @return [String, nil] what is wrong with them
      def problem(steps)
        return Messages["tidying.all.clean_up_needs_at_least_one_step"] if steps.empty?

        steps.each do |step|
          known = Steps.all[step["do"]]
          return Messages["tidying.all.there_is_no_clean_up_step", step: step["do"]] unless known

          wrong = known.problem(step)
          return wrong if wrong
        end
        nil
      end

      # @return [String] in words: "trimmed, capitals for each word"
      def words(steps) = steps.map { |step| Steps.all.fetch(step["do"]).words(step) }.join(", ")
    end
  end
end
