# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Cleans a text up, in steps of a listed order: whenever it becomes another
        # one in a save, or as a suggestion that somebody looks at.
        class Tidy < Rule
          kind "tidy",
            label: "Clean-up",
            about: "Corrects a text when it is saved, or suggests a correction.",
            editor: :own,
            begins: {"steps" => [{"do" => "trim"}], "mode" => "save"}
          stage "tidy"
          guide "clean-up"
          effect :tidy
          part "steps", :steps
          part "mode", :choice, choices: [["save", "when saved"], ["suggest", "as a suggestion"]]
          shown_by :untidy
          histories :untidy

          def tidies? = true
          MODES = %w[save suggest].freeze

          def self.suits?(field, table) = field.textual? && !table.rule_owned?(field.key)

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless table.field(field).textual?
              return [problem("field", Messages["rules.tidy.only_texts_can_be_tidied"])]
            end
            if table.worked_out?(field)
              return [problem("field", Messages["rules.tidy.is_worked_out", field: table.field(field).label])]
            end
            unless [nil, *MODES].include?(@parts["mode"])
              return [problem("mode", Messages["rules.tidy.tidying_happens_on_save_or_is_thing"])]
            end

            found = Tidying.problem(steps)
            found ? [problem("steps", found)] : []
          end

          # @return [Array<Hash>]
          def steps = @parts["steps"] || []

          def suggests? = @parts["mode"] == "suggest"
          def writes = [field]

          def words(_table)
            suggests? ? Wording["suggested: %{steps}", steps: Tidying.words(steps)] : Tidying.words(steps)
          end

          def sentence(table) =
            Messages[
              suggests? ? "rules.tidy.sentence_of_suggestions" : "rules.tidy.sentence",
              field: table.field(field).label,
              steps: Tidying.words(steps)
            ]

          def outcomes(_table) =
            suggests? ? [["idle", Wording["it only suggests, and leaves a record as it is"], %w[skipped]]] : super

          def compile(table) = Compiled.new(rule: self, field: table.field(field))

          # @return [String, nil] the text tidied
          def run(text) = Tidying.run(text, steps)

          # A clean-up made ready to run.
          Compiled = Struct.new(:rule, :field, keyword_init: true) do
            # @param working [Save::SaveState]
            def apply(working)
              value = working.values[field.key]
              if value.nil? || working.unreadable?(field.key)
                return working.skip(rule, field,
                  Wording.blank(field))
              end
              return working.skip(rule, field, Wording["only suggested"]) if rule.suggests?
              return working.skip(rule, field, Wording["restored as it was"]) if working.restoring_values?
              return working.skip(rule, field, Wording["it is not changed"]) unless working.changed?(field.key)

              tidied = rule.run(value)
              (tidied == value) ? working.skip(rule, field,
                Wording["nothing to clean up"]) : working.reformat(rule, field, tidied, Wording["tidied"])
            end
          end
        end
      end
    end
  end
end
