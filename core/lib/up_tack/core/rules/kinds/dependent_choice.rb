# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Which choices, or which linked records, belong to what other fields hold:
        # by a list for each value of a parent field, or by a condition in which the
        # field itself stands for the one looked at. When the others change, a value
        # that no longer belongs is cleared, kept or refused, as the builder says.
        class DependentChoice < Rule
          kind "narrow",
            label: "What belongs",
            about: "Which choices or records another field leaves open.",
            editor: :own,
            begins: {"formula" => "", "otherwise" => "clear"},
            needs: [%w[formula by]]
          stage "fill"
          effect :dependent_choice
          part "by", :field
          part "map", :map
          part "formula", :condition
          part "otherwise", :choice, choices: [["clear", "is cleared"], ["keep", "stays"], ["refuse", "is refused"]]
          part "message", :text
          shown_by :narrowed
          histories :old

          def narrows? = true
          OTHERWISE = %w[clear keep refuse].freeze

          def self.suits?(field, table) = (field.listed? || field.link?) && !table.rule_owned?(field.key)

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless table.field(field).listed? || table.field(field).link?
              return [problem("field", Messages["rules.dependent_choice.only_choice_or_link_can_be_narrowed"])]
            end
            if doubled?(table)
              return [
                problem(
                  "field",
                  Messages["rules.dependent_choice.is_narrowed_already", field: table.field(field).label]
                )
              ]
            end
            unless [nil, *OTHERWISE].include?(@parts["otherwise"])
              return [
                problem(
                  "otherwise",
                  Messages["rules.dependent_choice.what_no_longer_belongs_can_be_cleared"]
                )
              ]
            end

            mapped? ? map_problems(table) : narrowing_problems(table)
          end

          def mapped? = !@parts["by"].nil?
          def otherwise = @parts["otherwise"] || "clear"
          def map = @parts["map"] || {}
          def reads(table) = (mapped? ? [@parts["by"]] : formula_reads(table)) - [field]
          def writes = [field]
          def fields(table) = [field, *reads(table)]
          def names(table) = [field, *key_parts, *(@parts["formula"] ? formula_names(table) : [])].uniq

          def words(table)
            return "by #{table.field(@parts["by"]).label}" if mapped?

            "where #{Expression::Humanizer.new(table.scope).humanize(tree)}"
          end

          def sentence(table)
            ends = {
              "clear" => "one that no longer does is cleared",
              "keep" => "one that no longer does is kept",
              "refuse" => "one that no longer does is refused"
            }
            belonging =
              if mapped?
                "belongs to #{table.field(@parts["by"]).label}"
              else
                "belongs where #{Expression::Humanizer.new(table.scope).humanize(tree)}"
              end
            "#{table.field(field).label} #{belonging}; #{ends.fetch(otherwise)}."
          end

          def with_choices(table, renamed)
            return super unless mapped?

            lists = map.each_with_object({}) do |(parent, values), found|
              name = renamed.name(table.key, @parts["by"], parent)
              found[name] = (found[name] || []) | values.map { |value| renamed.name(table.key, field, value) }
            end
            super.merge("map" => lists)
          end

          # @return [String, nil]
          def outcomes(_table)
            ends = {
              "clear" => ["one that no longer belongs is cleared", %w[cleared]],
              "refuse" => ["one that does not belong is refused", %w[refused]],
              "keep" => ["one that does not belong is turned away", %w[refused skipped]]
            }
            [["belongs", "what belongs is let pass", %w[passed]], ["stray", *ends.fetch(otherwise)]]
          end

          def message(_table) = @parts["message"].to_s.strip.empty? ? nil : @parts["message"]

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              reads: reads(table),
              message: message(table),
              labels: reads(table).map { |key| table.field(key).label },
              formula: mapped? ? nil : compiled(table, expecting: :yes_no),
              by: @parts["by"],
              parent: (parent(table) if mapped?),
              lists:
                map.to_h do |parent, values|
                  [Unicode.folded(parent), values.map { |value| Unicode.folded(value) }]
                end
            )
          end

          # A narrowing made ready to run.
          Compiled =
            Struct.new(:rule, :field, :reads, :message, :labels, :formula, :by, :parent, :lists, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                value = working.values[field.key]
                unread = working.unreadable_among([field.key, *reads])
                return working.skip(rule, field, "#{unread.label} can't be read yet") if unread
                return working.skip(rule, field, "#{field.label} is blank") if value.nil?
                if [field.key, *reads].none? { |key| working.changed?(key) }
                  return working.skip(rule, field, "none of them is changed")
                end
                return working.pass(rule, field) { "it belongs" } if belongs?(value, working.evaluation)

                turn_away(working, value)
              end

              # @param value [Object] a choice, or the number of a linked record
              # @return [Boolean] whether nothing speaks against it
              def belongs?(value, evaluation)
                return formula.call(evaluation.with(field.key, value)) != false if formula

                found = parent.call(evaluation)
                allowed = found && lists[Unicode.folded(found)]
                allowed.nil? || allowed.include?(Unicode.folded(value))
              end

              private

              # What somebody typed after the others is never taken away silently. What is kept is a value
              # that was there before; in which order both were typed is not known when they are saved.
              def turn_away(working, value)
                if rule.otherwise == "keep"
                  fresh = working.typed?(field.key) && working.changed?(field.key)
                  return fresh ? refuse(working, value) : working.skip(rule, field, "kept, though it no longer belongs")
                end
                meant = working.typed?(field.key) && !working.superseded?(field.key, reads)
                return refuse(working, value) if meant || rule.otherwise == "refuse"

                working.reformat(rule, field, nil, "cleared: “#{working.show(field, value)}” does not belong to " \
                  "this #{Masks::Phrases.to_sentence(labels)}", because: reads)
              end

              def refuse(working, value)
                text =
                  message ||
                  Messages[
                    "rules.dependent_choice.does_not_belong_to",
                    value: working.show(field, value),
                    labels: Masks::Phrases.to_sentence(labels)
                  ]
                working.refuse(rule, field, text, fields: [field.key, *reads]) { "it does not belong" }
              end
            end

          private

          # The parent may be calculated, and is then worked out for whoever asks.
          def parent(table) = Expression.compile(@parts["by"], table.scope)

          def map_problems(table)
            parent = table.field(@parts["by"])
            return key_problems(table) unless parent
            unless parent.listed? && table.field(field).listed?
              return [
                problem(
                  "by",
                  Messages["rules.dependent_choice.list_for_each_value_needs_choice_depends"]
                )
              ]
            end
            if parent.key == field
              return [problem("by",
                Messages["rules.dependent_choice.cant_depend_on_itself", parent: parent.label])]
            end

            unknown =
              map.values.flatten.find do |value|
                table
                  .field(field)
                  .choices
                  .none? { |choice| Unicode.folded(choice) == Unicode.folded(value) }
              end
            if unknown
              return [
                problem(
                  "map",
                  Messages[
                    "rules.dependent_choice.is_not_among_choices",
                    unknown: unknown,
                    field: table.field(field).label
                  ]
                )
              ]
            end

            stray =
              map.keys.find do |value|
                parent.choices.none? { |choice| Unicode.folded(choice) == Unicode.folded(value) }
              end
            stray ? [problem("map", Messages[
              "rules.dependent_choice.is_not_among_choices", unknown: stray, field: parent.label
            ])] : []
          end

          def narrowing_problems(table)
            found = formula_problems(table, expecting: :yes_no)
            return found if found.any?
            unless formula_names(table).include?(field)
              return [
                problem(
                  "formula",
                  Messages[
                    "rules.dependent_choice.condition_must_name_which_stands_for_one",
                    field: table.field(field).label
                  ]
                )
              ]
            end

            []
          end
        end
      end
    end
  end
end
