# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # Refuses a record for which a condition does not hold, over one field or
      # across several. A condition that comes to blank does not refuse: what is
      # missing is the business of "must be filled".
      class Check < Rule
        PARTS = %w[formula message].freeze

        def self.kind = "check"
        def self.stage = "validate"

        def problems(table)
          missing = missing_field(table)
          missing.any? ? missing : formula_problems(table, expecting: :yes_no)
        end

        def reads(table) = formula_reads(table)
        def fields(table) = [field, *formula_reads(table)].uniq
        def names(table) = [field, *formula_names(table)].uniq

        # A rule about its own field alone leaves the field's name out: "above 0".
        def words(table)
          Expression::Words.new(table.scope, subject: (field if formula_names(table) == [field])).of(tree)
        end

        def sentence(table)
          return "#{table.field(field).label} must be #{words(table)}." if about_one_field?(table)

          "This must hold: #{Expression::Words.new(table.scope).of(tree)}."
        end

        # @return [String] what a clerk is told
        def message(table) = @parts["message"].to_s.strip.empty? ? sentence(table) : @parts["message"]

        # @return [Compiled]
        def compile(table)
          Compiled.new(
            rule: self, field: table.field(field), formula: compiled(table, expecting: :yes_no),
            fields: fields(table), message: message(table)
          )
        end

        # A check made ready to run.
        Compiled = Struct.new(:rule, :field, :formula, :fields, :message, keyword_init: true) do
          # @param working [Save::Working]
          def apply(working)
            unread = working.unreadable_among(formula.reads)
            return working.skip(rule, field, "#{unread.label} can't be read yet") if unread

            evaluation = working.evaluation
            how = -> { formula.with_values(evaluation) }
            case formula.call(evaluation)
            when false then working.refuse(rule, field, message, fields: fields, how: how)
            when true then working.pass(rule, field, how: how)
            else working.skip(rule, field, working.why_blank(formula, evaluation))
            end
          end
        end

        private

        def about_one_field?(table)
          formula_names(table) == [field] && words(table) != Expression::Words.new(table.scope).of(tree)
        end
      end
    end
  end
end
