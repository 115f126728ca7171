# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Which choices, or which linked records, fit the values of other fields:
        # by a list for each value of a parent field, or by a condition in which the
        # field itself stands for the one looked at. When the others change, a value
        # that no longer fits is cleared, kept or refused, as the builder says.
        class DependentChoice < Rule
          kind "narrow",
            label: "Allowed choices",
            about: "Offers only choices that fit another field.",
            editor: :own,
            begins: {"formula" => "", "otherwise" => "clear"},
            needs: [%w[formula by]]
          stage "fill"
          guide "allowed-choices"
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
            return Wording["by %{field}", field: table.field(@parts["by"]).label] if mapped?

            Wording["where %{words}", words: Expression::Humanizer.new(table.scope).humanize(tree)]
          end

          def sentence(table)
            label = table.field(field).label
            "#{label} #{offered(table)}; #{OTHERWISE_SAID.fetch(otherwise).call}."
          end

          OTHERWISE_SAID = {
            "clear" => -> { Wording["a choice that no longer fits is cleared"] },
            "keep" => -> { Wording["a choice that no longer fits is kept"] },
            "refuse" => -> { Wording["a choice that no longer fits is refused"] }
          }.freeze

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
              "clear" => [Wording["a choice that no longer fits is cleared"], %w[cleared]],
              "refuse" => [Wording["a choice that does not fit is refused"], %w[refused]],
              "keep" => [Wording["a new choice that does not fit is refused"], %w[refused skipped]]
            }
            [["belongs", Wording["an allowed choice passes"], %w[passed]], ["stray", *ends.fetch(otherwise)]]
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
                return working.skip(rule, field, Wording.unread(unread)) if unread
                return working.skip(rule, field, Wording.blank(field)) if value.nil?
                if [field.key, *reads].none? { |key| working.changed?(key) }
                  return working.skip(rule, field, Wording["none of its fields changed"])
                end
                if belongs?(value, working.evaluation)
                  return working.pass(rule, field) {
                    Wording["the choice is allowed"]
                  }
                end

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
                  return refuse(working, value) if fresh

                  return working.skip(rule, field, Wording["kept, although it is no longer allowed"])
                end
                meant = working.typed?(field.key) && !working.superseded?(field.key, reads)
                return refuse(working, value) if meant || rule.otherwise == "refuse"

                stray = {value: working.show(field, value), parents: Masks::Phrases.to_sentence(labels)}
                why = Wording["cleared: “%{value}” is not available for this %{parents}", **stray]
                working.reformat(rule, field, nil, why, because: reads)
              end

              def refuse(working, value)
                text =
                  message ||
                  Messages[
                    "rules.dependent_choice.does_not_belong_to",
                    value: working.show(field, value),
                    labels: Masks::Phrases.to_sentence(labels)
                  ]
                working.refuse(rule, field, text, fields: [field.key, *reads]) { Wording["the choice is not allowed"] }
              end
            end

          private

          def offered(table)
            if mapped?
              return Wording["offers only choices allowed for %{field}", field: table.field(@parts["by"]).label]
            end

            condition = Expression::Humanizer.new(table.scope).condition(tree)
            if table.field(field).link?
              Wording["offers only records where %{condition}", condition: condition]
            else
              Wording["offers only choices where %{condition}", condition: condition]
            end
          end

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
