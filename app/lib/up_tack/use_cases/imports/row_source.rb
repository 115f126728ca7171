# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Gives out the rows of a file portion by portion, as drafts: read here, and from the
      # moment on at which another process has begun to work ahead, read there.
      class RowSource
        # Rows between two looks at the clock.
        PORTION = 1_000

        # Seconds in which one that was forked beforehand is mostly ready; one that starts from nothing takes longer.
        PATIENCE = 0.5

        NONE = [].freeze

        # A row that was read. typed:: raw input by field; reasons:: what stands against it
        # ahead:: [Services::BulkRecordWriter::Ahead, nil] what was done of it already
        # at:: number of the log's latest entry when it was
        Read = Struct.new(:row, :typed, :reasons, :ahead, :at)

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

        # @yield [Array<Read>]
        # @raise [Interchange::Unreadable]
        def each_portion(&block)
          return if !@ahead&.ready?(PATIENCE) && here(until_ready: true, &block)

          there(&block)
          # What was not done there, for whatever reason, is done here.
          here(&block) unless @ahead.done?
        end

        private

        # @return [Boolean] whether all rows were given out
        def here(until_ready: false)
          passed = @given
          portion = RowBatch.new(PORTION)
          at = nil
          @source.each_row do |row, _|
            next passed -= 1 if passed.positive?
            at ||= Store::ChangeLog.latest
            next unless portion.add(Read.new(row, *@drafting.call(row), nil, at), row.size)

            yield given(portion.take)
            at = nil
            return false if until_ready && @ahead&.ready?
          end
          yield given(portion.take) if portion.any?
          true
        end

        def there
          portion = RowBatch.new(PORTION)
          @ahead.each_portion(@given) do |at, rows|
            rows.each do |packed|
              read = unpack(packed, at)
              yield given(portion.take) if portion.add(read, read.row.size)
            end
          end
          yield given(portion.take) if portion.any?
        end

        def given(portion)
          @given += portion.length
          portion
        end

        # Those that were not begun there are drafted here: that tells what stands against them.
        def unpack(packed, at)
          number, cells, problem, typed, values, origins, claimed, columns, stretches, logged = packed
          row = Interchange::Source::Row.new(number, cells, problem)
          return Read.new(row, *@drafting.call(row), nil, at) unless typed

          Read.new(
            row,
            typed.freeze,
            NONE,
            Services::BulkRecordWriter::Ahead.new(
              Core::Save::PartialSave.new(values, origins, claimed).unpack(@plan),
              Store::PreparedRow.new(columns.each(&:freeze), stretches, logged)
            ),
            at
          )
        end
      end
    end
  end
end
