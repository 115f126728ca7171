# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Writes pieces as a formula.
      class StructuredFormWriter
        NAME = /\A[a-z][a-z0-9_]*(\.[a-z][a-z0-9_]*)*(\(\))?\z/
        RELATIONS = [
          "=",
          "<>",
          "<",
          "<=",
          ">",
          ">=",
          "contains",
          "starts with",
          "ends with",
          "is blank",
          "is not blank",
          "in",
          "not in"
        ].freeze

        # @param pieces [Hash]
        # @return [String]
        # @raise [Invalid]
        def write(pieces)
          case pieces["shape"]
          when "text" then joined(pieces["parts"])
          when "choice" then "if #{tests(pieces)} then #{joined(pieces["met"])} else #{joined(pieces["unmet"])}"
          when "condition" then tests(pieces)
          else wrong(Messages["expression.structured_form_writer.there_is_no_such_shape_of_pieces"])
          end
        end

        private

        def joined(parts)
          texts = list(parts).map { |part| part(part) }
          texts.empty? ? '""' : texts.join(" & ")
        end

        def part(part)
          return quoted(part["text"]) if part.key?("text")

          field = name(part["field"])
          before, after = part.values_at("before", "after").map(&:to_s)
          return field if !part.key?("before") && !part.key?("after")

          inner = [(quoted(before) unless before.empty?), field, (quoted(after) unless after.empty?)].compact.join(
            " & "
          )
          "(if #{field} is blank then \"\" else #{inner})"
        end

        def tests(pieces)
          found = list(pieces["tests"]).map { |test| test(test) }
          wrong(Messages["expression.structured_form_writer.condition_needs_at_least_one_test"]) if found.empty?
          found.join((pieces["match"] == "any") ? " or " : " and ")
        end

        def test(test)
          field = name(test["field"])
          relation = test["relation"]
          wrong(Messages["expression.structured_form_writer.there_is_no_such_test"]) unless RELATIONS.include?(relation)
          return "#{field} #{relation}" if relation.end_with?("blank")
          if relation.end_with?("in")
            return "#{field} #{relation} " \
              "(#{list(test["value"].to_h["list"]).map { |each| value(each) }.join(", ")})"
          end

          "#{field} #{relation} #{value(test["value"])}"
        end

        def value(value)
          kind, given = value.is_a?(Hash) ? value.first : nil
          case kind
          when "text" then quoted(given)
          when "number" then number(given)
          when "date" then "date(#{quoted(given)})"
          when "answer" then given ? "yes" : "no"
          when "field" then name(given)
          else wrong(Messages["expression.structured_form_writer.test_needs_value_to_compare"])
          end
        end

        def number(text)
          return text.to_s if text.to_s.match?(/\A-?\d+(\.\d+)?\z/)

          wrong(
            if text.to_s == ""
              Messages["expression.structured_form_writer.test_needs_number_to_compare"]
            else
              Messages["common.is_not_number", text: Values::Plain.quoted(text.to_s)]
            end
          )
        end

        def name(text)
          return text if text.is_a?(String) && text.match?(NAME)

          wrong(Messages["expression.structured_form_writer.pick_field"])
        end

        def list(given) = (given.is_a?(Array) && given.all?(Hash)) ? given : wrong(Messages[
          "expression.structured_form_writer.pieces_are_not_complete"
        ])

        def quoted(text)
          unless text.nil? || text.is_a?(String)
            wrong(Messages["expression.structured_form_writer.pieces_are_not_complete"])
          end
          "\"#{text.to_s.gsub("\"", "\"\"")}\""
        end

        def wrong(message) = raise(Invalid, [Problem.new(message: message, from: 0, to: 0)])
      end
    end
  end
end
