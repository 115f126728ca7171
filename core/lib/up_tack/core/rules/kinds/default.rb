# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # What a new record opens with in a field: a fixed value, or a formula that
        # is worked out when the record is made. It never touches a record that
        # exists, nor a field that the person filled or cleared.
        class Default < Rule
          kind "default", label: "Default", about: "Fills a field when a record is created.", editor: :own,
            needs: [%w[value formula]]
          stage "default"
          guide "default"
          effect :default
          part "value", :value
          part "formula", :formula
          shown_by :defaulted

          def constraint(table)
            return if worked_out?

            value = table.field(field).values.load(@parts["value"])
            {default: value} unless value.nil?
          end

          def defaults? = true

          def self.suits?(field, table) = !table.rule_owned?(field.key)

          # @return [Boolean] whether a formula gives the value
          def worked_out? = !@parts["formula"].nil?

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            return [doubled(table)] if doubled?(table)

            worked_out? ? formula_problems(table, expecting: table.field(field).kind) : value_problems(table)
          end

          def reads(table) = worked_out? ? formula_reads(table) : []
          def writes = [field]
          def names(table) = worked_out? ? [field, *formula_names(table)] : [field]

          def words(table)
            worked_out? ? Expression::Humanizer.new(table.scope).humanize(tree) : table.field(field).show(fixed(table))
          end

          # A value that can't be read stays as it is, for `problems` to tell.
          def normalized(table, reading)
            field = table.field(self.field)
            return self if worked_out? || field.nil?

            value = field.read(@parts["value"], reading)
            value.is_a?(Values::Unreadable) ? self : Default.from(attributes.merge("value" => field.values.dump(value)))
          end

          def sentence(table) = Messages[
            "rules.default.begins_as", field: table.field(field).label, words: words(table)
          ]

          # @return [Compiled]
          def compile(table)
            field = table.field(self.field)
            formula = compiled(table, expecting: field.kind) if worked_out?
            Compiled.new(
              rule: self,
              field: field,
              formula: formula,
              fixed: formula ? nil : fixed(table),
              origin: words(table)
            )
          end

          # A default made ready to run.
          Compiled =
            Struct.new(:rule, :field, :formula, :fixed, :origin, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                return unless working.new?
                if working.typed?(field.key)
                  return working.skip(rule, field,
                    working.cleared?(field.key) ? Wording["cleared by hand"] : Wording["filled by hand"])
                end
                if working.carried?(field.key)
                  return working.skip(rule, field,
                    Wording["carried over from the previous record"])
                end
                return working.set(rule, field, fixed, origin: Wording["default"]) unless formula

                unread = working.unreadable_among(formula.reads)
                return working.skip(rule, field, Wording.unread(unread)) if unread

                evaluation = working.evaluation
                value = formula.call(evaluation)
                working.set(rule, field, value, origin: origin, notes: evaluation.noted) do
                  Expression::Explanation.explain([formula], evaluation)
                end
              end
            end

          def with_choices(table, renamed)
            attributes = super
            return attributes if worked_out? || !table.field(field).listed?

            attributes.merge("value" => renamed.name(table.key, field, @parts["value"].to_s))
          end

          private

          def taker(_part) = field

          def fixed(table) = table.field(field).values.load(@parts["value"])

          def value_problems(table)
            # Whether a linked record is there is the store's to say, when the rule is saved.
            return [] if table.field(field).link? && @parts["value"].is_a?(Integer)

            read = table.field(field).read(@parts["value"],
              ParseContext.new(conventions: Conventions.from({}), today: nil))
            return [Problem.new(part: "value", message: Messages["rules.default.default_needs_value"])] if read.nil?

            read.is_a?(Values::Unreadable) ? [Problem.new(part: "value", message: read.message)] : []
          end

          def doubled(table)
            Problem.new(
              part: "field",
              message: Messages["rules.default.already_has_default", field: table.field(field).label]
            )
          end
        end
      end
    end
  end
end
