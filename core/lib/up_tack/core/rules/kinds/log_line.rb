# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # A line in the record's own running account, added by the save in which its
        # event happened. Lines stand one below the other, the oldest first; the
        # field's reading format may turn them round. Earlier lines are never touched.
        #
        # event:: "ticked" (somebody sets the yes/no field in tick, which goes back by
        #   itself), "reached" (the condition in when becomes true) or "changed"
        #   (one of the fields in watch does)
        # formula:: what the line says, after the moment
        # pattern:: how the moment is written (Unicode CLDR), blank for none
        class LogLine < Rule
          EVENT_WORDS = [["ticked", "a box is ticked"], ["changed", "fields change"],
            ["reached", "a condition becomes true"]].freeze

          kind "line",
            label: "Log line",
            about: "Adds a line to a long text when something happens.",
            editor: :own,
            begins: {"event" => "ticked", "formula" => "", "pattern" => "d MMM yyyy, HH:mm"},
            needs: [%w[formula]]
          stage "log"
          guide "log-line"
          effect :line
          part "event", :choice, choices: EVENT_WORDS
          part "tick", :field
          part "when", :condition
          part "watch", :fields
          part "formula", :formula
          part "pattern", :text
          shown_by :eventful
          histories :watched

          def adds_lines? = true
          EVENTS = %w[ticked reached changed].freeze
          PATTERN = "d MMM yyyy, HH:mm"
          # A moment by which a pattern is tried.
          TRIAL = ::Time.utc(2026, 11, 23, 9, 30).freeze

          def self.suits?(field, table) = field.long? && !table.worked_out?(field.key)

          def owns? = true
          def reads_before? = true
          def event = @parts["event"]
          def watch = @parts["watch"] || []
          def tick = @parts["tick"]
          def pattern = @parts["pattern"] || PATTERN

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless table.field(field).long?
              return [problem("field",
                Messages["rules.log_line.running_account_is_long_text"])]
            end
            if table.worked_out?(field)
              return [
                problem("field", Messages["rules.all.is_worked_out_by_rule_already", field: table.field(field).label])
              ]
            end
            unless EVENTS.include?(event)
              return [problem("event", Messages["rules.log_line.line_is_written_when_something_is_ticked"])]
            end

            key_problems(table) + event_problems(table) + formula_problems(table, expecting: :text) + pattern_problems
          end

          def reads(table) = (formula_reads(table) + event_reads(table)).uniq
          def writes = [field]
          def awaited(table) = (event == "reached") ? reads(table) : watch
          def fields(_table) = [field, *(tick if event == "ticked")]

          def names(table) =
            [
              field,
              *key_parts,
              *formula_names(table),
              *((event == "reached") ? formula_names(table, part: "when") : [])
            ].uniq

          def words(table) = Wording["a line when %{event}", event: event_words(table)]

          def sentence(table)
            line = Expression::Humanizer.new(table.scope).humanize(tree)
            back = Wording["; the box is cleared again automatically"] if event == "ticked"
            Messages[
              "rules.log_line.when_gets_line",
              event_words: event_words(table),
              field: table.field(field).label,
              line: line,
              back: back
            ]
          end

          def outcomes(_table)
            [["acts", Wording["a line is written"], %w[set]], ["idle", Wording["no line is written"], %w[skipped]]]
          end

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              tick: (table.field(tick) if event == "ticked"),
              watched: Watched.build(table, watch),
              condition: (compiled(table, expecting: :yes_no, part: "when") if event == "reached"),
              formula: compiled(table, expecting: :text),
              origin: words(table)
            )
          end

          # A log line made ready to run.
          Compiled =
            Struct.new(:rule, :field, :tick, :watched, :condition, :formula, :origin, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                return working.skip(rule, field, Wording["kept as it was"]) if working.brought?(field.key)

                unread = working.unreadable_among(formula.reads + (condition ? condition.reads : []))
                return working.skip(rule, field, Wording.unread(unread)) if unread
                return working.skip(rule, field, Wording["this did not happen"]) unless happened?(working)

                write(working)
              end

              private

              def happened?(working)
                case rule.event
                when "ticked"
                  working.typed?(tick.key) && working.values[tick.key] == true
                when "changed"
                  watched.changed_in?(working)
                else
                  condition.call(working.evaluation) == true &&
                    (working.new? || condition.call(working.evaluation_before) != true)
                end
              end

              def write(working)
                evaluation = working.evaluation
                said = formula.call(evaluation)
                line = [moment(working), said && Values.show(said).gsub(/\s*[\r\n]+\s*/, " / ").strip].compact
                  .reject(&:empty?)
                  .join("  ")
                before = working.values[field.key]
                text = [before, line].compact.join("\n")
                if text.length > Values::LongText::LIMIT
                  return (
                    working.refuse(
                      rule,
                      field,
                      Messages[
                        "rules.log_line.is_full",
                        field: field.label,
                        most: Values::Plain.grouped(Values::LongText::LIMIT)
                      ],
                      fields: [field.key]
                    )
                  )
                end

                working.stamp(rule, field, text, origin)
                working.untick(rule, tick) if tick
              end

              def moment(working)
                return if rule.pattern.strip.empty?

                Values::Patterns.write(working.clock.local(working.clock.now), rule.pattern)
              end
            end

          private

          def event_reads(table) =
            {"ticked" => [tick].compact, "reached" => [], "changed" => watch}.fetch(event, []) +
              ((event == "reached") ? formula_reads(table, part: "when") : [])

          def event_words(table)
            case event
            when "ticked"
              Wording["%{field} is ticked", field: table.field(tick).label]
            when "changed"
              watched = watch.map { |key| table.field(key).label }
              fields = watched.empty? ? Wording["any field"] : Masks::Phrases.to_sentence(watched, "or")
              Wording["%{fields} changes", fields: fields]
            else
              Expression::Humanizer.new(table.scope).condition(tree("when"))
            end
          end

          def event_problems(table)
            case event
            when "ticked"
              tick_problems(table)
            when "reached"
              if @parts["when"].to_s.strip.empty?
                return [problem("when",
                  Messages["rules.log_line.say_which_condition_line_waits"])]
              end

              formula_problems(table, expecting: :yes_no, part: "when")
            else
              []
            end
          end

          def tick_problems(table)
            return [problem("tick", Messages["rules.log_line.pick_yes_no_field_whose_tick_writes"])] if tick.nil?
            return [] if table.field(tick).nil?
            unless table.field(tick).yes_no?
              return [problem("tick", Messages["rules.log_line.is_no_yes_no_field", field: table.field(tick).label])]
            end
            if table.rule_owned?(tick)
              return [
                problem("tick", Messages["rules.log_line.is_given_its_values_by_rule", field: table.field(tick).label])
              ]
            end

            []
          end

          def pattern_problems
            Values::Patterns.write(TRIAL, pattern) unless pattern.strip.empty?
            []
          rescue Values::Patterns::Invalid => e
            [problem("pattern", e.message)]
          end
        end
      end
    end
  end
end
