# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Why a small mistake in a rule makes no difference to any record, as far as that can be proven:
      # a setting that means nothing here, formulas that come to the same for every value there is, or
      # another rule that stands before it. Such a mistake counts neither for nor against the proofs.
      class Equivalence
        # @param table [Design::Table]
        def initialize(table)
          @table = table
        end

        # @param rule [Rules::Rule]
        # @param mutant [Mutants::Mutant]
        # @return [String, nil] a sentence; nil where nothing is proven
        def reason(rule, mutant)
          return numbered(rule) if mutant.attributes.nil?

          other = Rules.from(mutant.attributes)
          return decided(rule, other) if rule.decides?

          parts = changed(rule.attributes, mutant.attributes)
          parts.one? ? by_setting(rule, other, parts.first) || by_formula(rule, other) : by_formula(rule, other)
        rescue Expression::Invalid, Masks::Invalid, NoMethodError, KeyError
          nil # What can't be evaluated alone proves nothing.
        end

        private

        def changed(one, other) = (one.keys | other.keys).reject { |key| one[key] == other[key] }
        def label(key) = @table.field(key).label

        def by_setting(rule, other, part)
          case part
          when "case" then one_case(rule)
          when "old" then old_records(rule, other)
          when "half" then numbered(rule)
          when "enforced" then enforced(rule)
          when "keeping" then kept(rule, other)
          when "watch" then watched(rule, other)
          when "follow" then lettered(rule)
          when "clears" then never_ends(rule)
          end
        end

        def kept(rule, other)
          return if rule.once? || other.once?

          Messages["bench.equivalence.value_is_calculated_when_it_is_read"]
        end

        # Capitals in which nobody can type.
        def one_case(rule)
          return unless rule.keys.all? { |key| turned?(key) }

          Messages["bench.equivalence.mask_of_writes_every_letter_in_one", label: label(rule.field)]
        end

        def turned?(key)
          return true unless @table.field(key).textual?

          mask = @table.acting_rules.find { |rule| rule.masks? && rule.field == key }
          !mask.nil? && !mask.lets_old? && !mask.mask.turn.nil?
        end

        def old_records(rule, other)
          return numbered(rule) if rule.masks?
          return Messages["bench.equivalence.warning_is_not_given_again_while"] if rule.warning? && other.warning?
          return Messages["bench.equivalence.lock_is_only_about_fields_are_changed"] if rule.locks?

          unchanged(rule) if rule.checks?
        end

        # A check that compares with what was can't refuse where nothing changes.
        def unchanged(rule)
          formula = compiled(rule, "formula")
          combinations = Combinations.build(@table, [formula]) or return
          return if combinations.unchanged.any? { |evaluation| formula.call(evaluation) == false }

          Messages["bench.equivalence.rule_never_refuses_record_in_which_nothing"]
        end

        def enforced(rule)
          return Messages["bench.equivalence.what_is_cleared_is_refused_on_every"] if rule.clears?

          Messages["bench.equivalence.only_rule_writes", label: label(rule.field)] if @table.rule_owned?(rule.field)
        end

        # A mask or its settings, where only an auto-number writes.
        def numbered(rule)
          return unless rule.masks? && @table.rule_owned?(rule.field)

          number = @table.acting_rules.find { |each| each.numbers? && each.field == rule.field }
          return unless number && shaped?(number, rule.mask)

          Messages["bench.equivalence.nobody_types", label: label(rule.field)]
        end

        # Whether what a number is made of always fits a mask: fixed texts, counts and years.
        def shaped?(number, mask)
          tree = Expression.parse(number.attributes["formula"])
          parts = tree.is_a?(Expression::Nodes::Join) ? tree.parts : [tree]
          texts = parts.map { |part| fixed(part) }
          texts.none?(&:nil?) && mask.fits?(texts.join)
        end

        def fixed(part)
          case part
          when Expression::Nodes::Literal then part.value.is_a?(String) ? part.value : nil
          when Expression::Nodes::Call
            return "2026" if part.name == "year"

            "1".rjust(part.arguments.first.value.to_i, "0") if part.name == "counter"
          end
        end

        # Two decision tables that give the same for every case there is.
        def decided(rule, other)
          return unless rule.inputs == other.inputs && rule.writes == other.writes && !manner?(rule, other)

          cases = Cases.build(rule, other, @table) or return
          Messages["bench.equivalence.every_case_is_decided_same_way"] if cases.all? { |one, two| one == two }
        end

        # Whether the two differ in what becomes of fields that have a value.
        def manner?(rule, other) = (changed(rule.attributes, other.attributes) & %w[only_blank overrules]).any?

        def watched(rule, other)
          return unless rule.fills? && rule.triggers(@table).sort == other.triggers(@table).sort

          Messages["bench.equivalence.without_list_rule_watches_what_its_formulas"]
        end

        def lettered(rule)
          Messages["bench.equivalence.nothing_in_number_but_count_ever_changes"] if rule.reads(@table).empty?
        end

        # A condition that another rule keeps from ending.
        def never_ends(rule)
          held = compiled(rule, "when")
          guards = @table.acting_rules.select(&:checks?).reject { |each| each.warning? || each.lets_old? }
          guard = guards.find { |each| refuses_every_end?(held, compiled(each, "formula")) }
          guard &&
            Messages[
              "bench.equivalence.refuses_every_change_by_which_would_end",
              rule: guard.name || guard.words(@table)
            ]
        end

        def refuses_every_end?(held, guard)
          combinations = Combinations.build(@table, [held, guard], before: true) or return false
          combinations.all? do |evaluation|
            ends = !evaluation.new? && held.call(evaluation.before) == true && held.call(evaluation) != true
            !ends || guard.call(evaluation) == false
          end
        end

        def by_formula(rule, other)
          part = rule.formula_parts.keys.find { |key| rule.formula_parts[key] != other.formula_parts[key] } or return
          return unless changed(rule.formula_parts, other.formula_parts) == [part]

          texts = [rule, other].map { |each| each.formula_parts[part] }
          return Messages["bench.equivalence.field_keeps_same_decimals_either_way"] if rounded_alike?(rule, *texts)

          pair = [rule, other].map { |each| compiled(each, part) }
          combinations = Combinations.build(@table, pair) or return
          same = combinations.all? do |evaluation|
            one, two = pair.map { |formula| Effect.compute(rule, part, formula.call(evaluation), @table) }
            one == two
          end
          Messages["bench.equivalence.it_comes_to_same", combinations: combinations.words] if same
        end

        # What the field keeps has its own decimals.
        def rounded_alike?(rule, *texts)
          kept = (rule.calculates? || rule.defaults?) ? @table.field(rule.field)&.decimals : nil
          reduced = texts.map { |text|
            Decimals.new(@table).without_idle_rounding(kept ? "round(#{text}, #{kept})" : text)
          }
          reduced.map { |text| Expression::Printer.new.print(Expression.parse(text)) }.uniq.length == 1
        end

        def compiled(rule, part) = Expression.compile(rule.formula_parts.fetch(part), @table.scope, counting: true)
      end
    end
  end
end
