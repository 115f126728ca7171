# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # The fields whose changes a stamp, a tally or a log line looks for. Where
      # all are meant, those that the log stage itself writes are not among them.
      class Watched
        # @return [Array<String>]
        attr_reader :keys

        # @param keys [Array<String>] empty for all
        # @return [Watched]
        def self.build(table, keys)
          new(keys.empty? ? table.fields.map(&:key).select { |key| table.kept?(key) && !late?(table, key) } : keys)
        end

        # @return [Boolean] whether the log stage writes the field, or what it is worked out from
        def self.late?(table, key, passed = [])
          return false if passed.include?(key)
          return true if table.rules.any? { |rule| rule.stage == "log" && rule.field == key }

          calculation = table.calculation(key)
          !calculation.nil? && !calculation.once? &&
            calculation.reads(table).any? { |read| late?(table, read, [*passed, key]) }
        end

        def initialize(keys)
          @keys = keys.freeze
          freeze
        end

        # @param working [Save::SaveState]
        def changed_in?(working) = keys.any? { |key| working.changed?(key) }
      end
    end
  end
end
