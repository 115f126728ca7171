# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Gives out the rows of a file portion by portion, as drafts: read here, and from the
      # moment on at which another process has begun to work ahead, read there.
      class RowSource
        # Rows between two looks at the clock.
        PORTION = 1_000

        NONE = [].freeze

        # @param source [#each_row]
        # @param drafting [RowToDraft]
        # @param plan [Core::Save::Plan]
        # @param ahead [WorkerClient, nil]
        def initialize(source, drafting, plan, ahead)
          @plan = plan
          @source = source
          @drafting = drafting
          @ahead = ahead
          @given = 0
        end

        # @yield [Array<Array(Interchange::Source::Row, Hash, Array<Hash>, Services::BulkRecordWriter::Ahead)>]
        #   rows with their raw input and what stands against it, and what was done of them already, if anything
        # @raise [Interchange::Unreadable]
        def each_portion(&block)
          return if here(until_ready: true, &block)

          there(&block)
          # What was not done there, for whatever reason, is done here.
          here(&block) unless @ahead.done?
        end

        private

        # @return [Boolean] whether all rows were given out
        def here(until_ready: false)
          passed = @given
          portion = RowBatch.new(PORTION)
          @source.each_row do |row, _|
            next passed -= 1 if passed.positive?
            next unless portion.add([row, *@drafting.call(row)], row.size)

            yield given(portion.take)
            return false if until_ready && @ahead&.ready?
          end
          yield given(portion.take) if portion.any?
          true
        end

        def there
          portion = RowBatch.new(PORTION)
          @ahead.each_portion(@given) do |rows|
            rows.each do |packed|
              row, *drafted = unpack(packed)
              yield given(portion.take) if portion.add([row, *drafted], row.size)
            end
          end
          yield given(portion.take) if portion.any?
        end

        def given(portion)
          @given += portion.length
          portion
        end

        # Those that were not begun there are drafted here: that tells what stands against them.
        def unpack(packed)
          number, cells, problem, typed, values, origins, claimed, columns, stretches, logged = packed
          row = Interchange::Source::Row.new(number, cells, problem)
          return [row, *@drafting.call(row)] unless typed

          [
            row,
            typed.freeze,
            NONE,
            Services::BulkRecordWriter::Ahead.new(
              Core::Save::PartialSave.new(values, origins, claimed).unpack(@plan),
              Store::PreparedRow.new(columns.each(&:freeze), stretches, logged)
            )
          ]
        end
      end
    end
  end
end
