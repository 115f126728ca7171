# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a value that is not on a list. Capitals are passed over, as they
        # are in every comparison.
        class OneOf < Validation
          kind "one_of",
            label: "Allowed values",
            about: "The value must be one of a list.",
            needs: [%w[values]]
          part "values", :texts, label: "Allowed values, one per line"
          shown_by :listed

          def listed_values(table)
            Array(@parts["values"]).map { |stored| table.field(field).values.load(stored) }
          end

          def constraint(table) = ({among: listed_values(table)} if without_exception?)

          SHOWN = 6

          def self.suits?(field, _table) = field.one_line? || (field.ordered? && !field.moment?)

          def reads(_table) = [field]

          def words(table)
            shown = listed(table).first(SHOWN).map { |value| table.field(field).show(value) }.join(", ")
            Wording["one of %{values}", values: (listed(table).length > SHOWN) ? "#{shown}, …" : shown]
          end

          def sentence(table) = Messages["rules.all.must_be", field: table.field(field).label, words: words(table)]

          # What was typed is kept as the type keeps it.
          def normalized(table, reading)
            design = table.field(field) or return self
            read = Array(@parts["values"]).map { |text| design.read(text, reading) }
            return self if read.any?(Values::Unreadable)

            OneOf.from(attributes.merge("values" => read.compact.map { |value| design.values.dump(value).to_s }))
          end

          def test(table) = Test.new(field: table.field(field), values: listed(table).map { |value| folded(value) })

          # Whether the value is on the list.
          Test =
            Struct.new(:field, :values, keyword_init: true) do
              include Judging

              def call(evaluation)
                value = evaluation.value(field.key)
                return Verdict.new(:skipped, Wording.blank(field)) if value.nil?

                value = Unicode.folded(value) if value.is_a?(String)
                if values.include?(value)
                  Verdict.new(:passed, Wording["it is on the list"])
                else
                  Verdict.new(:refused, Wording["it is not on the list"])
                end
              end
            end

          private

          def listed(table)
            design = table.field(field)
            Array(@parts["values"]).map { |stored| design.values.load(stored) }
          end

          def folded(value) = value.is_a?(String) ? Unicode.folded(value) : value

          def own_problems(table)
            design = table.field(field)
            if design.link? || design.yes_no? || design.long?
              return [problem("field", Messages["rules.one_of.list_is_for_texts_numbers_dates"])]
            end
            if Array(@parts["values"]).empty?
              return [problem("values",
                Messages["rules.one_of.list_needs_at_least_one_value"])]
            end

            read =
              Array(@parts["values"]).map { |text|
                design.read(text, ParseContext.new(conventions: Conventions.from({})))
              }
            wrong = read.find { |value| value.is_a?(Values::Unreadable) }
            return [problem("values", wrong.message)] if wrong

            double = read.map { |value| folded(value) }.tally.find { |_, count| count > 1 }
            double ? [problem("values", Messages[
              "rules.one_of.stands_twice_on_list", value: design.show(double.first)
            ])] : []
          end
        end
      end
    end
  end
end
