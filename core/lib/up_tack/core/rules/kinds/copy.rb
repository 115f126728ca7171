# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Copies a detail of a linked record at the moment at which the link is
        # chosen. Afterwards it is a plain value: it can be changed by hand and does
        # not follow the linked record.
        class Copy < Rule
          kind "copy",
            label: "Copied from link",
            about: "Copies a field of the linked record when the link is selected.",
            editor: :own,
            begins: {"formula" => ""},
            needs: [%w[formula]]
          stage "fill"
          guide "links-and-lines"
          effect :copy
          part "formula", :formula
          shown_by :copied

          def copies? = true

          def self.suits?(field, table) = !field.link? && !table.rule_owned?(field.key)

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            return [problem("field", Messages["rules.copy.link_is_picked_not_copied"])] if table.field(field).link?
            if table.worked_out?(field)
              return [
                problem("field", Messages["rules.all.is_worked_out_by_rule_already", field: table.field(field).label])
              ]
            end
            if doubled?(table)
              return [problem("field", Messages["rules.copy.is_copied_already", field: table.field(field).label])]
            end

            found = formula_problems(table, expecting: table.field(field).kind)
            return found if found.any?
            unless links(table).any?
              return [problem("formula", Messages["rules.copy.name_detail_of_linked_record"])]
            end

            []
          end

          def reads(table) = links(table)
          def writes = [field]
          def names(table) = [field, *formula_names(table)].uniq

          def words(table)
            Wording["copied from %{words}", words: Expression::Humanizer.new(table.scope).humanize(tree)]
          end

          def sentence(table) = Messages[
            "rules.copy.is_copied_from_when_is_chosen",
            field: table.field(field).label,
            condition: Expression::Humanizer.new(table.scope).humanize(tree),
            links: Masks::Phrases.to_sentence(links(table).map { |key| table.field(key).label })
          ]

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              links: links(table),
              formula: compiled(table, expecting: table.field(field).kind),
              origin: words(table)
            )
          end

          # A copying made ready to run.
          Compiled =
            Struct.new(:rule, :field, :links, :formula, :origin, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                unread = working.unreadable_among(links)
                return working.skip(rule, field, Wording.unread(unread)) if unread
                if links.none? { |key| working.changed?(key) }
                  return working.skip(rule, field, Wording["the link is not changed"])
                end
                if working.typed?(field.key) && !working.superseded?(field.key, links)
                  return working.skip(rule, field, Wording["filled by hand"])
                end

                value = field.coerce(formula.call(working.evaluation))
                return working.skip(rule, field, value.message) if value.is_a?(Values::Unreadable)
                if value == working.values[field.key] && !working.typed?(field.key)
                  return working.skip(rule, field, Wording["it has that value already"])
                end

                working.reformat(rule, field, value, origin, because: links)
              end
            end

          private

          def taker(_part) = field

          # @return [Array<String>] keys of the links of this table along which it reads
          def links(table)
            compiled(table).links
          end
        end
      end
    end
  end
end
