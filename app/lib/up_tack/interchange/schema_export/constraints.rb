# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # What the rules of a table say of single fields, as schemas know it: required, unique,
      # bounds, lists, lengths and fixed defaults. `rest` are the rules of which that is not
      # the whole.
      class Constraints
        # Of one field. Values are those of the core, nil where nothing is said.
        Field =
          Struct.new(:required, :unique, :least, :greatest, :among, :shortest, :longest, :default, keyword_init: true)

        # @return [Array<Core::Rules::Rule>]
        attr_reader :rest

        # @param table [Core::Design::Table]
        def initialize(table)
          @table = table
          @fields =
            table.fields.to_h do |field|
              [field.key, Field.new(among: (field.open_choices + field.retired if field.type == "choice"))]
            end
          @rest = table.rules.reject { |rule| said?(rule) }
        end

        # @return [Field]
        def of(key) = @fields.fetch(key)

        private

        def said?(rule)
          plain = rule.to_plain
          return false if rule.is_a?(Core::Rules::Validation) && (rule.warning? || plain["when"] || rule.lets_old?)

          entry = @fields.fetch(rule.field)
          case rule
          when Core::Rules::Required
            entry.required = true
          when Core::Rules::Unique
            rule.keys == [rule.field] && !rule.blanks_equal? && (entry.unique = rule.case? ? :exactly : :folded)
          when Core::Rules::Limits
            limits(entry, plain)
          when Core::Rules::Length
            (entry.shortest, entry.longest = plain.values_at("least", "most")) && true
          when Core::Rules::OneOf
            entry.among = plain["values"].map { |value| @table.field(rule.field).values.load(value) }
          when Core::Rules::Default
            default(rule, entry, plain)
          else
            false
          end
        end

        def limits(entry, plain)
          low, high = plain.values_at("low", "high").map { |formula| formula && (fixed(formula) || (return false)) }
          entry.least, entry.greatest = low, high
          true
        end

        def default(rule, entry, plain)
          return false if rule.worked_out?

          field = @table.field(rule.field)
          entry.default = field.values.load(plain["value"])
          !entry.default.nil?
        end

        # @return [Object, nil] what a formula comes to, where it is always the same
        def fixed(text)
          formula = Core::Expression.compile(text.to_s, @table.scope)
          return if formula.references.any? || formula.fleeting.any? || formula.momentary.any?

          formula.call(Core::Expression::Evaluation.new(values: {}, context: nil))
        rescue Core::Expression::Invalid
          nil
        end
      end
    end
  end
end
