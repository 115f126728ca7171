# frozen_string_literal: true

module UpTack
  module Recalculation
    # What must follow when one record became another, was made or was deleted. For many
    # records it can wait until all of them are written, where none of their own rules
    # would see the difference: then each sum elsewhere is worked out once.
    class AfterSave
      NONE = {}.freeze
      private_constant :NONE

      # @param workspace [Workspace]
      # @param table [Core::Design::Table]
      # @param buffered [Boolean] whether it waits for `run_deferred`, if it may
      def initialize(workspace, table, buffered: false)
        @workspace = workspace
        @table = table
        @fields =
          table.kept_fields.filter_map do |field|
            readers = workspace.project.upkeep.readers(table.key, field.key).reject { |reader| reader.steps.empty? }
            [field, readers] if readers.any?
          end
        unless buffered && @fields.any? && DeferralPolicy.new(workspace.project, table).wait?(@fields.flat_map(&:last))
          return
        end

        @held = Dirty.new
        @made = []
      end

      # @return [Boolean] whether nothing follows, or it waits
      def quiet? = @fields.empty? || !@held.nil?

      # @param id [Integer]
      # @param before [Hash{String=>Object}] values, empty for a record that was made
      # @param after [Hash{String=>Object}] values, empty for one that was deleted
      # @return [Hash{Array(String, String)=>Integer}] values elsewhere that became other ones;
      #   none yet where they wait
      def run(id, before:, after:)
        return NONE if @fields.empty?
        return hold(id, before, after) if @held

        dirty = Dirty.new
        mark_changed(dirty, id, before, after)
        follow(dirty)
      end

      # Works out what waits.
      # @return [Hash{Array(String, String)=>Integer}] values elsewhere that became other ones
      def run_deferred
        return NONE unless @held

        @fields.each { |_, readers| mark(@held, readers, @made, {}) } if @made.any?
        follow(@held).tap do
          @held = Dirty.new
          @made = []
        end
      end

      # What became another value elsewhere and is waited for there, which is acted on once the save itself is
      # in the log.
      # @return [Hash{Array(String, String)=>Hash{Integer=>Object}}, nil] by table and field, what the records
      #   held before, by their numbers; given once
      def take_moved = @moved.tap { @moved = nil }

      private

      def hold(id, before, after)
        before.empty? ? @made << id : mark_changed(@held, id, before, after)
        {}
      end

      def mark_changed(dirty, id, before, after)
        @fields.each { |field, readers| mark(dirty, readers, [id], before) if before[field.key] != after[field.key] }
      end

      def follow(dirty)
        return {} if dirty.places.empty?

        recalculation = Run.new(@workspace)
        recalculation.run(dirty).tap { @moved = recalculation.moved }
      end

      # What the record reads of itself was worked out when it was saved.
      def mark(dirty, readers, ids, before)
        readers.each do |reader|
          dirty.add(reader.calculation.place, DependentLookup.new(reader.steps).from(ids, before: before))
        end
      end
    end
  end
end
