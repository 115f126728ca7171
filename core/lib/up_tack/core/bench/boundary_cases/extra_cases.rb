# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # Edges that no point tells of: each choice and one that is not on the list, and
        # days on which calendars turn, where a rule looks at such a field.
        class ExtraCases
          # Days with what they are.
          DAYS = {
            "the last day of a month" => [2026, 1, 31],
            "a leap day" => [2028, 2, 29],
            "the last day of a year" => [2026, 12, 31],
            "the first day of a year" => [2027, 1, 1]
          }.freeze

          def initialize(table, _base, _solver, seen)
            @table = table
            @seen = seen
          end

          # @param rule [Rules::Rule]
          # @return [Array<Targets::Aim>]
          def find(rule)
            keys = rule.formula_parts.values.flat_map { |text| named(text) }.uniq
            keys.flat_map { |key| choices(rule, key) + days(rule, key) } + hours(rule) + blank(rule) + masked(rule) +
              listed(rule)
          end

          private

          def blank(rule)
            return [] unless rule.looks_at_value? && !@table.rule_owned?(rule.field)

            [aim(rule, Wording["%{field} is blank", field: @table.field(rule.field).label], {rule.field => nil})]
          end

          # One character short, and one too many.
          def masked(rule)
            mask = rule.mask
            return [] if !mask || @table.rule_owned?(rule.field)

            sample = Masks::Examples.sample(mask)
            [
              aim(rule, Wording["one character short"], {rule.field => sample[0...-1]}),
              aim(rule, Wording["one character too many"], {rule.field => "#{sample}#{sample[-1]}"})
            ]
          end

          def listed(rule)
            field = @table.field(rule.field)
            rule
              .listed_values(@table)
              .map { |value|
              aim(rule, Wording["%{field} is %{value}", field: field.label, value: field.show(value)],
                {rule.field => value})
            }
          end

          def named(text)
            found = []
            Expression
              .parse(text)
              .walk do |node|
                found << node.key if node.is_a?(Expression::Nodes::Field) && !node.before && !node.outside
              end
            found.select { |key| @table.field(key) && !@table.rule_owned?(key) }
          end

          def choices(rule, key)
            field = @table.field(key)
            return [] unless field.listed?

            label = field.label
            field.open_choices.map { |choice|
              aim(rule, Wording["%{field} is %{choice}", field: label, choice: choice], {key => choice})
            } + [aim(rule, Wording["%{field} is none of its choices", field: label],
              {key => "#{field.open_choices.first} not"})]
          end

          def days(rule, key)
            field = @table.field(key)
            return [] unless field.day? && calendar?(rule, key)

            DAYS.map do |words, (year, month, day)|
              aim(
                rule,
                Wording["%{field} is %{day}", field: field.label, day: Wording[words]],
                {key => Calendar.day(year, month, day), **open_target(rule, key)}
              )
            end
          end

          # What the rule works out once must be left to it.
          def open_target(rule, key) =
            if rule.writes.include?(rule.field) && rule.field != key && !@table.rule_owned?(rule.field)
              {rule.field => :untyped}
            else
              {}
            end

          # A day that is only compared with another has no months and years.
          def calendar?(rule, key)
            rule.formula_parts.values.any? do |text|
              found = false
              Expression
                .parse(text)
                .walk do |node|
                  found ||=
                    (node.is_a?(Expression::Nodes::Arithmetic) || node.is_a?(Expression::Nodes::Call)) &&
                    node.children.any? { |child| child.is_a?(Expression::Nodes::Field) && child.key == key }
                end
              found
            end
          end

          # Rules that look at the clock are tried in the hour that comes twice.
          def hours(rule)
            asks = rule.formula_parts.values.any? { |text| clock?(text) }
            if asks
              [
                aim(rule, Wording["in the hour that comes twice when the clocks go back"], {"clock" => "back"}),
                *DAYS.map do |words, (year, month, day)|
                  aim(rule, Wording["today is %{day}", day: Wording[words]],
                    {"clock" => format("%04d-%02d-%02dT09:00", year, month, day)})
                end
              ]
            else
              []
            end
          end

          def clock?(text)
            found = false
            Expression
              .parse(text)
              .walk { |node| found ||= node.is_a?(Expression::Nodes::Call) && %w[today now].include?(node.name) }
            found
          end

          def aim(rule, words, assignment) =
            Targets::Aim.new(
              rule: rule,
              point: nil,
              words: Targets.titled(rule, @table, words),
              assignments: [assignment],
              exact: true,
              again: false,
              lasting: false
            )
        end
      end
    end
  end
end
