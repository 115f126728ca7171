# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # The other end of Ahead, in the process that works ahead.
      class WorkerProcess
        # Rows handed over at a time.
        PORTION = 250

        # @param input [IO]
        # @param output [IO]
        # @return [void]
        def self.run(input, output) = new(Wire.receive(input)).call(input, output)

        # @param job [Hash] as Ahead makes it
        def initialize(job)
          Store::Database.open_readonly(job[:path])
          id, role = job[:person]
          @workspace = Workspace.new(person: Store::Person.find(id).tap { |person| person.role = role })
          unless @workspace.revision_id == job[:revision]
            raise Store::NotFound,
              Core::Messages["imports.worker_process.design_is_another_one"]
          end

          @source = job[:source]
          @plan = @workspace.plan(job[:table])
          @partition = @workspace.partition(job[:table])
          @drafting = RowToDraft.new(@workspace, @plan.table, @source, job[:settings])
          @brings = job[:settings].as_was ? :as_was : true
          @preparer = Store::RowPreparer.new(@plan.table, @partition)
          @readings = Core::Save::ParseCache.new
          @shapes = Core::InternCache.new
          @origins = Core::InternCache.new
        end

        # @return [void]
        def call(input, output)
          Wire.hand(:ready, output)
          passed = Wire.receive(input)
          portion = RowBatch.new(PORTION)
          @source.each_row do |row, _|
            next passed -= 1 if passed.positive?
            Wire.hand(told(portion.take), output) if portion.add(row, row.size)
          end
          Wire.hand(told(portion.take), output) if portion.any?
          Wire.hand(:end, output)
        rescue Interchange::Unreadable
          # Whoever asked comes upon it too, and tells.
        end

        private

        # What others save meanwhile is read again, but for records of the table itself: none of these rules sees them.
        # @return [Array(Integer, Array<Array>)] number of the log's latest entry, and the rows
        def told(rows)
          at = Store::ChangeLog.latest
          read_again if @at && Store::ChangeLog.others(@at, @plan.table) > 0
          @at = at
          [at, pack(rows)]
        end

        def read_again
          @workspace.renew
          @drafting.forget_all
          @readings = Core::Save::ParseCache.new
        end

        # Process step by step across the batch for cache locality (measurably faster).
        # @return [Array<Array>] number, cells and problem of each row; and of one that was begun
        #   its raw input, of which only the keys matter from here on, and the members of
        #   Core::Save::PartialSave and of Store::PreparedRow
        def pack(rows)
          drafts = rows.map { |row| @drafting.call(row) }
          context = @workspace.context(readings: @readings)
          begun =
            drafts.map do |typed, reasons|
              if reasons.empty?
                Core::Save.run_independent(@plan, Core::Save::Draft.new(typed: typed, brings: @brings), context,
                  @partition)
              end
            end
          prepared = begun.map { |each| each && prepare(each) }
          rows.each_with_index.map do |row, index|
            half = begun[index] or next row.pack

            [
              *row.pack,
              @shapes.one(drafts[index].first.keys) { |keys| keys.to_h { |key| [key, nil] } },
              *half.pack(@plan),
              *prepared[index]
            ]
          end
        end

        def prepare(begun)
          # Looking at the one before is quicker than looking for an equal one.
          begun.origins = @latest = (begun.origins == @latest) ? @latest : @origins.one(begun.origins)
          @preparer.prepare(begun)
        end
      end
    end
  end
end
