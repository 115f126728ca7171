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
            writers.empty? ? Messages["design.descriptions.typed_by_people"] : nil,
            *writers.first(MOST_RULES).map { |rule| rule.sentence(table) }
          ]
          others = rules - writers
          said.concat(others.first(MOST_RULES).map { |rule| rule.sentence(table) })
          if others.length > MOST_RULES
            said << Messages["design.descriptions.and_rules_more", number: others.length - MOST_RULES]
          end
          said.compact.join(" ")
        end

        def kind(field, table)
          if field.link?
            return (
              Messages[
                "design.descriptions.link_to_record_of",
                table: table.neighbours.tables.fetch(field.target).label
              ]
            )
          end

          if field.listed?
            more = Wording[", and more"] if field.open_choices.length > 8
            return (
              Messages[
                "design.descriptions.one_of",
                choices: Masks::Phrases.to_sentence(field.open_choices.first(8), "or"),
                more: more
              ]
            )
          end
          described = field.values.described
          return "#{described}." unless field.numeric? && field.decimals

          decimals = Values::Number.decimals_in_words(field.decimals)
          Wording["%{number}; it takes %{decimals}.", number: described, decimals: decimals]
        end

        # @yield [Table] whether another table may be told of
        # @return [String] such as "Links to Members and Clays. Linked from Order lines."; empty without links
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
          [
            (Messages["design.descriptions.it_links_to", links: Masks::Phrases.to_sentence(links)] if links.any?),
            (Messages["design.descriptions.linked_from", tables: Masks::Phrases.to_sentence(back)] if back.any?)
          ].compact.join(" ")
        end
      end
    end
  end
end
