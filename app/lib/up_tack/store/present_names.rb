# frozen_string_literal: true

module UpTack
  module Store
    # Values that the log tells, with choices by the names that they go by now.
    class PresentNames
      # @param now [Integer] number of the revision by which they are told
      def initialize(now)
        @now = now
        @names = {}
      end

      # @param entry [Entry]
      # @param change [FieldChange] of it
      # @return [Array(Object, Object)] the values before and after
      def values(entry, change)
        return change.values unless Core::Values[change.type].listed? && renames.any?

        change.values.map do |value|
          value &&
            steps(entry.revision_id).reduce(value) { |name, step| step.fetch(change.field_id, {}).fetch(name, name) }
        end
      end

      private

      # What each step of the design from an entry's to the present one renames.
      def steps(revision)
        @names[revision] ||= lineage
          .steps(from: revision, to: @now)
          .filter_map do |step|
            found = renames[step.back ? step.from : step.to] or next
            if step.back
              found.transform_values { |names| names.invert.select { |name, _| names.values.count(name) == 1 } }
            else
              found
            end
          end
      end

      def lineage = @lineage ||= Lineage.new(Revision.history.order(:id))

      def renames =
        @renames ||=
          Revision
            .where.not(renamed_choices: nil)
            .select(:id, :renamed_choices)
            .to_h { |each| [each.id, each.renames] }
    end
  end
end
