# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # A formula that has been checked and compiled. Made once, called often.
      class Formula
        # text:: as the builder wrote it
        # tree:: its nodes
        # type:: what it gives, :any where it can only be blank
        # references:: every field and table that it names, as References
        # reads:: keys of the fields whose present values it reads in this record
        # links:: keys of the links of this record along which it reads others
        # fleeting:: what in it changes with the hour or the person, in words
        # momentary:: what in it only a save can know, in words
        # warnings:: Problems that are allowed but surely not meant
        # objections:: Problems with which it still works, but could not be written today
        # counters:: how many digits each of its counters has
        attr_reader :text,
          :tree,
          :type,
          :references,
          :reads,
          :links,
          :fleeting,
          :momentary,
          :warnings,
          :objections,
          :counters

        # @param checker [Checker] that has been over the tree
        def initialize(text:, tree:, type:, scope:, checker:)
          @text = text
          @tree = tree
          @type = type
          @references = checker.references
          @reads = references.select(&:own?).map(&:key).uniq
          @links =
            references
              .filter_map do |each|
                if each.key && !each.before && each.steps.first&.kind == :link && each.steps.first.table == scope.key
                  each.steps.first.key
                end
              end
              .uniq
          @fleeting = checker.fleeting
          @momentary = checker.momentary
          @warnings = checker.warnings
          @objections = checker.objections
          @counters = checker.counters
          @scope = scope
        end

        # @param evaluation [Evaluation]
        # @return [Object, nil] the value, nil for blank. A result out of bounds
        #   is blank with a note in the evaluation.
        def call(evaluation)
          value = normalize(run.call(evaluation))
          evaluation.probe&.result(text, value)
          value
        rescue Numbers::TooLarge
          evaluation.note(:too_large, "the result has more than #{Numbers::KEPT_DIGITS} digits")
        rescue Unicode::TooLong
          evaluation.note(:too_long, "the text has more than #{Unicode::LONGEST} characters")
        end

        # @return [Object, nil] the value of a formula that names nothing; nil for all others
        def fixed_value = (call(Evaluation.new(values: {}, context: nil)) if references.empty? && fleeting.empty?)

        # @return [String] the formula in words, fields by their labels
        def words = Humanizer.new(@scope).humanize(tree)

        # @return [String] the formula with the values that went in
        def with_values(evaluation) = EvaluatedHumanizer.new(@scope, evaluation).humanize(tree)

        # @param evaluation [Evaluation]
        # @return [EvaluationTree::Part] the formula taken apart, each part with what it came to
        def parts(evaluation) = EvaluationTree.new(@scope, evaluation).build(tree)

        private

        # Made when it is first needed: most checks of a design need none.
        def run = @run ||= Compiler.new(@scope, text: text).compile(tree)

        # As it would be kept: numbers by their digits, and a text without anything to read is none.
        def normalize(value)
          case value
          when BigDecimal then Numbers.normalize(value)
          when String then value unless Unicode.blank?(value)
          else value
          end
        end
      end
    end
  end
end
