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
          plain = expectation.plain
          label = label(plain["field"])
          said = case expectation.what
          when "saved" then "it is saved"
          when "deleted" then "it is deleted"
          when "refused" then refusal(plain)
          when "value" then "#{label} is #{value(plain["field"], plain["is"])}"
          when "state" then "#{label} is #{plain["is"].to_s.tr("_", "-")}"
          when "logged" then logged(plain, label)
          when "unlogged" then "nothing is logged of #{label}"
          when "number" then "#{label} is numbered as #{mask(plain["fits"])}"
          when "cursor" then "the cursor goes from #{label(plain["after"])} " \
            "to #{plain["to"] ? label(plain["to"]) : "the end"}"
          end
          plain["act"] ? "after act #{plain["act"]}, #{said}" : said
        end

        # @param plain [Object] a value as a design keeps it
        # @return [String] as it is read
        def value(key, plain)
          field = @table.field(key.to_s)
          return plain.nil? ? "blank" : plain.to_s unless field

          shown = plain.nil? ? "" : field.show(field.values.load(plain), @records)
          shown.empty? ? "blank" : shown
        rescue ArgumentError, TypeError
          plain.to_s
        end

        # @return [String] a rule as its tack says it
        def rule(id)
          rule = @table.rule(id.to_s)
          rule ? "“#{rule.tack(@table)}”" : "a rule that is no longer there"
        end

        def label(key) = @table.field(key.to_s)&.label || key.to_s

        private

        def refusal(plain)
          by = plain["rule"] ? " by #{rule(plain["rule"])}" : ""
          at = (plain["field"] && !plain["rule"]) ? " at #{label(plain["field"])}" : ""
          said = plain["message"] ? " with “#{plain["message"]}”" : ""
          "it is refused#{by}#{at}#{said}"
        end

        def logged(plain, label)
          return "#{label} is logged" unless plain.key?("after") || plain.key?("before")

          before = "#{value(plain["field"], plain["before"])} → " if plain.key?("before")
          "#{label} is logged: #{before}#{value(plain["field"], plain["after"])}"
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
