# frozen_string_literal: true

module UpTack
  module Services
    # Takes records of one table through the stages and writes them: the record,
    # its number, its entry in the log and what must follow elsewhere. What is the
    # same for all records is made ready once. Used inside one transaction.
    class RecordWriter
      NONE = {}.freeze
      NOTHING = {}.freeze
      private_constant :NONE

      # @param workspace [Workspace]
      # @param table [String] key
      # @param way [String] how they come in, for the change log
      # @param batch [Store::Batch, nil] the greater change that they are part of
      # @param form [String, nil] id of the form in which they are typed
      # @param buffered [Boolean] whether counts, and which fields the log tells of, are written only by `finish`
      def initialize(workspace, table, way:, batch: nil, form: nil, buffered: false)
        @workspace = workspace
        @buffered = buffered
        @plan, @form = workspace.filled_in(table, form)
        @table = @plan.table
        @way = way
        @batch = batch
        @rows = Store::RecordTable.new(@table, @plan.kept_fields)
        @counters = Store::Counters.new(buffered: buffered)
        @log =
          Store::LogWriter.new(buffered: buffered, entries: way == "import",
            open: buffered ? partition.open_fields : [])
        @upkeep = Recalculation::AfterSave.new(workspace, @table, buffered: buffered)
        @waiting = []
        @wait = buffered && way == "import" && @upkeep.quiet? && partition.order_independent?
      end

      # @param stored [Services::StoredRecord, nil] nil for a new record
      # @param id [Integer, nil] number of a deleted record that comes back
      # @param pending [Store::UnsavedOverlay, nil] what is about to be saved beside it
      # @param carried [Hash{String=>Object}] what the form takes over from the record before
      # @param begun [Core::Save::PartialSave, nil] result of the worker's phase 1
      # @param settled [Store::PreparedRow, nil] its serialised columns and log entry; the outcome has no changes then
      # @param more [Hash] what a Core::Save::Draft takes besides
      # @return [Services::SaveResult] :saved or :refused
      # @raise [Core::Invalid] for a field that the table does not have
      def write(typed, stored: nil, id: stored&.id, pending: nil, carried: NONE, begun: nil, settled: nil, **more)
        # A deleted record comes back with all that it had, by the hand of whoever may bring it back.
        check(typed) unless more[:restoring_values] && stored.nil?
        known = id || (pending ? Store::UnsavedOverlay::NEW : nil)
        draft =
          Core::Save::Draft.new(
            typed: typed,
            stored: stored&.values,
            id: known,
            brings: @way == "import",
            carried: @form ? carried.slice(*@form.form.carried) : NONE,
            **more
          )
        @context = @workspace.context(counters: @counters, pending: pending) unless @buffered && @context
        outcome =
          if begun
            Core::Save.run_dependent(@plan, draft, begun, @context, partition, told: !settled.nil?)
          else
            Core::Save.call(@plan, draft, @context)
          end
        return refused(stored, outcome) unless outcome.saved?
        if stored && outcome.changes.empty?
          return SaveResult.new(state: :saved, record: stored, outcome: outcome, table: @table.key)
        end

        SaveResult.new(state: :saved, outcome: outcome, table: @table.key,
          record: written(stored, id, outcome, settled))
      end

      # @return [Boolean] whether nothing of what follows elsewhere could be seen by the next record's rules
      def quiet? = @upkeep.quiet?

      # Writes what is still held back.
      def finish
        @counters.finish
        write_waiting
        follow
        @log.finish
        @upkeep.echo
        @last = @following = @context = nil
      end

      private

      # Records that fill the same fields may share what says so.
      def check(typed)
        return if typed.equal?(@checked)

        @hidden ||=
          if @workspace.visibility.all?
            NOTHING
          else
            @table.fields.reject { |field| @workspace.visibility.field?(field) }.to_h { |field| [field.key, true] }
          end
        known = typed.any? && typed.each_key.all? { |key| @plan.fields.key?(key) && !@hidden.key?(key) }
        Fields.check(@table, typed, @workspace.visibility) unless known
        @checked = typed if typed.frozen?
      end

      # What followed from all of them is told with the last one.
      def follow
        followed = @upkeep.settle
        return if followed.empty? || @last.nil?

        Store::ChangeLog.add(
          table: @table, record_id: @last.first, action: "update", changes: [], followed: followed, log: @log,
          workspace: @workspace, way: @way, title: @last.last, batch: @batch
        )
      end

      def refused(stored, outcome)
        @counters.drop
        SaveResult.new(
          state: :refused,
          record: stored,
          outcome: outcome,
          table: @table.key,
          standing: FormState.of(@plan, @form, outcome, @workspace.person)
        )
      end

      def written(stored, id, outcome, settled)
        return waiting(outcome, settled) if @wait && stored.nil? && id.nil?

        write_waiting
        restored = id
        stored ?
          @rows.update(id, outcome.changes.to_h { |change| [change.field.key, change.after] }) :
          id = @rows.insert(outcome.values, id: id, settled: settled&.cells, open: open_places)
        followed = belongs(id, stored, outcome)
        version = log(id, action(stored, restored), outcome, @last.last, followed, settled)
        @context.records.forget(@table.key) if @buffered
        return StoredRecord.new(id: id, version: version, values: kept(outcome)) if followed.empty?

        @context = nil
        @log.finish
        @upkeep.echo
        StoredRecord.new(id: id, version: Store::ChangeLog.version_of(@table, id), values: @rows.find(id))
      end

      # Where nobody looks at it before, a new record waits for others, to be written with
      # them: each step for all of them takes half the time of all steps for each.
      # @return [Services::StoredRecord] whose version is not known yet
      def waiting(outcome, settled)
        id = @following ||= @rows.following
        @following += 1
        belongs(id, nil, outcome)
        @waiting << [id, outcome, @last.last, settled]
        StoredRecord.new(id: id, values: kept(outcome))
      end

      def write_waiting
        return if @waiting.empty?

        @rows.insert_all(@waiting.map { |id, outcome, _, settled| [id, outcome.values, settled&.cells] }, open_places)
        @waiting.each { |id, outcome, title, settled| log(id, "create", outcome, title, NONE, settled) }
        @waiting.clear
        @following = nil
      end

      # The number that was taken is the record's, and others may follow it.
      # @return [Hash] as Core::AfterSave#run has it
      def belongs(id, stored, outcome)
        @counters.settle(id)
        @last = [id, Core::Save::RecordTitle.of(@table, id, outcome.values)]
        @upkeep.run(id, before: stored ? stored.values : {}, after: outcome.values)
      end

      # @return [Integer] number of the entry
      def log(id, action, outcome, title, followed, settled)
        Store::ChangeLog.add(
          table: @table,
          record_id: id,
          action: action,
          changes: outcome.changes,
          followed: followed,
          records: @context.records,
          log: @log,
          workspace: @workspace,
          way: @way,
          title: title,
          passed: outcome.passed,
          batch: @batch,
          settled: settled
        )
      end

      # Only for records that were begun elsewhere, which are those of no form.
      def partition = @partition ||= @workspace.partition(@table.key)

      def open_places = @open_places ||= partition.open.map(&:last)

      def action(stored, restored)
        return "update" if stored

        restored ? "restore" : "create"
      end

      def kept(outcome)
        return outcome.values if @plan.kept_fields.length == @plan.fields.length

        @plan.kept_fields.to_h { |field| [field.key, outcome.values[field.key]] }
      end
    end
  end
end
