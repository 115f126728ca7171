# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # A field whose value comes from a formula. How it is kept is one of three:
        #
        # always:: equal to the formula at all times, kept with the record
        # shown::  worked out whenever somebody looks, never kept
        # once::   worked out when the record is made, or when its inputs are first
        #          there; after that a plain value
        class Calculation < Rule
          kind "calculation",
            label: "Calculated",
            about: "Calculates the value with a formula.",
            editor: :own,
            begins: {"formula" => "", "keeping" => "always"},
            needs: [%w[formula]]
          stage "calculate"
          guide "calculated-field"
          effect :calculation
          part "formula", :formula
          part "keeping",
            :choice,
            choices: [["always", "kept"], ["shown", "not stored"], ["once", "once"]],
            slips: %w[always once]
          shown_by :calculated
          histories :calculated

          KEEPING = %w[always shown once].freeze

          def self.suits?(field, _table) = !field.link?

          # @return [String] one of KEEPING
          def keeping = @parts["keeping"] || "always"

          def always? = keeping == "always"
          def shown? = keeping == "shown"
          def once? = keeping == "once"
          def calculates? = true
          def follows? = !once?

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless KEEPING.include?(keeping)
              return [problem("keeping", Messages["rules.calculation.calculated_field_is_kept_always_shown"])]
            end
            if doubled?(table)
              return [
                problem(
                  "field",
                  Messages["rules.calculation.is_worked_out_by_rule_already", field: table.field(field).label]
                )
              ]
            end

            if table.field(field).link?
              return [problem("field", Messages["rules.calculation.link_is_picked_not_worked_out"])]
            end

            found = formula_problems(table, expecting: table.field(field).kind)
            (found.any? || once?) ? found : of_lasting(table)
          end

          def reads(table) = formula(table).reads
          def writes = [field]
          def names(table) = [field, *formula_names(table)].uniq

          # @return [Expression::Formula]
          # @raise [Expression::Invalid]
          def formula(table) = compiled(table, expecting: table.field(field)&.kind)

          def words(table) = Expression::Humanizer.new(table.scope).humanize(tree)

          def sentence(table)
            label = table.field(field).label
            case keeping
            when "once"
              Messages["rules.calculation.is_worked_out_once", label: label, words: words(table)]
            when "shown"
              Messages["rules.calculation.is_shown_as_and_not_kept", label: label, words: words(table)]
            else
              Messages["rules.calculation.always_equals", label: label, words: words(table)]
            end
          end

          # What can never be blank need not be seen so.
          def outcomes(table)
            blank = {
              true => ["idle", Wording["it is calculated once, and not again"], %w[skipped]],
              false => ["idle", Wording["the result is blank"], %w[skipped cleared]]
            }.fetch(once?)
            [["acts", Wording["it is calculated"], %w[set]], (blank if once? || Shape.blankable?(tree))].compact
          end

          # Which formulas can come to blank, as far as their shape tells.
          module Shape
            NEVER = [Expression::Nodes::Join, Expression::Nodes::Literal].freeze

            # @param tree [Expression::Nodes::Node]
            def self.blankable?(tree)
              if NEVER.any? { |kind| tree.is_a?(kind) } ||
                  (tree.is_a?(Expression::Nodes::Aggregate) && %w[count sum].include?(tree.name))
                return false
              end

              if tree.is_a?(Expression::Nodes::Conditional)
                [tree.consequence, tree.alternative].any? { |branch| blankable?(branch) }
              else
                true
              end
            end
          end

          # @return [Compiled]
          def compile(table)
            Compiled.new(rule: self, field: table.field(field), formula: formula(table), origin: words(table))
          end

          # A calculation made ready to run.
          Compiled =
            Struct.new(:rule, :field, :formula, :origin, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                unread = working.unreadable_among(formula.reads)
                if unread
                  working.leave_as_it_was(field) unless rule.once?
                  return working.skip(rule, field, Wording.unread(unread))
                end

                rule.once? ? apply_once(working) : apply_always(working)
              end

              private

              def apply_always(working)
                evaluation = working.evaluation
                value = formula.call(evaluation)
                working.calculate(rule, field, value, origin: origin, notes: evaluation.noted) do
                  Expression::Explanation.explain([formula], evaluation)
                end
              end

              def apply_once(working)
                if working.typed?(field.key)
                  return working.skip(rule, field,
                    working.cleared?(field.key) ? Wording["cleared by hand"] : Wording["filled by hand"])
                end
                return working.skip(rule, field, Wording["already calculated once"]) unless due?(working)

                evaluation = working.evaluation
                value = formula.call(evaluation)
                working.set(rule, field, value, origin: origin, notes: evaluation.noted) do
                  Expression::Explanation.explain([formula], evaluation)
                end
              end

              # A record that exists gets its value when its inputs are first there,
              # which is to say that they were not there before.
              def due?(working)
                working.new? || (working.values[field.key].nil? && formula.call(working.evaluation_before).nil?)
              end
            end

          private

          def taker(_part) = field

          # What always holds can't depend on the moment of a save, nor be begun with.
          def of_lasting(table)
            momentary = formula(table).momentary
            default = table.rules.find { |other| other.is_a?(Default) && other.field == field }
            if momentary.any?
              [
                problem(
                  "formula",
                  Messages["rules.calculation.is_known_only_while_record_is_saved", word: momentary.first]
                )
              ]
            elsif default
              [
                problem(
                  "field",
                  Messages["rules.calculation.has_default_which_would_overrule", field: table.field(field).label]
                )
              ]
            else
              []
            end
          end
        end
      end
    end
  end
end
