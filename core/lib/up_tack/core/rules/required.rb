# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # Refuses a record in which the field is blank.
      class Required < Rule
        PARTS = %w[message].freeze

        def self.kind = "required"
        def self.stage = "validate"

        def problems(table)
          missing = missing_field(table)
          return missing if missing.any?
          return [] if table.rules.none? { |other| other.is_a?(Required) && other.field == field && other.id != id }

          [Design::Problem.new(part: "field", message: "#{table.field(field).label} already must be filled.")]
        end

        def reads(_table) = [field]
        def words(_table) = "must be filled"
        def sentence(table) = "#{table.field(field).label} must be filled."

        # @return [String] what a clerk is told
        def message(table) = @parts["message"].to_s.strip.empty? ? sentence(table) : @parts["message"]

        # @return [Compiled]
        def compile(table) = Compiled.new(rule: self, field: table.field(field), message: message(table))

        # A "must be filled" made ready to run.
        Compiled = Struct.new(:rule, :field, :message, keyword_init: true) do
          # @return [Symbol] :refused, :passed or :skipped
          def verdict(working)
            return :skipped if working.unreadable?(field.key)

            working.values[field.key].nil? ? :refused : :passed
          end

          # @param working [Save::Working]
          def apply(working)
            case verdict(working)
            when :refused then working.refuse(rule, field, message, fields: [field.key], how: "it is blank")
            when :passed then working.pass(rule, field, how: "it is filled")
            else working.skip(rule, field, "#{field.label} can't be read yet")
            end
          end
        end
      end
    end
  end
end
