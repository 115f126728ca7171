# frozen_string_literal: true

module UpTack
  module UseCases
    # The one use case that writes a record, whichever way it comes in.
    class SaveRecord
      # @param workspace [Workspace]
      # @param way [String] how it comes in, for the change log
      # @param batch [Store::Batch, nil] the greater change that it is a part of
      def initialize(workspace, way: "form", batch: nil)
        @workspace = workspace
        @way = way
        @batch = batch
      end

      # @param table [String] key of the table
      # @param typed [Hash{String=>Object}] raw input by field key
      # @param id [Integer, nil] nil for a new record
      # @param version [Integer, nil] the version that the person saw; nil passes
      #   over what others did meanwhile
      # @param more [Hash] what a Core::Save::Draft takes besides, such as reasons:
      # @return [Answer]
      # @raise [Store::NotFound]
      # @raise [Core::Design::Invalid] for a field that the table does not have
      def call(table:, typed:, id: nil, version: nil, **more)
        look_up_names(table, typed)
        @workspace.write do
          plan = @workspace.plan(table)
          rows = Store::Rows.new(plan.table)
          Fields.check(plan.table, typed)
          stored = id && FindRecord.new(@workspace).call(table: table, id: id)
          theirs = (stored && version) ? Store::ChangeLog.since(plan.table, id, version) : []
          next Answer.new(state: :conflict, record: stored, theirs: theirs) if theirs.any?

          counters = Store::Counters.new
          draft = Core::Save::Draft.new(typed: typed, stored: stored&.values, id: id, brings: @way == "import", **more)
          outcome = Core::Save.call(plan, draft, @workspace.context(counters: counters))
          next Answer.new(state: :refused, record: stored, outcome: outcome) unless outcome.saved?

          written(plan.table, rows, stored, outcome).tap { |answer| counters.settle(answer.record.id) }
        end
      end

      private

      # The names of linked records are read before anybody else has to wait.
      def look_up_names(table, typed)
        return if Store::Database.connection.transaction_open?

        links = @workspace.table(table).fields.select { |field| field.link? && typed[field.key].is_a?(String) }
        links.each { |field| Store::NameIndex.of(@workspace.plan(field.target), @workspace.context) }
      end

      def written(table, rows, stored, outcome)
        return Answer.new(state: :saved, record: stored, outcome: outcome) if stored && outcome.changes.empty?

        id = stored ? stored.id : rows.insert(outcome.values)
        rows.update(id, outcome.changes.to_h { |change| [change.field.key, change.after] }) if stored
        followed = Upkeep::AfterSave.new(@workspace, table).run(id, before: stored ? stored.values : {}, after: outcome.values)
        version = log(table, id, stored, outcome, followed)
        Answer.new(state: :saved, outcome: outcome, record: Record.new(id: id, version: version, values: rows.find(id)))
      end

      def log(table, id, stored, outcome, followed)
        Store::ChangeLog.add(
          table: table, record_id: id, action: stored ? "update" : "create", changes: outcome.changes, followed: followed,
          workspace: @workspace, way: @way, title: Titles.of(table, id, outcome.values), passed: outcome.passed, batch: @batch
        )
      end
    end
  end
end
