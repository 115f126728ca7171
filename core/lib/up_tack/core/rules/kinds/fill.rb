# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Sets fields to formulas when something happens, and while a condition holds;
        # where it does not hold, to other formulas or not at all.
        #
        # event:: "changed" (one of the watched fields), "reached" (a condition comes
        #   true) or "made" (a new record)
        # watch:: keys of the watched fields; none for all that its formulas read
        # reaches:: the condition that comes true
        # when:: the condition that must hold
        # sets:: [{"field" => key, "to" => formula, "else" => formula or nil}];
        #   `blank` as a formula clears the field
        class Fill < WritingRule
          EVENT_WORDS = [["changed", "when fields change"], ["reached", "when a condition becomes true"],
            ["made", "for a new record"]].freeze

          kind "fill",
            label: "Fill",
            about: "Sets fields when others change, or when a condition becomes true.",
            editor: :own,
            begins: {"event" => "changed", "sets" => [{"field" => "$field", "to" => ""}]},
            needs: [%w[sets]]
          effect :fill
          guide "fill"
          part "event", :choice, choices: EVENT_WORDS
          part "watch", :fields
          part "reaches", :condition
          part "when", :condition
          part "sets", :sets
          part "only_blank", :flag
          part "overrules", :flag
          shown_by :filled
          histories :alone, :filled

          def fills? = true
          EVENTS = %w[changed reached made].freeze

          def event = @parts["event"] || "changed"
          def moved_by_change? = event == "changed"
          def sets = @parts["sets"] || []
          def writes = sets.map { |set| set["field"] }

          def problems(table)
            found = missing_field(table)
            if found.empty? && !EVENTS.include?(event)
              found = [
                problem(
                  "event",
                  Messages["rules.fill.fill_waits_for_change_changed_for_condition"]
                )
              ]
            end
            found = target_key_problems(table, "sets") + key_problems(table) if found.empty?
            return found if found.any?

            found = formulas.keys.flat_map { |part| problems_of(table, part) }
            found = [problem("reaches", Messages["rules.fill.say_which_condition_rule_waits"])] if found.empty? &&
              event == "reached" && @parts["reaches"].to_s.strip.empty?
            found.empty? ? event_problems(table) : found
          end

          def reads(table) = (triggers(table) + formulas.keys.flat_map { |part| formula_reads(table, part: part) }).uniq

          # @return [Array<String>] keys of the fields whose change moves it
          def triggers(table)
            return [] if event == "made"
            return formula_reads(table, part: "reaches") if event == "reached"
            return watch if watch.any?

            formulas
              .keys
              .flat_map { |part| compiled(table, part: part).then { |formula| formula.reads + formula.links } }
              .uniq - writes
          end

          # @param key [String] of a field that it sets
          # @return [Expression::Nodes::Node, nil] the condition under which it sets it; nil for always
          def speaks_while(key)
            set = sets.find { |each| each["field"] == key }
            held =
              [("reaches" if event == "reached"), ("when" if @parts["when"] && !otherwise?(set))].compact.map do |part|
                tree(part)
              end
            held.reduce do |left, right|
              Expression::Nodes::Logic.new(word: "and", left: left, right: right, from: left.from, to: right.to)
            end
          end

          def watch = @parts["watch"] || []

          def names(table) =
            [*writes, *key_parts, *formulas.keys.flat_map { |part| formula_names(table, part: part) }].uniq

          def words(table)
            return name if name

            set_to = sets.map { |set| to_words(table, set["to"]) }.uniq.first(2).join(", ")
            return set_to unless @parts["when"]

            Wording["%{value} while %{condition}", value: set_to, condition: in_words(table, "when")]
          end

          def sentence(table)
            condition = @parts["when"] && in_words(table, "when")
            both = sets.any? { |set| otherwise?(set) }
            said = sets.each_with_index.map { |set, index| set_words(table, set, index, (condition if both)) }
            occasion = occasion(table)
            if condition && !both
              occasion = Wording["%{occasion} and %{condition}", occasion: occasion, condition: condition]
            end
            "#{occasion}, #{Masks::Phrases.to_sentence(said)}#{manner}."
          end

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              triggers: triggers(table),
              reads: reads(table),
              partners: Analysis::Pairs.find(self, table),
              reaches: (compiled(table, expecting: :yes_no, part: "reaches") if event == "reached"),
              condition: (compiled(table, expecting: :yes_no, part: "when") if @parts["when"]),
              sets:
                sets.each_with_index.map do |set, index|
                  target = table.field(set["field"])
                  Setting.new(
                    target,
                    compiled(table, expecting: target.kind, part: "sets.#{index}.to"),
                    (compiled(table, expecting: target.kind, part: "sets.#{index}.else") if otherwise?(set))
                  )
                end,
              origin: origin(table)
            )
          end

          def renamed(table, of:, key:, to:)
            attributes = super
            return attributes if key.nil? || table.key != of

            attributes.merge(
              "sets" => attributes["sets"].map { |set| (set["field"] == key) ? set.merge("field" => to) : set }
            )
          end

          # One field and what it is set to while the condition holds, and where it does not.
          Setting = Struct.new(:field, :to, :otherwise)

          # A fill made ready to run.
          Compiled =
            Struct.new(
              :rule,
              :field,
              :triggers,
              :reads,
              :partners,
              :reaches,
              :condition,
              :sets,
              :origin,
              keyword_init: true
            ) do
              # @param working [Save::SaveState]
              def apply(working)
                unread = working.unreadable_among(reads - rule.writes)
                return working.skip(rule, field, Wording.unread(unread)) if unread
                return working.skip(rule, field, quiet) unless moved?(working)

                fill(working, condition.nil? || condition.call(working.evaluation) == true)
              end

              # @param evaluation [Expression::Evaluation]
              # @return [Array<Array(Design::Field, Object)>] what it would set, were it moved
              def results(evaluation)
                met = condition.nil? || condition.call(evaluation) == true
                sets.filter_map do |set|
                  (formula = met ? set.to : set.otherwise) &&
                    [set.field, set.field.coerce(formula.call(evaluation)), formula]
                end
              end

              private

              def moved?(working)
                case rule.event
                when "made"
                  working.new?
                when "reached"
                  reaches.call(working.evaluation) == true &&
                    (working.new? || reaches.call(working.evaluation_before) != true)
                else
                  triggers.any? { |key| working.changed?(key) && !working.set_by?(key, partners) }
                end
              end

              def quiet
                case rule.event
                when "made" then Wording["only for new records"]
                when "reached" then Wording["its condition did not become true"]
                else Wording["none of its fields changed"]
                end
              end

              def unmet(evaluation) =
                Expression::Explanation.explain([condition], evaluation) { |lines|
                  Wording["condition not met: %{first}", first: lines.first]
                }

              def fill(working, met)
                sets.each do |set|
                  formula = met ? set.to : set.otherwise
                  evaluation = working.evaluation
                  next working.skip(rule, set.field) { unmet(evaluation) } unless formula

                  value = formula.call(evaluation)
                  working.fill(
                    rule,
                    set.field,
                    value,
                    because: triggers,
                    words: origin,
                    how: -> do
                      Expression::Explanation.explain([condition, formula], evaluation) do |lines|
                        [*lines, *evaluation.notes.map(&:last)].join(" → ")
                      end
                    end
                  )
                end
              end
            end

          private

          def formulas
            inner =
              sets.each_with_index.flat_map do |set, index|
                [["sets.#{index}.to", set["to"].to_s], (["sets.#{index}.else", set["else"]] if otherwise?(set))].compact
              end
            super.merge(inner.to_h)
          end

          def taker(part) = (sets[part.split(".")[1].to_i]["field"] if part.start_with?("sets"))

          def otherwise?(set) = !set["else"].to_s.strip.empty?

          def problems_of(table, part)
            return formula_problems(table, expecting: :yes_no, part: part) unless part.start_with?("sets")

            target = table.field(sets[part.split(".")[1].to_i]["field"])
            found = formula_problems(table, expecting: target.kind, part: part)
            if found.empty? && target.link?
              target_problems(table, compiled(table, part: part), part: part, key: target.key)
            else
              found
            end
          end

          def event_problems(table)
            return [] unless event == "changed" && triggers(table).empty?

            [
              problem(
                "watch",
                Messages["rules.fill.nothing_could_change_is_read_here"]
              )
            ]
          end

          def origin(table)
            return Wording["filled by %{rule}", rule: name] if name

            Wording["filled from %{fields}", fields: labels(table)]
          end

          def set_words(table, set, index, condition)
            said =
              Wording[
                "%{field} is set to %{value}",
                field: table.field(set["field"]).label,
                value: in_words(table, "sets.#{index}.to")
              ]
            said = Wording["%{set} if %{condition}", set: said, condition: condition] if condition
            return said unless otherwise?(set)

            Wording["%{set}, else to %{value}", set: said, value: in_words(table, "sets.#{index}.else")]
          end

          def occasion(table)
            case event
            when "made"
              Wording["On a new record"]
            when "reached"
              Wording["When it becomes true that %{words}", words: in_words(table, "reaches")]
            else
              fields = triggers(table).map { |key| label(table, key) }
              Wording["When %{fields} changes", fields: Masks::Phrases.to_sentence(fields, "or")]
            end
          end

          def labels(table) =
            Masks::Phrases
              .to_sentence((triggers(table) - writes).map { |key| label(table, key) }.first(3))
              .then { |text| text.empty? ? Wording["a rule"] : text }

          def in_words(table, part) = Expression::Humanizer.new(table.scope).humanize(tree(part))
          def to_words(table, text) = Expression::Humanizer.new(table.scope).humanize(Expression.parse(text))
        end
      end
    end
  end
end
