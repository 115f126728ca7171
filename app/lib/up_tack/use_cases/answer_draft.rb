# frozen_string_literal: true

module UpTack
  module UseCases
    # Says what would come of a record that somebody is typing, and writes
    # nothing. Live forms ask it each time a field is left; the bench asks it
    # with a trace, as another person or on another day.
    class AnswerDraft
      def initialize(workspace)
        @workspace = workspace
      end

      # @param id [Integer, nil] the record that is edited; nil for a new one
      # @param copy_of [Integer, nil] a record whose values a new one begins with
      # @param trace [Boolean]
      # @param reasons [Hash{String=>String}] by rule, why warnings are passed
      # @return [Answer] :saved or :refused, for "would be"
      # @raise [Store::NotFound, Core::Design::Invalid]
      def call(table:, typed:, id: nil, copy_of: nil, trace: false, reasons: {})
        plan = @workspace.plan(table)
        Fields.check(plan.table, typed)
        find = FindRecord.new(@workspace)
        stored = id && find.call(table: table, id: id)
        NotAllowed.unless_may(@workspace.person, plan.table, :edit)
        typed = copied(plan.table, find.call(table: table, id: copy_of)).merge(typed) if copy_of
        outcome = Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: stored&.values, id: id, reasons: reasons, live: true), @workspace.context, trace: trace)
        Answer.new(state: outcome.saved? ? :saved : :refused, record: stored, outcome: outcome)
      end

      private

      # A copy gets numbers of its own.
      def copied(design, original)
        numbered = design.rules.grep(Core::Rules::Number).map(&:field)
        design.fields.reject { |field| design.given?(field.key) || numbered.include?(field.key) || original.values[field.key].nil? }.to_h do |field|
          [field.key, field.values.dump(original.values[field.key])]
        end
      end
    end
  end
end
