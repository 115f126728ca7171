# frozen_string_literal: true

module UpTack
  module Services
    # Takes records of one table through the stages and writes them: the record,
    # its number, its entry in the log and what must follow elsewhere. What is the
    # same for all records is made ready once. Used inside one transaction.
    class RecordWriter
      NONE = {}.freeze
      NOTHING = {}.freeze
      # Inputs that are remembered as fitting, at most.
      MOST_CHECKED = 100
      # What may come along that only rules would give, by channel.
      BRINGS = {"import" => true, "import as it was" => :as_was}.freeze
      private_constant :NONE

      # @param workspace [Workspace]
      # @param table [String] key
      # @param channel [String] how they come in: one of Store::Entry::CHANNELS
      # @param batch [Store::Batch, nil] the greater change that they are part of
      # @param form [String, nil] id of the form in which they are typed
      def initialize(workspace, table, channel:, batch: nil, form: nil)
        @workspace = workspace
        @plan, @form = workspace.filled_in(table, form)
        @table = @plan.table
        @channel = channel
        unless Store::Entry::CHANNELS.include?(channel)
          raise ArgumentError, Core::Messages["services.record_writer.there_is_no_channel", channel: channel]
        end

        @batch = batch
        @rows = Store::RecordTable.new(@table, @plan.kept_fields)
        @counters, @log, @upkeep = new_counters, new_log, new_upkeep
      end

      # @param stored [Services::StoredRecord, nil] nil for a new record
      # @param id [Integer, nil] number of a deleted record that comes back
      # @param pending [Store::UnsavedOverlay, nil] what is about to be saved beside it
      # @param carried [Hash{String=>Object}] what the form takes over from the record before
      # @param more [Hash] what a Core::Save::Draft takes besides
      # @return [Services::SaveResult] :saved or :refused
      # @raise [Core::Invalid] for a field that the table does not have
      def write(typed, stored: nil, id: stored&.id, pending: nil, carried: NONE, **more)
        Store::RunningBatch.check(@table, stored.id) if stored
        # A deleted record comes back with all that it had, by the hand of whoever may bring it back.
        check(typed) unless more[:restoring_values] && stored.nil?
        known = id || (pending ? Store::UnsavedOverlay::NEW : nil)
        draft =
          Core::Save::Draft.new(
            typed: typed,
            stored: stored&.values,
            id: known,
            brings: BRINGS[@channel],
            carried: @form ? carried.slice(*@form.form.carried) : NONE,
            **more
          )
        look_around(pending)
        outcome = outcome(draft)
        return refused(stored, outcome) unless outcome.saved?
        if stored && outcome.changes.empty?
          return SaveResult.new(state: :saved, record: stored, outcome: outcome, table: @table.key)
        end

        SaveResult.new(state: :saved, outcome: outcome, table: @table.key, record: written(stored, id, outcome))
      end

      # Writes what rules made of a stored record by themselves, as an entry of its own.
      # @param stored [Services::StoredRecord] as it is
      # @param changes [Array<Core::Save::Change>]
      # @param logged [Array<Core::Save::Change>] those that its entry tells of
      # @return [void]
      def amend(stored, changes, logged:)
        look_around
        made = changes.to_h { |change| [change.field.key, change.after] }
        @rows.update(stored.id, made)
        followed = follow(stored.id, stored.values, stored.values.merge(made), @context)
        log(stored.id, "update", @last.last, changes: logged, followed: followed)
        echo
      end

      private

      def new_counters = Store::Counters.new
      def new_log = Store::LogWriter.new
      def new_upkeep = Recalculation::AfterSave.new(@workspace, @table)

      # @param pending [Store::UnsavedOverlay, nil]
      def look_around(pending = nil) = @context = @workspace.context(counters: @counters, pending: pending)

      def outcome(draft) = Core::Save.call(@plan, draft, @context)

      # Records that fill the same fields may share what says so.
      def check(typed)
        return if @checked&.key?(typed)

        @hidden ||=
          if @workspace.visibility.all?
            NOTHING
          else
            @table.fields.reject { |field| @workspace.visibility.field?(field) }.to_h { |field| [field.key, true] }
          end
        known = typed.any? && typed.each_key.all? { |key| @plan.fields.key?(key) && !@hidden.key?(key) }
        Fields.check(@table, typed, @workspace.visibility) unless known
        @checked = {}.compare_by_identity if @checked.nil? || @checked.length >= MOST_CHECKED
        @checked[typed] = true if typed.frozen?
      end

      def refused(stored, outcome)
        @counters.drop
        SaveResult.new(
          state: :refused,
          record: stored,
          outcome: outcome,
          table: @table.key,
          form_state: FormState.build(@plan, @form, outcome, @workspace.person)
        )
      end

      # @return [Services::StoredRecord]
      def written(stored, id, outcome)
        action = action(stored, id)
        outcome.changes.each { |change| check_link(change) }
        if stored
          @rows.update(id, outcome.changes.to_h { |change| [change.field.key, change.after] })
        else
          id = insert(id, outcome)
        end
        followed = follow(id, stored ? stored.values : {}, outcome.values)
        version = log(id, action, @last.last, changes: outcome.changes, passed: outcome.passed, followed: followed)
        return StoredRecord.new(id: id, version: version, values: kept(outcome)) if followed.empty?

        echo
        StoredRecord.new(id: id, version: Store::ChangeLog.version_of(@table, id), values: @rows.find(id))
      end

      # A record that may yet be undone is none to lead to.
      def check_link(change)
        target = change.field.link? && change.after && @workspace.table(change.field.target)
        Store::RunningBatch.check(target, change.after) if target
      end

      # @return [Integer] number of the record
      def insert(id, outcome) = @rows.insert(outcome.values, id: id)

      # The number that was taken is the record's, and others may follow it.
      # @param context [Core::Context, nil] see Core::Save::RecordTitle.find
      # @return [Hash] as Recalculation::AfterSave#run has it
      def follow(id, before, after, context = nil)
        @counters.commit(id)
        @last = [id, Core::Save::RecordTitle.find(@table, id, after, context)]
        @upkeep.run(id, before: before, after: after)
      end

      # Rules act that wait for what became another value elsewhere.
      def echo = DownstreamLogRules.new(@workspace).write(@upkeep.take_moved)

      # @param what [Hash] what Store::ChangeLog.add takes besides
      # @return [Integer] number of the entry
      def log(id, action, title, **what)
        Store::ChangeLog.add(
          table: @table,
          record_id: id,
          action: action,
          title: title,
          records: @context.records,
          log: @log,
          workspace: @workspace,
          channel: @channel,
          batch: @batch,
          **what
        )
      end

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
