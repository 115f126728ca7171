# frozen_string_literal: true

module UpTack
  module UseCases
    module Sights
      # What a stamp or tally would write on records that exist, from what the
      # change log knows of them. It fills only what is blank.
      class LogSight < Sight
        # All columns: a record's story is read backwards from all that it holds.
        def columns = nil

        def prepare(batch)
          super
          @known = Upkeep::FromLog.new(@workspace, @design).values([@rule], batch)
        end

        # @return [String] "changes", "same" or "blank"
        def verdict(id, values)
          return "same" unless stored(id, values).nil?

          known(id).nil? ? "blank" : "changes"
        end

        # @return [Hash] verdict:, stored:, result: and how:
        def of(id, values)
          stored = stored(id, values)
          how = if stored.nil?
            known(id).nil? ? "the change log does not know" : "from the change log"
          else
            "kept as it is"
          end
          {verdict: verdict(id, values), stored: shown(stored), result: shown(stored.nil? ? known(id) : stored), how: how}
        end

        private

        def formulas = [@rule.respond_to?(:condition) ? @rule.condition : nil].compact

        def known(id) = @known.fetch(id, {})[@field.key]
      end
    end
  end
end
