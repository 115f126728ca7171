# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a number, date or time below the lowest or above the highest that
        # the builder allows. Either end is a value or a formula; both ends are
        # allowed themselves.
        class Limits < Validation
          kind "limits",
            label: "Range",
            about: "The value must be between a minimum and a maximum.",
            editor: :own,
            needs: [%w[low high]]
          part "low", :formula
          part "high", :formula
          shown_by :limited

          def constraint(table)
            low, high = %w[low high].map { |part| fixed_end(table, part) }
            {least: low, greatest: high} if without_exception? && low != :open && high != :open
          end

          def self.suits?(field, _table) = field.ordered?

          def reads(table) = [field, *ends.flat_map { |part| formula_reads(table, part: part) }].uniq
          def fields(table) = reads(table)

          def words(table)
            low, high = ends_in_words(table)
            return Wording["%{low} to %{high}", low: low, high: high] if low && high

            low ? Wording["%{low} or more", low: low] : Wording["%{high} or less", high: high]
          end

          def sentence(table)
            low, high = ends_in_words(table)
            within = (low && high) ? Wording["between %{low} and %{high}", low: low, high: high] : words(table)
            Messages["rules.all.must_be", field: table.field(field).label, words: within]
          end

          # Either end has three sides.
          def outcomes(table)
            super +
              ends.flat_map do |part|
                %w[below on above].map do |side|
                  [
                    "#{part} #{side}",
                    SIDES.fetch([part, side]).call,
                    [[part, side]]
                  ]
                end
              end
          end

          # A value that was typed becomes a formula that gives it.
          def normalized(table, reading)
            design = table.field(field) or return self
            ends.reduce(self) do |rule, part|
              value = design.read(@parts[part], reading)
              if value.nil? || value.is_a?(Values::Unreadable)
                rule
              else
                Limits.from(rule.attributes.merge(part => Literals.write(value)))
              end
            end
          end

          def test(table)
            low, high = %w[low high].map { |part| @parts[part] && compiled(table, part: part) }
            Test.new(rule: id, field: table.field(field), low: low, high: high)
          end

          # Its ends, as far as they are fixed.
          def bounds(table)
            return if warning?

            tested = test(table)
            [tested.low, tested.high].map { |formula| formula&.fixed_value }
          end

          # Whether the value lies between its limits.
          Test =
            Struct.new(:rule, :field, :low, :high, keyword_init: true) do
              include Judging

              def formulas = [low, high].compact
              def formula = formulas.first

              def call(evaluation)
                value = evaluation.value(field.key)
                return Verdict.new(:skipped, Wording.blank(field)) if value.nil?

                least = low&.call(evaluation)
                most = high&.call(evaluation)
                evaluation.probe&.then do |probe|
                  {"low" => least, "high" => most}.compact.each do |ending, limit|
                    probe.side(rule, ending, value <=> limit)
                  end
                end
                if least && value < least
                  return Verdict.new(:refused, ->(_) {
                    Wording["%{value} is below %{limit}", value: field.show(value), limit: field.show(least)]
                  })
                end
                if most && value > most
                  return Verdict.new(:refused, ->(_) {
                    Wording["%{value} is above %{limit}", value: field.show(value), limit: field.show(most)]
                  })
                end
                if (low && least.nil?) || (high && most.nil?)
                  return Verdict.new(:skipped,
                    Wording["its limit is blank"])
                end

                @passed ||=
                  Verdict.new(:passed, ->(seen) {
                    Wording["%{value} is within the limits", value: field.show(seen.value(field.key))]
                  }).freeze
              end
            end

          SIDES = {
            %w[low below] => -> { Wording["below the minimum"] },
            %w[low on] => -> { Wording["exactly on the minimum"] },
            %w[low above] => -> { Wording["above the minimum"] },
            %w[high below] => -> { Wording["below the maximum"] },
            %w[high on] => -> { Wording["exactly on the maximum"] },
            %w[high above] => -> { Wording["above the maximum"] }
          }.freeze

          private

          # @return [Array<String, nil>] both ends in words
          def ends_in_words(table)
            %w[low high].map { |part| @parts[part] && Expression::Humanizer.new(table.scope).humanize(tree(part)) }
          end

          # @return [Object, nil, Symbol] what an end always comes to; nil for none, :open where that changes
          def fixed_end(table, part)
            return unless @parts[part]

            formula = compiled(table, part: part)
            value = formula.fixed_value if formula.momentary.empty?
            value.nil? ? :open : value
          end

          def ends = %w[low high].select { |part| @parts[part] }

          def own_problems(table)
            design = table.field(field)
            unless design.ordered?
              return [problem("field",
                Messages["rules.limits.limits_are_for_numbers_dates_and_times"])]
            end
            return [problem("low", Messages["rules.limits.say_lowest_or_highest_is_allowed"])] if ends.empty?

            found = ends.flat_map { |part| formula_problems(table, expecting: design.kind, part: part) }
            found.any? ? found : contradiction(table)
          end

          # Only fixed ends can be known to contradict each other.
          def contradiction(table)
            return [] unless ends.length == 2

            low, high = ends.map { |part| compiled(table, part: part).fixed_value }
            return [] if low.nil? || high.nil? || low <= high

            [
              problem(
                "low",
                Messages[
                  "rules.limits.lowest_is_above_highest",
                  low: table.field(field).show(low),
                  high: table.field(field).show(high)
                ]
              )
            ]
          end
        end
      end
    end
  end
end
