# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # Changes of the base record that may show something of a rule: those of its points, and each
        # field that it names with another value and with none.
        class Assignments
          # Of each point, of a rule's points together, and of the rules whose values it reads.
          OF_EACH = 3
          MOST = 40
          OF_UPSTREAM = 4
          # Texts that show what is done with spaces, capitals, words and lengths.
          TEXTS = ["  two  WORDS, here ", "Oneword", "Ab #{"cd" * 30}", "É-1 b.c/d"].freeze
          # Days around the one that is there: near, in another month of the year, and in another year.
          DAYS = [5, 40, -40, 400, -400].freeze

          # @param table [Design::Table]
          # @param base [BaseRecord]
          # @param seen [Hash{String=>Object}] the base record as it comes out
          def initialize(table, base, seen)
            @table = table
            @base = base
            @seen = seen
            @of_points = {}
          end

          # @param rule [Rules::Rule]
          # @param mutant [Rules::Rule, nil] the same rule with a mistake
          # @return [Array<Hash{String=>Object}>] the simplest first
          def find(rule, mutant = nil)
            points = of_points(rule) + (mutant ? by_points(mutant, @table.with_rule(rule.id, mutant)) : [])
            [{}, *points.uniq.first(MOST), *of_fields(rule), *upstream(rule)].uniq
          end

          # Each field that a rule names, with other values and with none.
          def of_fields(rule)
            keys = (rule.names(@table) | rule.fields(@table)).select { |key|
              @table.field(key) && !@table.rule_owned?(key)
            }
            numbered(rule) + keys.flat_map { |key| of_field(@table.field(key)) }
          end

          private

          def of_field(field)
            choices = field.textual? ? TEXTS : field.open_choices
            [*others(field), nil, *choices].uniq.map { |value| {field.key => value} }
          end

          # Values on both sides of what is there.
          def others(field)
            now = @seen[field.key]
            further =
              if field.day? then DAYS.map { |days| (now || @base.context.clock.today) + days }
              elsif field.numeric? then [(now || BigDecimal(4)) / 2, BigDecimal(0), odd(field, now || BigDecimal(4))]
              elsif field.link? then linked(field, now)
              end
            [Scenes.other(field, now, @base.context.clock.today), *further].compact
          end

          # Uses every decimal, so that rounding shows.
          def odd(field, now) = now + BigDecimal("7e-#{field.decimals || 3}")

          def linked(field, now) = @base.records.fetch(field.target, {}).keys.reject { |id| id == now }.first(2)

          # A number that somebody types.
          def numbered(rule)
            now = (rule.stage == "number") ? @seen[rule.field] : nil
            return [] if now.nil?

            [{rule.field => now.is_a?(String) ? now.gsub(/\d/, "9") : now + 90}]
          end

          # What lets the rules act whose values it reads, such as a stamp, and besides each of its fields
          # with another value.
          def upstream(rule)
            read = Analysis::TopologicalSort.through(rule.awaits(@table), [], @table)
            others = @table.acting_rules.reject { |other| other.id == rule.id || other.stage == "default" }
            writers = others.select { |other| (other.writes & read).any? }
            starts = writers.flat_map { |other| of_points(other).first(OF_UPSTREAM) }.uniq.first(OF_UPSTREAM * 2)
            further = of_fields(rule).first(OF_UPSTREAM * 2)
            starts.flat_map { |start| [start, *further.map { |each| start.merge(each) }] }
          end

          def of_points(rule) = @of_points[rule.id] ||= by_points(rule, @table)

          # Those of all points in turn, so that each has some.
          def by_points(rule, table)
            solver = @base.solver(table, @seen)
            lists = Targets.new(table, @base, solver, @seen).find(rule).map { |aim| aim.assignments.first(OF_EACH) }
            (0...OF_EACH).flat_map { |index| lists.filter_map { |assignments| assignments[index] } }.uniq
          rescue Expression::Invalid, KeyError, NoMethodError
            []
          end
        end
      end
    end
  end
end
