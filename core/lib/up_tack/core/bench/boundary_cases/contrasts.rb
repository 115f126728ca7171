# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # Records on which a formula of a rule comes out otherwise than with a small mistake in it. The
        # formulas alone are evaluated, on records as they come out, so that hundreds of mistakes are
        # told apart by a few records.
        class Contrasts
          # Records made for one rule at most.
          MOST_PLAYED = 40

          # Steps by which a number is moved to find where two formulas part.
          MOST_STEPS = 250

          # A mistake in one formula. part:: where it stands; own, other:: Formulas; rule:: with the mistake
          # mutant:: the Mutants::Mutant
          Slip = Struct.new(:part, :own, :other, :rule, :mutant, keyword_init: true)

          # @param table [Design::Table]
          # @param assignments [Assignments]
          # @param play [Proc] takes changes of the base record, and whether they come to one that was
          #   saved before, and gives a Played or nil
          def initialize(table, assignments, play)
            @table = table
            @assignments = assignments
            @play = play
            @equivalence = Equivalence.new(table)
          end

          # @param rule [Rules::Rule]
          # @param shown [Array<Played>] records that are there already
          # @return [Array<Array(String, Played)>] words and a record
          def find(rule, shown)
            open = slips(rule).reject { |slip| shown.any? { |played| differs?(rule, slip, played) } }
            open = open.reject { |slip| @equivalence.reason(rule, slip.mutant) }
            tried = Set.new
            open.each_with_object([]) do |slip, found|
              next if found.any? { |_, played| differs?(rule, slip, played) }

              tries(rule, slip).each do |assignment, lasting|
                next unless tried.length < MOST_PLAYED || tried.include?([assignment, lasting])

                tried << [assignment, lasting]
                played = @play.call(assignment, lasting)
                break found << [words(assignment), played] if played && differs?(rule, slip, played)
              end
            end
          end

          private

          # Changes, and whether they come later: a formula that looks at what was needs two states.
          def tries(rule, slip)
            assignments = fine(rule, slip) + @assignments.find(rule, slip.rule)
            if rule.requires?
              assignments = assignments.flat_map { |each| [each.merge(rule.field => nil), each] }.uniq
            end
            unless [slip.own, slip.other].any? { |formula| formula.tree.looks_back? }
              return assignments.map { |assignment| [assignment, false] }
            end

            turns = assignments.select { |assignment|
              assignment.length == 1 && !assignment.keys.first.start_with?("first")
            }
            pairs = turns.product(turns).select { |one, other| one.keys == other.keys && one != other }
            pairs.map { |first, assignment| [assignment.merge("first" => first), true] } +
              assignments.flat_map { |assignment| [[assignment, false], [assignment, true]] }
          end

          # Numbers at which the formulas part, be it in the last decimal of what is kept: looked for by
          # evaluating alone, which is a thousand times faster than making a record.
          def fine(rule, slip)
            usual = @play.call({}, false)&.trial&.last&.outcome&.evaluation or return []
            fields = typed(slip, &:numeric?).select { |field| usual.value(field.key) }
            odd = fields.to_h { |field| [field.key, usual.value(field.key) + (7 * step(field))] }
            branches = typed(slip) { |field| field.listed? || field.yes_no? }.flat_map do |field|
              (field.listed? ? field.open_choices : [true, false]).map { |value| {field.key => value} }
            end
            [{}, *branches].flat_map { |branch| [branch, odd.merge(branch)] }.each do |start|
              evaluation = start.reduce(usual) { |seen, (key, value)| seen.with(key, value) }
              fields.each do |field|
                value = parting(rule, slip, evaluation, field)
                return [start.merge(field.key => value)] if value
              end
            end
            []
          end

          def typed(slip, &fits)
            slip.own.reads.map { |key|
              @table.field(key)
            }.select(&fits).reject { |field| @table.rule_owned?(field.key) }
          end

          def parting(rule, slip, evaluation, field)
            values = (1..MOST_STEPS).lazy.map { |count| evaluation.value(field.key) + (count * step(field)) }
            values.find { |value| parts?(rule, slip, evaluation.with(field.key, value)) }
          end

          def step(field) = BigDecimal("1e-#{field.decimals || 3}")

          def slips(rule)
            Mutants::InFormulas.new(rule, @table).all.filter_map do |mutant|
              other = Rules.from(mutant.attributes)
              part, text = other.formula_parts.find { |key, formula| rule.formula_parts[key] != formula }
              own = part && compiled(rule.formula_parts[part])
              part && Slip.new(part: part, own: own, other: compiled(text), rule: other, mutant: mutant)
            rescue Expression::Invalid, Masks::Invalid, KeyError
              nil
            end
          end

          def compiled(text) = (@compiled ||= {})[text] ||= Expression.compile(text, @table.scope, counting: true)

          def differs?(rule, slip, played)
            evaluation = played.trial.last.outcome&.evaluation or return false
            shows?(rule, evaluation) && parts?(rule, slip, evaluation)
          end

          # What is required is missed only where it is blank.
          def shows?(rule, evaluation) = !rule.requires? || evaluation.value(rule.field).nil?

          def parts?(rule, slip, evaluation)
            came_to(rule, slip, slip.own, evaluation) != came_to(rule, slip, slip.other, evaluation)
          end

          def came_to(rule, slip, formula, evaluation)
            evaluation.count = 1
            Effect.compute(rule, slip.part, formula.call(evaluation), @table)
          rescue Expression::Invalid, NoMethodError, TypeError
            nil
          end

          def words(assignment)
            fields = assignment.keys.filter_map { |key| @table.field(key.split(".").first)&.label }.uniq
            return Wording["an ordinary record"] if fields.empty?

            Wording["another %{fields}", fields: Masks::Phrases.to_sentence(fields)]
          end
        end
      end
    end
  end
end
