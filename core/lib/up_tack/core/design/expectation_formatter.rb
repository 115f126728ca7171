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
          when "saved" then "it is saved"
          when "deleted" then "it is deleted"
          when "refused" then refusal(attributes)
          when "value" then "#{label} is #{value(attributes["field"], attributes["is"])}"
          when "state" then "#{label} is #{attributes["is"].to_s.tr("_", "-")}"
          when "logged" then logged(attributes, label)
          when "unlogged" then "nothing is logged of #{label}"
          when "number" then "#{label} is numbered as #{mask(attributes["fits"])}"
          when "cursor" then "the cursor goes from #{label(attributes["after"])} " \
            "to #{attributes["to"] ? label(attributes["to"]) : "the end"}"
          end
          attributes["act"] ? "after action #{attributes["act"]}, #{said}" : said
        end

        # @param attributes [Object] a value as a design keeps it
        # @return [String] as it is read
        def value(key, attributes)
          field = @table.field(key.to_s)
          return attributes.nil? ? "blank" : attributes.to_s unless field

          shown = attributes.nil? ? "" : field.show(field.values.load(attributes), @records)
          shown.empty? ? "blank" : shown
        rescue ArgumentError, TypeError
          attributes.to_s
        end

        # @return [String] a rule as its tack says it
        def rule(id)
          rule = @table.rule(id.to_s)
          rule ? "“#{rule.tack(@table)}”" : "a deleted rule"
        end

        def label(key) = @table.field(key.to_s)&.label || key.to_s

        private

        def refusal(attributes)
          by = attributes["rule"] ? " by #{rule(attributes["rule"])}" : ""
          at = (attributes["field"] && !attributes["rule"]) ? " at #{label(attributes["field"])}" : ""
          said = attributes["message"] ? " with “#{attributes["message"]}”" : ""
          "it is refused#{by}#{at}#{said}"
        end

        def logged(attributes, label)
          return "#{label} is logged" unless attributes.key?("after") || attributes.key?("before")

          before = "#{value(attributes["field"], attributes["before"])} → " if attributes.key?("before")
          "#{label} is logged: #{before}#{value(attributes["field"], attributes["after"])}"
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
