# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # The moment, the day or the person of something that happened to the
        # record, written down by the save in which it happened.
        #
        # event:: "made", "changed" (any field, or those in watch), or "reached" (the
        #   condition in when became true)
        # watch:: keys of fields, empty for all that people or rules change
        # which:: for "reached": the "first" time or the "last"
        # clears:: for "reached": whether it is blank again when the condition ends
        class Stamp < Rule
          EVENT_WORDS = [["made", "the record is new"], ["changed", "fields change"],
            ["reached", "a condition becomes true"]].freeze

          kind "stamp",
            label: "Stamp",
            about: "Records when something happened, or who did it.",
            editor: :own,
            begins: {"event" => "made"},
            needs: [%w[when]]
          stage "log"
          guide "stamp"
          effect :log
          part "event", :choice, choices: EVENT_WORDS
          part "watch", :fields
          part "when", :condition, only: {"event" => "reached"}
          part "which", :choice, choices: [["first", "the first time"], ["last", "the last time"]],
            only: {"event" => "reached"}
          part "clears", :flag, only: {"event" => "reached"}
          shown_by :eventful
          histories :watched

          def names_person? = true
          EVENTS = %w[made changed reached].freeze
          WHICH = %w[first last].freeze

          def backfills? = true
          def self.suits?(field, table) = fits?(field) && !table.rule_owned?(field.key)
          def self.fits?(field) = field.day? || field.moment? || field.one_line?

          def owns? = true
          def event = @parts["event"]
          def watch = @parts["watch"] || []
          def last? = @parts["which"] == "last"
          def clears? = @parts["clears"] == true

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless Stamp.fits?(table.field(field))
              return [problem("field", Messages["rules.stamp.stamp_writes_day_moment_or_as_text"])]
            end
            if doubled?(table)
              return [problem("field", Messages["rules.stamp.has_stamp_already", field: table.field(field).label])]
            end
            if table.worked_out?(field)
              return [
                problem("field", Messages["rules.all.is_worked_out_by_rule_already", field: table.field(field).label])
              ]
            end
            unless EVENTS.include?(event)
              return [
                problem(
                  "event",
                  Messages["rules.stamp.stamp_is_for_when_record_was_made"]
                )
              ]
            end

            own_problems(table)
          end

          def reads(table) = reached? ? formula_reads(table, part: "when") : watch
          def awaited(table) = reads(table)
          def writes = [field]
          def names(table) = [field, *watch, *(reached? ? formula_names(table, part: "when") : [])].uniq

          def words(table)
            by = person?(table)
            case event
            when "made" then by ? Wording["created by"] : Wording["created on"]
            when "changed"
              "#{by ? Wording["last changed by"] : Wording["last changed on"]}#{of_watched(table)}"
            else
              condition = condition_words(table)
              if last?
                Wording["last time that %{condition}", condition: condition]
              else
                Wording["first time that %{condition}", condition: condition]
              end
            end
          end

          def sentence(table)
            "#{table.field(field).label}: #{what(table)}#{"; cleared when that ends" if reached? && clears?}."
          end

          def outcomes(_table) = [["acts", "it is set", %w[set]], ["idle", "it stays as it is", %w[skipped]]]

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              condition: (compiled(table, expecting: :yes_no, part: "when") if reached?),
              watched: Watched.build(table, watch),
              origin: words(table)
            )
          end

          # A stamp made ready to run.
          Compiled =
            Struct.new(:rule, :field, :condition, :watched, :origin, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                if working.brought?(field.key) && !working.values[field.key].nil?
                  return working.skip(rule, field, Wording["kept as it was"])
                end

                case rule.event
                when "made"
                  working.new? ? press(working) : working.skip(rule, field, "created before")
                when "changed"
                  changed(working)
                else
                  reached(working)
                end
              end

              # @param clock [#day_of]
              # @return [Object] what the stamp would write
              def mark(moment, person, clock)
                return person if field.one_line?

                field.day? ? clock.day_of(moment) : Time.at(moment.to_i).utc
              end

              private

              def changed(working)
                watched.changed_in?(working) ? press(working) : working.skip(rule, field,
                  Wording["none of its fields changed"])
              end

              def reached(working)
                unread = working.unreadable_among(condition.reads)
                return working.skip(rule, field, Wording.unread(unread)) if unread

                holds = condition.call(working.evaluation) == true
                held = !working.new? && condition.call(working.evaluation_before) == true
                return ended(working) unless holds
                if held && !(working.values[field.key].nil? && !rule.last?)
                  return working.skip(rule, field, "it was already true")
                end
                if !working.values[field.key].nil? && !rule.last?
                  return working.skip(rule, field, "it became true before")
                end

                press(working)
              end

              def ended(working)
                return working.skip(rule, field, "condition not met") if !rule.clears? || working.values[field.key].nil?

                working.stamp(rule, field, nil, "cleared: condition no longer met")
              end

              def press(working)
                clock = working.clock
                working.stamp(
                  rule,
                  field,
                  field.one_line? ? working.person.name : mark(clock.now, nil, clock),
                  origin
                )
              end
            end

          private

          def what(table)
            changed = watch.empty? ? nil : watched_labels(table)
            return who(table, changed) if person?(table)

            day = table.field(field).day? ? Wording["date"] : Wording["date and time"]
            case event
            when "made" then Wording["%{day} when the record was created", day: day]
            when "changed"
              last = Wording["%{day} of the last change", day: day]
              changed ? Wording["%{last} of %{fields}", last: last, fields: changed] : last
            else Wording["%{day} when %{became}", day: day, became: became(table)]
            end
          end

          def who(table, changed)
            case event
            when "made" then Wording["person who created the record"]
            when "changed"
              Wording["person who last changed %{fields}", fields: changed || Wording["the record"]]
            else
              become = become(table)
              if last?
                Wording["person who last made %{become}", become: become]
              else
                Wording["person who first made %{become}", become: become]
              end
            end
          end

          # "Stage first became “Collected”", or with other conditions that it became true.
          def became(table)
            subject, value = equated(table)
            if subject
              return Wording["%{subject} last became %{value}", subject: subject, value: value] if last?

              return Wording["%{subject} first became %{value}", subject: subject, value: value]
            end
            condition = condition_words(table)
            return Wording["it last became true that %{condition}", condition: condition] if last?

            Wording["it first became true that %{condition}", condition: condition]
          end

          def become(table)
            subject, value = equated(table)
            return Wording["%{subject} become %{value}", subject: subject, value: value] if subject

            Wording["it become true that %{condition}", condition: condition_words(table)]
          end

          # @return [Array<String>, nil] both sides of a condition that a field equals something
          def equated(table)
            condition = tree("when")
            return unless condition.is_a?(Expression::Nodes::Comparison) && condition.sign == "=" &&
              condition.left.is_a?(Expression::Nodes::Field)

            words = Expression::Humanizer.new(table.scope)
            [condition.left, condition.right].map { |side| words.humanize(side) }
          end

          def reached? = event == "reached"
          def person?(table) = table.field(field).one_line?
          def condition_words(table) = Expression::Humanizer.new(table.scope).condition(tree("when"))
          def watched_labels(table) = Masks::Phrases.to_sentence(watch.map { |key| table.field(key).label }, "or")
          def of_watched(table) = watch.empty? ? "" : ": #{watched_labels(table)}"

          def own_problems(table)
            found = key_problems(table)
            return found if found.any?
            return [problem("watch", Messages["rules.stamp.stamp_cant_watch_itself"])] if watch.include?(field)
            return [] unless reached?
            if @parts["when"].to_s.strip.empty?
              return [problem("when",
                Messages["rules.stamp.say_which_condition_it_waits"])]
            end
            unless [nil, *WHICH].include?(@parts["which"])
              return [problem("which", Messages["rules.stamp.it_is_first_time_or_last"])]
            end

            found = formula_problems(table, expecting: :yes_no, part: "when")
            return found if found.any? || compiled(table, part: "when").momentary.empty?

            [
              problem(
                "when",
                Messages["rules.stamp.say_it_without", word: compiled(table, part: "when").momentary.first]
              )
            ]
          end
        end
      end
    end
  end
end
