# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class Mutants
        # What a mistake in a setting comes to, for people.
        module Words
          SETTINGS = {
            "half" => {"clear" => "incomplete input is cleared", "refuse" => "incomplete input is refused"},
            "severity" => {"warn" => "it only warns", "refuse" => "it refuses instead of warning"},
            "old" => {"let" => "existing records are not checked", "check" => "existing records are checked too"},
            "blanks" => {"equal" => "blanks count as the same", "apart" => "blanks are ignored"},
            "mode" => {"save" => "it runs when a record is saved", "suggest" => "it only suggests"},
            "otherwise" => {
              "clear" => "the value is cleared otherwise",
              "keep" => "the value is kept otherwise",
              "refuse" => "the record is refused otherwise",
              "leave" => "the fields are left as they are otherwise"
            },
            "which" => {"first" => "the first time counts", "last" => "the last time counts"},
            "event" => {
              "changed" => "it runs on a change",
              "reached" => "it runs when a condition becomes true",
              "made" => "it runs on new records",
              "ticked" => "it runs on a tick"
            },
            "keeping" => {"always" => "it always equals its formula", "once" => "it is calculated once"},
            "state" => {
              "shown" => "the field is shown under the condition",
              "enabled" => "the field can be typed in under the condition",
              "required" => "the field is required under the condition",
              "read_only" => "the field is read-only under the condition"
            },
            "except_role" => {
              nil => "it applies to everybody",
              "builder" => "builders are excepted",
              "clerk" => "clerks are exempt"
            },
            "case" => {true => "case counts", nil => "case does not count"},
            "by_hand" => {true => "people may type another number", nil => "people may not type a number"},
            "follow" => {true => "a number follows its letters", nil => "a number stays as it was given"},
            "clears" => {true => "it is cleared when that ends", nil => "it stays when that ends"},
            "only_blank" => {true => "it fills blank fields only", nil => "it fills fields that have a value too"},
            "overrules" => {true => "it overrules what was typed", nil => "what was typed stays"},
            "whole" => {true => "the whole record is locked", nil => "only the listed fields are locked"},
            "enforced" => {true => "it is enforced for import and API too", nil => "it is for forms alone"}
          }.freeze
          WHOLE = {
            "least" => "at least %{number} characters",
            "most" => "at most %{number} characters",
            "start" => "the count starts at %{number}",
            "step" => "the count increases by %{number}"
          }.freeze

          module_function

          # @param part [Rules::Part] a choice or a flag
          # @param value [String, Boolean, nil] what it is by mistake
          # @return [String]
          def setting(part, value)
            words = SETTINGS.dig(part.key, value)
            return Wording[words] if words

            said = part.said_choices.to_h.fetch(value) { value ? Wording["set"] : Wording["not set"] }
            "#{part.label || part.key} #{said}"
          end

          # @param part [Rules::Part] a whole number
          # @return [String]
          def whole(part, number)
            words = WHOLE[part.key]
            words ? Wording[words, number: number] : "#{part.label || part.key} #{number}"
          end

          # @return [String] a list without one of its entries
          def left_out(part, entry, table)
            return Wording["the step “%{step}” left out", step: entry["do"]] if part == "steps"

            Wording["“%{field}” left out", field: table.field(entry)&.label || entry]
          end
        end
      end
    end
  end
end
