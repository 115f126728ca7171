# frozen_string_literal: true

module UpTack
  module UseCases
    # Says what deleting a field, or giving it another type, would lose, before
    # anything is done.
    class ForeseeLosses
      # values:: how many values would be gone; examples:: some of them
      # kept:: how many would stay; rules:: sentences of rules that would go along
      Losses = Struct.new(:values, :examples, :kept, :rules, keyword_init: true)

      def initialize(workspace)
        @workspace = workspace
      end

      # @param type [String, nil] the new type; nil for deletion
      # @param choices [Array<String>, nil] those it will have, for a choice
      # @return [Losses]
      # @raise [Store::NotFound, Core::Design::Invalid]
      def call(table:, field:, type: nil, choices: nil)
        old = FindField.new(@workspace).call(table: table, field: field)
        design = @workspace.table(table)
        type.to_s.empty? ? of_deletion(design, old) : of_retyping(design, old, type.to_s, choices || old.choices)
      end

      private

      def of_deletion(design, field)
        rules = Core::Design::Changes::RemoveField.rules_lost(design, field.key)
        Losses.new(values: Store::Rows.new(design).filled.fetch(field.key), examples: [], kept: 0, rules: rules.map { |rule| rule.sentence(design) })
      end

      def of_retyping(design, old, type, choices)
        Core::Design::Invalid.because("There is no field type “#{type}”.", part: "type") unless Core::Values.all.key?(type)

        new = Core::Design::Field.new(**old.to_h, type: type, choices: choices)
        found = Store::Retyping.preview(design, old, new, @workspace.project.conventions)
        Losses.new(values: found[:lost], examples: found[:examples], kept: found[:kept], rules: [])
      end
    end
  end
end
