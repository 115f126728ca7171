# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # What all kinds that refuse a record have in common: their message, which
      # may have values in it; whether they refuse or only warn; and whether
      # records that were there before are let be.
      #
      # A kind answers besides what a Rule does: as_condition(table), a formula that is yes where it lets
      # a record pass; or, where no formula says it, test(table), an object that answers call(evaluation)
      # with a Verdict.
      class Validation < Rule
        SEVERITIES = %w[refuse warn].freeze
        OLD = %w[check let].freeze

        # What a test says of a record.
        # state:: :refused, :passed or :skipped
        # how:: in words, or a Proc that gives them for an evaluation
        Verdict =
          Struct.new(:state, :how) do
            # @param evaluation [Expression::Evaluation] that was judged
            # @return [String, Expression::Explanation, nil]
            def explain(evaluation) = how.is_a?(Proc) ? how.call(evaluation) : how
          end

        stage "validate"
        effect :check
        guide "validations"
        part "message", :text, label: "Message"
        part "saying", :formula, label: "Message with values"
        part "severity", :choice, label: "It", choices: [["refuse", "refuses"], ["warn", "only warns"]]
        part "old", :choice, label: "Existing records", choices: [["check", "are checked"], ["let", "are not checked"]]

        histories :validated

        def validates? = true
        def looks_at_value? = true

        # @return [Boolean] whether it holds for every record, so that a schema may say it
        def without_exception? = !warning? && !lets_old? && @parts["when"].nil?

        # @return [Boolean] whether it can be passed with a reason
        def warning? = @parts["severity"] == "warn"

        # @return [Boolean] whether it is passed over where none of its fields is changed
        def lets_old? = @parts["old"] == "let"

        def problems(table)
          missing = missing_field(table)
          return missing if missing.any?

          found = key_problems(table)
          found.any? ? found : common_problems(table) + own_problems(table)
        end

        def outcomes(_table) =
          [
            ["refused", warning? ? Wording["it warns"] : Wording["it refuses"], %w[refused]],
            ["passed", Wording["a record passes"], %w[passed]]
          ]

        # @return [String] what a clerk is told, where no values stand in it
        def message(table) = @parts["message"].to_s.strip.empty? ? sentence(table) : @parts["message"]

        def names(table) =
          [field, *key_parts, *formulas.keys.flat_map { |part| formula_names(table, part: part) }].uniq

        # What a test answers besides call(evaluation).
        module Judging
          # @return [Array<Expression::Formula>] by which it judges
          def formulas = [formula].compact

          # @return [Expression::Formula, nil] the first of them
          def formula = nil
        end

        # Whether a condition is met.
        ConditionTest =
          Struct.new(:formula, keyword_init: true) do
            include Judging

            def initialize(formula:)
              super
              why = ->(evaluation) { Expression::Explanation.explain([formula], evaluation) }
              @verdicts = {
                true => Verdict.new(:passed, why).freeze,
                false => Verdict.new(:refused, why).freeze,
                nil => Verdict.new(:skipped, nil).freeze
              }.freeze
            end

            def call(evaluation) = @verdicts[formula.call(evaluation)]
          end

        # What is asked of each record: `as_condition`, unless a kind has a test of its own.
        # @return [#call, Judging] answers an evaluation with a Verdict
        def test(table) =
          ConditionTest.new(formula: Expression.compile(as_condition(table), table.scope, expecting: :yes_no))

        # @return [Compiled]
        def compile(table)
          Compiled.new(
            rule: self,
            field: table.field(field),
            fields: fields(table),
            reads: reads(table),
            test: test(table),
            message: message(table),
            saying: @parts["saying"] ? compiled(table, part: "saying") : nil
          )
        end

        # A validation made ready to run.
        Compiled =
          Struct.new(:rule, :field, :fields, :reads, :test, :message, :saying, keyword_init: true) do
            # @param working [Save::SaveState]
            def apply(working)
              unread = working.unreadable_among(reads)
              return working.skip(rule, field, Wording.unread(unread)) if unread
              return working.skip(rule, field, Wording["not checked: none of its fields changed"]) if eased?(working)

              evaluation = working.evaluation
              verdict = test.call(evaluation)
              case verdict.state
              when :refused
                working.refuse(rule, field, message_for(evaluation), fields: fields) { verdict.explain(evaluation) }
              when :passed
                working.pass(rule, field) { verdict.explain(evaluation) }
              else
                working.skip(rule, field) { verdict.explain(evaluation) || working.why_blank(test.formula, evaluation) }
              end
            end

            # @return [String] the message, with the values of the record in it
            def message_for(evaluation)
              return message unless saying

              text = saying.call(evaluation)
              text.nil? ? message : Values.show(text)
            end

            private

            # An acknowledged warning is not given again until one of its fields changes. Restored records are
            # not treated as new.
            def eased?(working)
              return false unless rule.lets_old? || rule.warning?

              working.restoring? || (!working.new? && reads.none? { |key| working.changed?(key) })
            end
          end

        private

        # @return [Array<Problem>] those of the kind's own parts
        def own_problems(_table) = []

        def common_problems(table)
          found = []
          unless [nil, *SEVERITIES].include?(@parts["severity"])
            found << problem("severity", Messages["rules.validation.validation_can_refuse_or_warn"])
          end
          unless [nil, *OLD].include?(@parts["old"])
            found << problem("old", Messages["rules.validation.old_records_can_be_checked_check"])
          end
          found.concat(formula_problems(table, expecting: :text, part: "saying")) if @parts["saying"]
          found.concat(formula_problems(table, expecting: :yes_no, part: "when")) if @parts["when"]
          found
        end

        # @return [String] " when …" where it applies only under a condition
        def while_words(table)
          return "" unless @parts["when"]

          Wording[" when %{condition}", condition: Expression::Humanizer.new(table.scope).condition(tree("when"))]
        end

        # @return [Expression::Formula, nil]
        def condition(table) = @parts["when"] && compiled(table, part: "when")

        def condition_reads(table) = @parts["when"] ? formula_reads(table, part: "when") : []
      end
    end
  end
end
