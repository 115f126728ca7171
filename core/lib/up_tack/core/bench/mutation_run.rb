# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # How many small mistakes in the rules of a table its proofs notice: each mistake is made in turn,
      # and the proofs are run against it until one does not come out as it must.
      class MutationRun
        # rule:: the Rule; mutant:: Mutants::Mutant, in its place among those of the rule
        # noticed:: whether a proof did; harmless:: why none could, nil where that is not proven
        Tried = Struct.new(:rule, :mutant, :place, :noticed, :harmless, keyword_init: true)

        # @param project [Design::Project]
        # @param table [Design::Table]
        # @param proofs [Array<Array(Design::Proof, Hash{String=>Array<String>})>] those that come out as they
        #   must, each with the keys of the points that it showed, by rule
        # @param plans [Hash{String=>Save::Plan}] those that are compiled already
        def initialize(project, table, proofs, plans = {})
          @project = project
          @table = table
          @proofs = proofs
          @ground = Save::CompiledProject.new(project, plans)
          @equivalence = Equivalence.new(table)
        end

        # @param rules [Array<Rules::Rule>] of the table
        # @yield [Tried] each as it is tried; false ends it
        # @return [Array<Tried>]
        def call(rules = @table.acting_rules)
          found = []
          rules.each do |rule|
            Mutants.all(rule, @table).each_with_index do |mutant, place|
              changed = ground(rule, mutant)
              next if mutant.sort == "field" && circle?(changed.project)

              noticed = noticed?(rule, changed)
              harmless = noticed ? nil : @equivalence.reason(rule, mutant)
              found << tried = Tried.new(rule: rule, mutant: mutant, place: place, noticed: noticed, harmless: harmless)
              return found if block_given? && yield(tried) == false
            end
          end
          found
        end

        # @param rule [Rules::Rule]
        # @param mutant [Mutants::Mutant]
        # @return [Save::CompiledProject] of the project with the mistake in it
        def ground(rule, mutant)
          @ground.with_rule(@table.key, rule, mutant.attributes && Rules.from(mutant.attributes))
        end

        private

        # Another field may be one that waits for this one, which nobody could save.
        def circle?(project) =
          !project.upkeep.circle.nil? || Design::CircleCheck.new(project.table(@table.key)).problems.any?

        # The proofs that show a rule, those first that show what few others do; then all others, for a
        # rule that does nothing where it should may do something with a mistake in it.
        def telling(rule)
          (@telling ||= {})[rule.id] ||= begin
            shown, others = @proofs.partition { |_, seen| seen.key?(rule.id) }
            often = shown.flat_map { |_, seen| seen[rule.id] }.tally
            shown =
              shown.sort_by.with_index { |(_, seen), index| [-seen[rule.id].sum { |key| 1.0 / often[key] }, index] }
            (shown + others).map(&:first)
          end
        end

        def noticed?(rule, changed)
          run = Run.new(changed.project, ground: changed)
          table = run.table(@table.key)
          telling(rule).any? { |proof| !run.passes?(table, proof) }
        rescue Expression::Invalid, KeyError
          true # With the mistake it can't be built, so it could not be saved.
        end
      end
    end
  end
end
