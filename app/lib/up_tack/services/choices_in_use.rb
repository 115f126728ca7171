# frozen_string_literal: true

module UpTack
  module Services
    # Keeps a choice from being taken off a list while records have it: they
    # would hold a value that no list explains. It can be retired instead.
    class ChoicesInUse
      def initialize(workspace)
        @workspace = workspace
      end

      # @param from [Core::Design::Project]
      # @param to [Core::Design::Project]
      # @param renamed [Hash{String=>Hash{String=>String}}] choices that get another name, by id of the field
      # @raise [Core::Invalid] naming the choices and how many records have them
      def check(from, to, renamed: {})
        used =
          pairs(from, to).flat_map do |table, old, new|
            uses(table, old, old.choices - new.choices - renamed.fetch(old.id, {}).keys)
          end
        return if used.empty?

        named =
          used.map do |table, field, choice, count|
            "#{(count == 1) ? "1 record" : "#{count} records"} " \
              "of #{table.label} #{(count == 1) ? "has" : "have"} “#{choice}” as #{field.label}"
          end
        Core::Invalid.because(
          Core::Messages["services.choices_in_use.retire_it_instead", named: named.join("; ")],
          part: "choices"
        )
      end

      private

      # @return [Array<Array(Table, Field, Field)>] choices before and after
      def pairs(from, to)
        from.tables.flat_map do |table|
          after = to.tables.find { |each| each.id == table.id } or next []
          table.fields.select { |field| field.listed? && table.kept?(field.key) }.filter_map do |field|
            new = after.fields.find { |each| each.id == field.id && each.listed? }
            [table, field, new] if new
          end
        end
      end

      def uses(table, field, gone)
        return [] if gone.empty?

        Store::RecordTable
          .model(table.key)
          .where(field.key => gone)
          .group(field.key)
          .count
          .map { |choice, count| [table, field, choice, count] }
      end
    end
  end
end
