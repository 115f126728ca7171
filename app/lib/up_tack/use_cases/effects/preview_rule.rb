# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Shows what a rule would do before it is saved: what is wrong with it, or
      # its result on real records, the worst first, and how many it concerns.
      class PreviewRule
        # Examples sent to the screen.
        EXAMPLES = 12
        MOST_EXAMPLES = 500
        # Of each verdict at first, so that those to look at first leave room for others.
        OF_EACH = 4
        # Seconds after which the rest of the records is left uncounted, while
        # somebody types and when all of them are asked for.
        PATIENCE = 1.5
        LONG_PATIENCE = 60

        # problems:: why it can't be saved; warnings:: what is surely not meant
        # notices:: what a builder should know of it and of the rules beside it, see Core::Analysis::Notices
        # tack, sentence:: the rule in words; cases:: its sentence above rows, and the rows by field
        # fleeting:: what makes a calculated value change by itself, in words
        # pieces:: the formula in pieces, nil where they can't show it
        # looked:: the example of a record that was asked for
        # opening:: for a default, what a new record would open with now
        # counts:: verdicts and how often each came out
        # looked_at, total:: records examined, and all there are
        # examples:: [{id:, title:, stored:, result:, verdict:, how:}]
        Preview =
          Struct.new(
            :problems,
            :warnings,
            :notices,
            :tack,
            :sentence,
            :cases,
            :fleeting,
            :pieces,
            :looked,
            :opening,
            :counts,
            :looked_at,
            :total,
            :examples,
            keyword_init: true
          )

        # Verdicts, those that deserve a look first.
        ORDER = %w[refused failed locked unjudged blank changes differs same passed idle].freeze
        # Records from which on it is worth a process of its own.
        MANY = 5_000
        # Seconds between two interim results.
        INTERIM = 0.3

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @return [Boolean] whether looking at all of its records takes long
        def many?(table) = Store::RecordTable.new(@workspace.table(table)).following > MANY

        # @param table [String]
        # @param attributes [Hash] a rule as a design has it; with the id of one that exists it stands for that
        # @param look_at [Integer, nil] a record whose example is wanted in any case
        # @param all [Boolean] whether to look at every record, however long it takes
        # @param most [Integer] examples wanted
        # @yield [Preview] what it has so far, every now and then
        # @return [Preview]
        def call(table:, attributes:, look_at: nil, all: false, most: EXAMPLES, &interim)
          @table = table
          @most = most.clamp(1, MOST_EXAMPLES)
          @interim = interim
          @patience = all ? LONG_PATIENCE : PATIENCE
          design = @workspace.table(table)
          pinned = Core::Design::Changes::PinRule.new(table: table, rule: attributes).apply(@workspace.project)
          changed = pinned.table(design.key)
          rule = attributes["id"] ? changed.rule(attributes["id"]) : changed.rules.last
          survey(changed, rule, look_at)
        rescue Core::Invalid => e
          Preview.new(
            problems: e.problems,
            warnings: [],
            notices: [],
            fleeting: [],
            pieces: pieces(attributes),
            counts: {},
            examples: [],
            looked_at: 0,
            total: 0
          )
        end

        private

        def survey(design, rule, look_at)
          sight = Effects.for(design, rule, @workspace)
          @rows = Store::RecordTable.new(@workspace.table(design.key))
          @total = @rows.count
          @counts = Hash.new(0)
          @examples = Hash.new { |hash, verdict| hash[verdict] = [] }
          made = ->(looked_at) { result(design, rule, sight, look_at, looked_at) }
          sight.begin(@rows)
          made.call(until_tired(sight, made) { |id, values| count(sight.verdict(id, values), id) })
        end

        # Those that a formula gives; those that it compares are among its own warnings.
        def fixed_texts(design, rule) =
          Core::Linting::FixedTexts
            .new(rule, design)
            .given
            .map { |message| Core::Expression::Problem.new(message: message) }

        def count(verdict, id)
          @counts[verdict] += 1
          @examples[verdict] << id if @examples[verdict].length < @most
        end

        def result(design, rule, sight, look_at, looked_at)
          Preview.new(
            problems: [],
            warnings: sight.warnings + fixed_texts(design, rule),
            notices: design.notices.about(rule),
            tack: rule.tack(design),
            sentence: rule.sentence(design),
            cases: rule.sentence_with_rows(design),
            opening: sight.opening,
            fleeting: sight.fleeting,
            pieces: pieces(rule.attributes),
            looked: look_at && shown([look_at], sight).first,
            counts: @counts.dup,
            looked_at: looked_at,
            total: @total,
            examples: shown(telling, sight)
          )
        end

        # The worst first, some of each verdict; where there is room, more of what is well.
        def telling
          all = ORDER.flat_map { |verdict| @examples[verdict] }
          some = ORDER.flat_map { |verdict| @examples[verdict].first([OF_EACH, @most / 3].max) }.first(@most)
          chosen = (some + (all - some).reverse).first(@most)
          all.select { |each| chosen.include?(each) }
        end

        def shown(ids, sight)
          found = @rows.find_all(ids).to_a
          sight.prepare(found)
          context = @workspace.context
          found.map do |id, values|
            {
              id: id,
              title: Core::Save::RecordTitle.find(@workspace.table(@table), id, values, context),
              row: nil,
              **sight.preview(id, values)
            }
          end
        end

        def pieces(attributes)
          formula = attributes["formula"]
          formula.is_a?(String) ? Core::Expression::StructuredForm.parse(formula) : nil
        end

        # @return [Integer] how many records were looked at before patience ran out
        def until_tired(sight, made)
          ending = now + @patience
          due = now + INTERIM
          looked_at = 0
          @rows.each_batch(keys: sight.columns) do |batch|
            sight.prepare(batch)
            batch.each do |id, values|
              yield id, values
              looked_at += 1
              return looked_at if (looked_at % 50).zero? && now > ending
            end
            next unless @interim && now > due

            @interim.call(made.call(looked_at))
            due = now + INTERIM
          end
          looked_at
        end

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end
  end
end
