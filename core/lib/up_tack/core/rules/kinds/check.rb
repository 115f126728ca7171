# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a record for which a condition is not met, over one field or
        # across several. A condition whose result is blank does not refuse: what is
        # missing is for a required field to refuse.
        class Check < Validation
          kind "check",
            label: "Custom check",
            about: "Refuses a record unless a condition is true.",
            editor: :own,
            begins: {"formula" => ""},
            needs: [%w[formula]]
          part "formula", :condition, label: "Condition that must be true"

          def as_condition(_table) = @parts["formula"]

          def checks? = true

          def reads(table) = formula_reads(table)
          def fields(table) = [field, *formula_reads(table)].uniq

          # A rule about its own field alone leaves the field's name out: "above 0".
          def words(table)
            alone = formula_names(table) == [field]
            return sentence(table).delete_suffix(".") if !alone && tree.is_a?(Expression::Nodes::Conditional)

            Expression::Humanizer.new(table.scope, subject: (field if alone)).humanize(tree)
          end

          def sentence(table) = Expression::Requirement.new(table.scope).sentence(tree)

          def test(table) = ConditionTest.new(formula: compiled(table, expecting: :yes_no))

          private

          def own_problems(table) = formula_problems(table, expecting: :yes_no)
        end
      end
    end
  end
end
