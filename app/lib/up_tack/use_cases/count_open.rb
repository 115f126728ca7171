# frozen_string_literal: true

module UpTack
  module UseCases
    # How many old records are still let be by each rule that lets them: they do
    # not hold to it, and nobody has edited them since.
    class CountOpen
      # Answers remembered until a record or the design changes.
      MOST = 200

      @mutex = Mutex.new
      @known = {}

      class << self
        def remembered(key)
          @mutex.synchronize { return @known[key] if @known.key?(key) }
          found = yield
          @mutex.synchronize do
            @known[key] = found
            @known.shift while @known.length > MOST
          end
          found
        end
      end

      def initialize(workspace)
        @workspace = workspace
      end

      # @return [Hash{String=>Integer}] by rule id
      def call(table:)
        design = @workspace.table(table)
        rules = design.rules.select { |rule| rule.respond_to?(:lets_old?) && rule.lets_old? }
        rules.to_h { |rule| [rule.id, CountOpen.remembered([Store::Database.path, @workspace.revision_id, Store::Entry.maximum(:id), rule.id]) { count(design, rule) }] }
      end

      private

      def count(design, rule)
        sight = Sights.for(design, rule, @workspace)
        rows = Store::Rows.new(design)
        sight.begin(rows)
        open = 0
        rows.each_batch(keys: sight.columns) do |batch|
          sight.prepare(batch)
          open += batch.count { |id, values| sight.verdict(id, values) == "refused" }
        end
        open
      end
    end
  end
end
