# frozen_string_literal: true

module UpTack
  module Services
    # Writes many records of one table: what counts, which fields the log tells of and what follows elsewhere
    # is written for all of them by `finish`.
    class BulkRecordWriter < RecordWriter
      # What was done of a new record ahead of its writing, by another process.
      # partial:: [Core::Save::PartialSave] what the rules that need no other record made of it
      # row:: [Store::PreparedRow, nil] its columns and what the log says; the outcome has no changes then
      Ahead = Struct.new(:partial, :row)

      # @param more [Hash] as RecordWriter has it
      def initialize(workspace, table, **more)
        super
        @waiting = []
        @wait = importing? && quiet? && partition.order_independent?
      end

      # @param ahead [Ahead, nil]
      # @param more [Hash] as RecordWriter has it
      # @return [Services::SaveResult]
      def write(typed, ahead: nil, **more)
        @ahead = ahead
        super(typed, **more)
      end

      # @return [Boolean] whether nothing of what follows elsewhere could be seen by the next record's rules
      def quiet? = @upkeep.quiet?

      # Writes what is still held back.
      # @return [void]
      def finish
        @counters.finish
        write_waiting
        tell_what_followed
        @log.finish
        echo
        @last = @following = @context = nil
      end

      private

      def importing? = BRINGS.key?(@channel)

      def new_counters = Store::Counters.new(buffered: true)
      def new_upkeep = Recalculation::AfterSave.new(@workspace, @table, buffered: true)

      def new_log =
        Store::LogWriter.new(buffered: true, entries: importing?, open: partition.open_fields)

      # What others hold is looked up once for many.
      def look_around(pending = nil)
        super if pending || @context.nil?
      end

      def outcome(draft)
        return super unless @ahead

        Core::Save.run_dependent(@plan, draft, @ahead.partial, @context, partition, open_only: !@ahead.row.nil?)
      end

      def written(stored, id, outcome)
        return waiting(outcome) if @wait && stored.nil? && id.nil?

        write_waiting
        super.tap { @context&.records&.forget(@table.key) }
      end

      def insert(id, outcome) = @rows.insert(outcome.values, id: id, prepared: @ahead&.row&.cells, open: open_places)

      def log(id, action, title, prepared: @ahead&.row, **what) = super

      # What followed may be seen by the rules of the next.
      def echo
        @context = nil
        @log.finish
        super
      end

      # Where nobody looks at it before, a new record waits for others, to be written with
      # them: each step for all of them takes half the time of all steps for each.
      # @return [Services::StoredRecord] whose version is not known yet
      def waiting(outcome)
        id = @following ||= @rows.following
        @following += 1
        follow(id, NOTHING, outcome.values)
        @waiting << [id, outcome, @last.last, @ahead&.row]
        StoredRecord.new(id: id, values: kept(outcome))
      end

      # Nobody goes on from an imported record, so what is calculated on reading may stay among its values.
      def kept(outcome) = importing? ? outcome.values : super

      def write_waiting
        return if @waiting.empty?

        @rows.insert_all(@waiting.map { |id, outcome, _, row| [id, outcome.values, row&.cells] }, open_places)
        @waiting.each do |id, outcome, title, row|
          log(id, "create", title, changes: outcome.changes, passed: outcome.passed, prepared: row)
        end
        @waiting.clear
        @following = nil
      end

      # What followed from all of them is told with the last one.
      def tell_what_followed
        followed = @upkeep.run_deferred
        return if followed.empty? || @last.nil?

        look_around
        id, title = @last
        log(id, "update", title, changes: [], followed: followed, prepared: nil)
      end

      def partition = @partition ||= @workspace.partition(@table.key)

      def open_places = @open_places ||= partition.open.map(&:last)
    end
  end
end
