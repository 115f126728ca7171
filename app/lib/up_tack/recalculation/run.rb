# frozen_string_literal: true

module UpTack
  module Recalculation
    # Works out again what is dirty, and what follows from it, in the order in
    # which values are read; a batch of records at a time, so that it takes no
    # more memory for many. Runs inside the caller's transaction.
    class Run
      # changed:: how many values became other ones, by table and field
      # moved:: what records held before, by table and field, where rules wait for it
      attr_reader :changed, :moved

      # @param workspace [Workspace]
      # @param progress [Progress] is told how far it is, and may say stop
      def initialize(workspace, progress: Progress.none)
        @workspace = workspace
        @upkeep = workspace.project.upkeep
        @progress = progress
        @changed = Hash.new(0)
        @moved = {}
      end

      # @param dirty [Recalculation::Dirty]
      # @return [Hash{Array(String, String)=>Integer}] values that became other ones
      # @raise [Progress::Stopped]
      def run(dirty)
        @upkeep.order.each do |calculation|
          ids = dirty.take(calculation.place) or next
          ids = again(calculation, ids)
          next if ids.empty?

          @upkeep
            .readers(*calculation.place)
            .each { |reader| dirty.add(reader.calculation.place, DependentLookup.new(reader.steps).from(few(ids))) }
        end
        changed
      end

      private

      def few(ids) = (ids.length > Dirty::MOST) ? :all : ids

      # @return [Array<Integer>] records whose value became another one; many more than Recalculation::Dirty::MOST
      #   are not all told
      def again(calculation, ids)
        found = []
        @progress.begin(
          calculation.table.label,
          calculation.field.label,
          (ids == :all) ? Store::RecordTable.new(calculation.table).count : ids.length
        )
        writer = Run::Writer.new(calculation)
        awaited = AwaitedFields.awaited?(calculation.table, calculation.field.key)
        Store::RecordTable.new(calculation.table).each_batch((ids == :all) ? nil : ids) do |batch|
          changes = differences(calculation, batch)
          remember(calculation, changes, batch) if awaited
          writer.write(changes)
          changed[calculation.place] += changes.length
          found.concat(changes.map(&:first)) if found.length <= Dirty::MOST
          @progress.advance(batch.length)
        end
        found
      ensure
        writer&.close
      end

      def remember(calculation, changes, batch)
        before = batch.to_h
        held = (moved[calculation.place] ||= {})
        changes.each do |id, _|
          held[id] = before.fetch(id)[calculation.field.key] unless held.key?(id) || held.length >= Dirty::MOST
        end
      end

      # @return [Array<Array(Integer, Object)>] numbers with new values
      def differences(calculation, batch)
        context = @workspace.context
        context.records.preload(@upkeep.paths(calculation), batch)
        key = calculation.field.key
        formula = calculation.formula
        given =
          if calculation.rule.once?
            Store::ChangeLog.ever_given(calculation.table, calculation.field, batch.map(&:first))
          else
            []
          end
        batch.filter_map do |id, row|
          next if calculation.rule.once? && (!row[key].nil? || given.include?(id))

          value =
            coerced(
              calculation.field,
              formula.call(
                Core::Expression::Evaluation.new(values: row, old: row, context: context, is_new: false, id: id)
              )
            )
          # What is given once stays open while its inputs are not there.
          next if value == row[key] || (calculation.rule.once? && value.nil?)

          [id, value]
        end
      end

      def coerced(field, value)
        value = field.coerce(value)
        value.is_a?(Core::Values::Unreadable) ? nil : value
      end

      # Writes the values of one field, by one statement made once.
      class Writer
        def initialize(calculation)
          @calculation = calculation
        end

        # @param changes [Array<Array(Integer, Object)>]
        def write(changes)
          changes.each { |id, value| statement.execute(Store::ColumnCodec.write(value), id) }
        end

        def close = @statement&.close

        private

        def statement
          @statement ||=
            begin
              connection = Store::Database.connection
              table, column =
                [@calculation.table.key, @calculation.field.key].map { |name| connection.quote_table_name(name) }
              connection.raw_connection.prepare("UPDATE #{table} SET #{column} = ? WHERE id = ?")
            end
        end
      end
    end
  end
end
