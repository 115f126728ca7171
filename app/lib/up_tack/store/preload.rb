# frozen_string_literal: true

module UpTack
  module Store
    # Reads the records that formulas will ask for on a batch of records in
    # a few queries, one for each step, never record by record.
    class Preload
      # @param paths [Array<Array<Core::Expression::Step>>] shorter ones first
      # @param records [Store::LinkedRecords]
      def initialize(paths, records)
        @paths = paths
        @records = records
      end

      # @param batch [Array<Array(Integer, #[])>] numbers with values
      def for(batch)
        reached = {[] => batch}
        @paths.each do |steps|
          before = reached[steps[0...-1]] or next
          reached[steps] = step(steps.last, before)
        end
      end

      private

      # @return [Array<Array(Integer, #[])>, nil] the records that the step leads to; nil if they are too many to hold
      def step(step, from)
        return linked(step, from) if step.kind == :linked

        ids = from.filter_map { |_, values| values[step.key] }.uniq
        @records.load(step.target, ids)
        ids.filter_map { |id| (found = @records.find(step.target, id)) && [id, found] }
      end

      def linked(step, from)
        from.map(&:first).each_slice(500).flat_map do |ids|
          @records.load_linked(step.table, step.key, ids) or return nil
        end
      end
    end
  end
end
