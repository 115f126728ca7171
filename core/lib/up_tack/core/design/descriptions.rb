# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What Up Tack says by itself of a field or a table, in plain words, from what
      # is set up; beside it stand the builder's own notes.
      module Descriptions
        # How a rule of each stage is spoken of where a field is told.
        MOST_RULES = 12

        module_function

        # @param known [Array<Rules::Rule>] the rules of the table that may be told of
        # @return [String] such as "Number with no decimals. Set by Firing programme. Must be 600 to 1300."
        def field(field, table, known = table.rules)
          rules = known.select { |rule| rule.fields(table).include?(field.key) }
          writers = rules.select { |rule| rule.writes.include?(field.key) || (rule.owns? && rule.field == field.key) }
          said = [
            kind(field, table),
            writers.empty? ? "Typed by people; no rule writes it." : nil,
            *writers.first(MOST_RULES).map { |rule| rule.sentence(table) }
          ]
          others = rules - writers
          said.concat(others.first(MOST_RULES).map { |rule| rule.sentence(table) })
          said << "And #{others.length - MOST_RULES} rules more." if others.length > MOST_RULES
          said.compact.join(" ")
        end

        def kind(field, table)
          return "A link to a record of #{table.neighbours.tables.fetch(field.target).label}." if field.link?

          if field.listed?
            more = ", and more" if field.open_choices.length > 8
            return "One of #{Masks::Phrases.list(field.open_choices.first(8), "or")}#{more}."
          end
          takes = "; it takes #{Values::Number.decimals_in_words(field.decimals)}" if field.numeric? && field.decimals
          "#{field.values.described}#{takes}."
        end

        # @yield [Table] whether another table may be told of
        # @return [String] such as "Each piece has 28 fields; 41 rules hold on every way in. It links to Members and
        # Clays; …"
        def table(table, &known)
          known ||= ->(_) { true }
          links =
            table
              .fields
              .select(&:link?)
              .map { |field| table.neighbours.tables.fetch(field.target) }
              .select(&known)
              .map(&:label)
              .uniq
          back = table.neighbours.links_to(table.key).map(&:first).select(&known).map(&:label).uniq - [table.label]
          fields = count(table.fields.length, "field")
          rules = "#{count(table.rules.length, "rule")} #{(table.rules.length == 1) ? "holds" : "hold"}"
          [
            "Each #{table.record_name.downcase} has #{fields}; #{rules} on every way in.",
            ("It links to #{Masks::Phrases.list(links)}." if links.any?),
            ("#{Masks::Phrases.list(back)} #{(back.length == 1) ? "links" : "link"} here." if back.any?)
          ].compact.join(" ")
        end

        def count(number, word) = "#{number} #{word}#{"s" unless number == 1}"
      end
    end
  end
end
