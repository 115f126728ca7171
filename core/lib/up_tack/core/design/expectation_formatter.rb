# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Says in words what is expected of a trial.
      class ExpectationFormatter
        # @param table [Design::Table]
        # @param records [#title] names linked records
        def initialize(table, records)
          @table = table
          @records = records
        end

        # @param expectation [Design::Expectation]
        # @return [String]
        def format(expectation)
          attributes = expectation.attributes
          label = label(attributes["field"])
          said = case expectation.what
          when "saved" then Wording["it is saved"]
          when "deleted" then Wording["it is deleted"]
          when "refused" then refusal(attributes)
          when "value" then is(label, value(attributes["field"], attributes["is"]))
          when "state" then is(label, Wording[attributes["is"].to_s.tr("_", "-")])
          when "logged" then logged(attributes, label)
          when "unlogged" then Wording["nothing is logged of %{label}", label: label]
          when "number" then Wording["%{label} is numbered as %{mask}", label: label, mask: mask(attributes["fits"])]
          when "cursor" then cursor(attributes)
          end
          return said unless attributes["act"]

          Wording["after action %{number}, %{result}", number: attributes["act"], result: said]
        end

        # @param attributes [Object] a value as a design keeps it
        # @return [String] as it is read
        def value(key, attributes)
          field = @table.field(key.to_s)
          return attributes.nil? ? Wording["blank"] : attributes.to_s unless field

          shown = attributes.nil? ? "" : field.show(field.values.load(attributes), @records)
          shown.empty? ? Wording["blank"] : shown
        rescue ArgumentError, TypeError
          attributes.to_s
        end

        # @return [String] a rule as its tack says it
        def rule(id)
          rule = @table.rule(id.to_s)
          rule ? "“#{rule.tack(@table)}”" : Wording["a deleted rule"]
        end

        def label(key) = @table.field(key.to_s)&.label || key.to_s

        private

        def is(field, value) = Wording["%{field} is %{value}", field: field, value: value]

        def refusal(attributes)
          said = Wording["it is refused"]
          if attributes["rule"]
            said = Wording["%{refused} by %{rule}", refused: said, rule: rule(attributes["rule"])]
          elsif attributes["field"]
            said = Wording["%{refused} at %{field}", refused: said, field: label(attributes["field"])]
          end
          return said unless attributes["message"]

          Wording["%{refused} with “%{message}”", refused: said, message: attributes["message"]]
        end

        def cursor(attributes)
          to = attributes["to"] ? label(attributes["to"]) : Wording["the end"]
          Wording["the cursor goes from %{field} to %{to}", field: label(attributes["after"]), to: to]
        end

        def logged(attributes, label)
          return Wording["%{field} is logged", field: label] if %w[after before].none? { |part| attributes.key?(part) }

          before = "#{value(attributes["field"], attributes["before"])} → " if attributes.key?("before")
          after = value(attributes["field"], attributes["after"])
          Wording["%{field} is logged: %{change}", field: label, change: "#{before}#{after}"]
        end

        def mask(text)
          Masks.read(text.to_s).words
        rescue Masks::Invalid
          text.to_s
        end
      end
    end
  end
end
