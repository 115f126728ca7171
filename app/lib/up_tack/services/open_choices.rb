# frozen_string_literal: true

module UpTack
  module Services
    # The choices that a draft can still take, field by field.
    module OpenChoices
      module_function

      # @param plan [Core::Save::Plan]
      # @param outcome [Core::Save::Outcome]
      # @return [Hash{String=>Array<String>}] by field key, for every choice
      def find(plan, outcome)
        plan
          .table
          .fields
          .select { |field| field.listed? }
          .to_h do |field|
            narrowing = plan.narrowing(field.key)
            [
              field.key,
              field.open_choices.select { |choice| narrowing.nil? || narrowing.belongs?(choice, outcome.evaluation) }
            ]
          end
      end
    end
  end
end
