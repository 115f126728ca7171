# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Fills a table with made-up records that pass its rules, as one change that can be
      # taken back as one. The same seed gives the same records.
      class GenerateRecords
        # Records at most in one go.
        MOST = 1_000_000
        # Records of another table that links may lead to.
        LINKED = 2_000

        # made:: records that were saved; given_up:: tries for which none was found
        # batch:: the Store::Batch, nil where nothing was saved
        Result = Struct.new(:made, :given_up, :batch, keyword_init: true)

        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param table [String] key
        # @param count [Integer]
        # @param seed [Integer]
        # @return [Result]
        # @raise [Core::Invalid, Recalculation::Stopped, Services::NotAllowed]
        def call(table:, count:, seed:)
          design = @workspace.table(table)
          Services::NotAllowed.unless_may(@workspace.person, design, :edit)
          unless count.is_a?(Integer) && count.between?(1, MOST)
            Core::Invalid.because(
              "1 to #{Core::Values::Plain.grouped(MOST)} sample records can be created at once.",
              part: "count"
            )
          end

          Services::Portions.run(@workspace, count, progress: @progress) do |portions|
            maker = maker(design, seed)
            batch =
              portions.open(count, design) do
                Store::Batch.begin(
                  @workspace,
                  design,
                  "Sample records: #{Core::Values::Plain.grouped(count)} #{design.label}, seed #{seed}"
                )
              end
            result = Result.new(made: 0, given_up: 0, batch: batch)
            @progress.begin(design.label, "Sample records", count)
            portions.each(0...count) { |portion| make(design, maker, portion.length, result) }
            result
          end
        end

        # @return [Core::Bench::Samples::RecordGenerator]
        def maker(design, seed)
          around = RelatedRecords.new(@workspace)
          linked =
            design
              .fields
              .select(&:link?)
              .to_h do |field|
                [field.key, Store::RecordTable.model(field.target).order(:id).limit(LINKED).pluck(:id)]
              end
          Core::Bench::Samples::RecordGenerator.new(
            design,
            context: @workspace.context(counters: Core::Bench::Counters.new(Store::Counters.new)),
            profile: around.profile(design),
            linked: linked,
            there: around.there(design, LINKED),
            random: Random.new(seed)
          )
        end

        private

        # A writer for each portion, so that what it holds back does not grow without end.
        def make(design, maker, count, result)
          writer = Services::BulkRecordWriter.new(@workspace, design.key, channel: "made up", batch: result.batch)
          count.times { write(design, writer, maker) ? result.made += 1 : result.given_up += 1 }
          writer.finish
        end

        def write(design, writer, maker)
          values = maker.values
          (Core::Bench::Samples::RecordGenerator::MENDS + 1).times do
            answer = writer.write(Core::Bench::Samples::RecordGenerator.typed(design, values))
            return true if answer.state == :saved

            values = maker.mend(values, answer.outcome.refusals)
          end
          false
        end
      end
    end
  end
end
