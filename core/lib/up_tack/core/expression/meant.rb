# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # What somebody meant who wrote a field as it is shown, or a choice without quotes: texts of several
      # words that a formula can't be split into.
      class Meant
        QUOTED = /"(?:[^"]|"")*(?:"|\z)/

        # @return [String] what to do with a choice that stands in a formula without quotes
        def self.quoting(choice, entry) =
          Messages["expression.meant.is_choice_of", choice: choice, label: entry.label]

        # @param scope [Scope]
        def initialize(scope)
          @scope = scope
        end

        # @param text [String] a formula with a mistake
        # @return [Problem, nil] at the place of what was meant
        def problem(text)
          unquoted = text.gsub(QUOTED) { |quoted| "\0" * quoted.length }
          label(unquoted) || choice(unquoted)
        end

        private

        def label(unquoted)
          entry, place = first(@scope.entries.values.reject { |entry| word?(entry.label) }, unquoted, &:label)
          entry &&
            Problem.new(
              message: Messages["expression.all.is_called_in_formulas", label: entry.label, key: entry.key],
              from: place,
              to: place + entry.label.length
            )
        end

        def choice(unquoted)
          pairs = @scope.entries.values.flat_map { |entry| (entry.choices || []).map { |choice| [entry, choice] } }
          (entry, choice), place = first(pairs.reject { |_, choice| word?(choice) }, unquoted, &:last)
          entry && Problem.new(message: Meant.quoting(choice, entry), from: place, to: place + choice.length)
        end

        # The longest that stands there as whole words, and where.
        def first(all, unquoted)
          all.sort_by { |each| -yield(each).length }.each do |each|
            place = unquoted.index(/(?<![\p{L}\p{N}_])#{Regexp.escape(yield(each))}(?![\p{L}\p{N}_])/i)
            return [each, place] if place
          end
          nil
        end

        # What a formula takes for one name; such a mistake is told where it stands.
        def word?(text) = text.match?(/\A[\p{L}_][\p{L}\p{M}\p{N}_]*\z/)
      end
    end
  end
end
