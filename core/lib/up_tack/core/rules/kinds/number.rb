# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # A number that the record is given when it is saved for the first time,
        # once and for good: put together by a formula in which `counter(…)` stands
        # for the count.
        #
        # series:: formula whose every value has a count of its own; nil for one count
        # start, step:: of the count
        # by_hand:: whether people may type another number instead
        # follow:: whether a number given is put together anew when its letters change
        class Number < Rule
          kind "number",
            label: "Auto-number",
            about: "Assigns each record a number when it is first saved.",
            editor: :own,
            begins: {"formula" => "", "start" => 1, "step" => 1},
            needs: [%w[formula]]
          stage "number"
          guide "auto-number"
          effect :number
          part "formula", :formula
          part "series", :formula
          part "start", :whole, usual: 1
          part "step", :whole, usual: 1
          part "by_hand", :flag
          part "follow", :flag
          histories :numbered

          def numbers? = true
          # Stands for the count while what is around it is found out (private use area).
          MARK = "\u{E000}"

          def self.suits?(field, table) = (field.one_line? || field.numeric?) && !table.rule_owned?(field.key)

          def start = @parts["start"] || 1
          def step = @parts["step"] || 1
          def by_hand? = @parts["by_hand"] == true
          def follow? = @parts["follow"] == true
          def owns? = !by_hand?
          def fills_always? = true
          def series? = !@parts["series"].to_s.strip.empty?

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless table.field(field).one_line? || table.field(field).numeric?
              return [problem("field", Messages["rules.number.number_is_given_to_field_for_text"])]
            end
            if doubled?(table)
              return [
                problem(
                  "field",
                  Messages["rules.number.is_given_number_by_rule_already", field: table.field(field).label]
                )
              ]
            end
            if table.worked_out?(field)
              return [
                problem("field", Messages["rules.all.is_worked_out_by_rule_already", field: table.field(field).label])
              ]
            end

            count_problems + of_formula(table) +
              (series? ? formula_problems(table, expecting: nil, part: "series") + of_series(table) : [])
          end

          def reads(table) = (formula_reads(table) + (series? ? formula_reads(table, part: "series") : [])).uniq
          def writes = [field]
          def names(table) = [field, *formula_names(table), *(series? ? formula_names(table, part: "series") : [])].uniq

          def words(table)
            words = in_words(table)
            return words unless series?

            Wording["%{number}, restarting for each %{series}", number: words, series: in_words(table, "series")]
          end

          def sentence(table)
            more = [
              (Wording["restarts for each %{words}", words: in_words(table, "series")] if series?),
              (Wording["starts at %{start}", start: start] unless start == 1),
              (Wording["increases by %{step}", step: step] unless step == 1)
            ].compact
            Messages[
              "rules.number.is_number_given_when_record_is_first",
              field: table.field(field).label,
              formula: in_words(table),
              more: (", #{more.join(", ")}" if more.any?)
            ]
          end

          # @return [Integer] digits that the count is filled up to
          def digits(table) = compiled(table).counters.max

          def outcomes(_table) =
            [["acts", "a new record gets its number", %w[set]], ["idle", "a record that has one keeps it", %w[skipped]]]

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              formula: compiled(table),
              series: (compiled(table, part: "series") if series?),
              origin: in_words(table),
              labels: table.fields.to_h { |each| [each.key, each.label] }
            )
          end

          # An auto-number made ready to run.
          Compiled =
            Struct.new(:rule, :field, :formula, :series, :origin, :labels, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                unread = working.unreadable_among(reads)
                return working.skip(rule, field, Wording.unread(unread)) if unread
                return keep(working) if working.number_supplied?(field.key)
                return follow(working) if rule.follow? && !working.values[field.key].nil? && !working.new?
                return working.skip(rule, field, "the number was already used") unless working.values[field.key].nil?
                unless working.new? || working.numbering?
                  return working.skip(rule, field, "numbers are assigned to new records, or on request")
                end

                give(working)
              end

              # @return [Array<String>]
              def reads = @reads ||= (formula.reads + (series ? series.reads : [])).uniq.freeze

              # What a text that stands in the field says of its series and count.
              # @param evaluation [Expression::Evaluation] of the record that has it
              # @return [Array(String, Integer)] either is nil where it can't be told
              def series_and_count(evaluation, text)
                around = compose(evaluation, MARK).to_s
                parts = around.split(MARK, -1)
                shape = /\A#{parts.map { |part| Regexp.escape(part) }.join("(\\d{1,15})")}\z/
                found = (parts.length > 1) ? shape.match(text)&.captures : nil
                [series_of(evaluation), (found.uniq.first.to_i if found && found.map(&:to_i).uniq.one?)]
              end

              # @return [String, nil] the number as it would be with a count
              def compose(evaluation, count)
                evaluation.count = count
                formula.call(evaluation)
              end

              # @return [String, nil] key of the series, "" where there is only one
              def series_of(evaluation)
                return "" unless series

                value = series.call(evaluation)
                # Keys of series are kept, so they are written alike whatever the firm's marks and words.
                value.nil? ? nil : {true => "yes", false => "no"}.fetch(value) { Values.show(value) }
              end

              # @return [Counting] what the store needs to know to count
              def counting(key) =
                (key == "") ?
                  @counting ||= Counting.new(field.id, "", rule.start, rule.step).freeze :
                  Counting.new(field.id, key, rule.start, rule.step)

              private

              def give(working)
                key = series_of(working.evaluation)
                return refuse_blank(working) if key.nil?

                counting = counting(key)
                count, text = free(working, counting)
                unless text
                  return working.refuse(
                    rule,
                    field,
                    Messages["rules.number.would_be_longer_than", field: field.label],
                    fields: [field.key]
                  )
                end

                working.counters.take(counting, count, text)
                working.number(rule, field, value_of(text)) {
                  counted = Wording["count %{count}", count: count]
                  series ? "#{key}: #{counted}" : counted
                }
              end

              # The next count whose number nobody has had.
              def free(working, counting)
                count = working.counters.next(counting)
                evaluation = working.evaluation
                loop do
                  text = compose(evaluation, count)
                  if text.nil? || text.length > Values::Text::LIMIT || count.to_s.length > Numbers::KEPT_DIGITS
                    return count, nil
                  end
                  return count, text if working.counters.owner(field.id, text).nil?

                  count += rule.step
                end
              end

              # A number that came along, typed or imported, is kept, and the count moves past it.
              def keep(working)
                value = working.values[field.key]
                if value.nil?
                  return working.refuse(
                    rule,
                    field,
                    Messages["rules.number.stays_as_it_was_given", field: field.label],
                    fields: [field.key]
                  )
                end

                text = Values.show(value)
                owner = working.counters.owner(field.id, text)
                if owner && owner != working.id
                  return working.refuse(
                    rule,
                    field,
                    Messages["rules.number.was_given_before", text: text, owner: working.known_as(owner)],
                    fields: [field.key]
                  )
                end

                key, count = series_and_count(working.evaluation, text)
                working.counters.keep(counting(key || ""), count, text)
                working.pass(rule, field) {
                  count ? Wording["kept; counting continues after %{count}", count: count] : Wording["kept"]
                }
              end

              # Letters that changed since the number was given are written anew.
              def follow(working)
                before, now =
                  [working.evaluation_before, working.evaluation].map do |evaluation|
                    [compose(evaluation, MARK), series_of(evaluation)]
                  end
                return working.skip(rule, field, "the fields it is built from did not change") if before == now
                return give(working) unless before.last == now.last

                count = working.counters.count_of(field.id, Values.show(working.values[field.key])) or
                  return working.skip(rule, field, "its count is not known")
                text = compose(working.evaluation, count)
                return give(working) if working.counters.owner(field.id, text)

                working.counters.keep(counting(now.last || ""), count, text)
                working.number(rule, field, value_of(text)) { "its letters changed" }
              end

              def refuse_blank(working)
                blank = series.reads.find { |key| working.values[key].nil? }
                place = blank || field.key
                working.refuse(
                  rule,
                  field,
                  Messages[
                    blank ? "rules.number.series_is_blank_for_want" : "rules.number.series_is_blank",
                    field: field.label,
                    series: series.words,
                    missing: labels[blank]
                  ],
                  fields: [place],
                  at: place
                )
              end

              def value_of(text) = field.numeric? ? BigDecimal(text) : text
            end

          # How the numbers of one series are counted.
          # field:: id of the field; series:: its key; start, step:: whole numbers
          Counting = Struct.new(:field, :series, :start, :step)

          private

          def counting?(part) = part == "formula"

          def in_words(table, part = "formula") = Expression::Humanizer.new(table.scope).humanize(tree(part))

          def count_problems
            found = []
            unless step.positive?
              found << problem("step", Messages["rules.number.step_is_1_or_more"])
            end
            found << problem("start", Messages["rules.number.count_starts_at_0_or_more"]) if start.negative?
            found
          end

          def of_formula(table)
            found = formula_problems(table, expecting: :text)
            return found if found.any?

            formula = compiled(table)
            if formula.counters.empty?
              return [
                problem(
                  "formula",
                  Messages["rules.number.without_counter_every_record_would_get_same"]
                )
              ]
            end
            if table.field(field).numeric? && !formula.tree.is_a?(Expression::Nodes::Call)
              return [problem("formula", Messages["rules.number.number_field_takes_count_alone"])]
            end
            if formula.momentary.any?
              return [
                problem(
                  "formula",
                  Messages["rules.number.is_known_only_while_record_is_saved", word: formula.momentary.first]
                )
              ]
            end

            []
          end

          # Two series may not come to the same number.
          def of_series(table)
            series = compiled(table, part: "series")
            if series.reads.empty? && series.fleeting.empty?
              return [problem("series", Messages["rules.number.name_what_count_begins_anew"])]
            end
            return [] if (series.reads - compiled(table).reads).empty? || !series.reads.any?

            left_out = table.field((series.reads - compiled(table).reads).first)
            [
              problem(
                "formula",
                Messages[
                  "rules.number.numbers_of_two_series_would_be_same",
                  left_out: left_out.label,
                  series: in_words(table, "series")
                ]
              )
            ]
          rescue Expression::Invalid
            []
          end
        end
      end
    end
  end
end
