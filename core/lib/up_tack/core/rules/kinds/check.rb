# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a record for which a condition does not hold, over one field or
        # across several. A condition that comes to blank does not refuse: what is
        # missing is the business of "must be filled".
        class Check < Validation
          kind "check",
            label: "Condition",
            about: "A condition that every record meets.",
            editor: :own,
            begins: {"formula" => ""},
            needs: [%w[formula]]
          part "formula", :condition, label: "What must hold"

          def as_condition(_table) = @parts["formula"]

          def checks? = true

          def reads(table) = formula_reads(table)
          def fields(table) = [field, *formula_reads(table)].uniq

          # A rule about its own field alone leaves the field's name out: "above 0".
          def words(table)
            Expression::Humanizer.new(table.scope, subject: (field if formula_names(table) == [field])).humanize(tree)
          end

          def sentence(table)
            if about_one_field?(table)
              return Messages["rules.all.must_be", field: table.field(field).label, words: words(table)]
            end

            Messages["rules.check.must_hold", condition: Expression::Humanizer.new(table.scope).humanize(tree)]
          end

          def test(table) = ConditionTest.new(formula: compiled(table, expecting: :yes_no))

          private

          def own_problems(table) = formula_problems(table, expecting: :yes_no)

          def about_one_field?(table)
            formula_names(table) == [field] && words(table) != Expression::Humanizer.new(table.scope).humanize(tree)
          end
        end
      end
    end
  end
end
