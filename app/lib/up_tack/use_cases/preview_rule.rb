# frozen_string_literal: true

module UpTack
  module UseCases
    # Shows what a rule would do before it is saved: what is wrong with it, or
    # its result on real records, the worst first, and how many it concerns.
    class PreviewRule
      # Examples sent to the screen.
      EXAMPLES = 12
      # Seconds after which the rest of the records is left uncounted.
      PATIENCE = 1.5

      # problems:: why it can't be saved; warnings:: what is surely not meant
      # tack, sentence:: the rule in words
      # opening:: for a default, what a new record would open with now
      # counts:: verdicts and how often each came out
      # looked_at, total:: records examined, and all there are
      # examples:: [{id:, title:, stored:, result:, verdict:, how:}]
      Preview = Struct.new(:problems, :warnings, :tack, :sentence, :opening, :counts, :looked_at, :total, :examples, keyword_init: true)

      # Verdicts, those that deserve a look first.
      ORDER = %w[refused unjudged differs blank same passed].freeze

      def initialize(workspace)
        @workspace = workspace
      end

      # @param table [String]
      # @param plain [Hash] a rule as a design has it; with the id of one that exists it stands for that
      # @return [Preview]
      def call(table:, plain:)
        design = @workspace.table(table)
        changed = Core::Design::Changes::PinRule.new(table: table, rule: plain).apply(@workspace.project).table(design.key)
        rule = plain["id"] ? changed.rule(plain["id"]) : changed.rules.last
        survey(changed, rule)
      rescue Core::Design::Invalid => e
        Preview.new(problems: e.problems, warnings: [], counts: {}, examples: [], looked_at: 0, total: 0)
      end

      private

      def survey(design, rule)
        sight = Sight.for(design, rule, @workspace)
        counts = Hash.new(0)
        examples = Hash.new { |hash, verdict| hash[verdict] = [] }
        looked_at = 0
        rows = Store::Rows.new(@workspace.table(design.key))
        until_tired(rows) do |id, values|
          looked_at += 1
          seen = sight.of(values)
          counts[seen[:verdict]] += 1
          examples[seen[:verdict]] << {id: id, title: Titles.of(design, id, values), **seen} if examples[seen[:verdict]].length < EXAMPLES
        end
        Preview.new(
          problems: [], warnings: sight.warnings, tack: rule.tack(design), sentence: rule.sentence(design), opening: sight.opening,
          counts: counts, looked_at: looked_at, total: rows.count, examples: ORDER.flat_map { |verdict| examples[verdict] }.first(EXAMPLES)
        )
      end

      def until_tired(rows)
        ending = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
        rows.each do |id, values|
          yield id, values
          break if Process.clock_gettime(Process::CLOCK_MONOTONIC) > ending
        end
      end
    end
  end
end
