# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # What a record must have gone through so that the settings of a rule show: it was there before
        # the rule was, a warning is passed, one watched field changes and no other, somebody else types
        # over what was filled, a second one is made.
        class Histories
          include Validations
          include Fills
          include Linked

          # Fields of one rule that are changed one by one, and rows of a table looked at.
          MOST_FIELDS = 16
          MOST_CELLS = 60

          # @param table [Design::Table]
          # @param base [BaseRecord]
          # @param scene [ScriptBuilder]
          # @param solver [Solver]
          # @param seen [Hash{String=>Object}] the base record as it comes out
          def initialize(table, base, scene, solver, seen)
            @table = table
            @base = base
            @scene = scene
            @solver = solver
            @seen = seen
          end

          # @param rule [Rules::Rule]
          # @param shown [Hash{String=>BoundaryCases::Played}] by key of point, a record that shows it
          # @return [Array<Array(String, Hash)>] words and a plain script, each script once
          def find(rule, shown)
            @rule, @shown = rule, shown
            @scenes = Scenes.new(@table, @base, @scene, rule, @seen)
            played = (of_kind + linked).map do |words, scene, assignment|
              [words, scene.is_a?(Hash) ? scene : @scenes.script(scene, assignment)]
            end
            played.select(&:last).uniq(&:last)
          rescue Expression::Invalid, KeyError
            []
          end

          private

          def of_kind = @rule.class.histories.flat_map { |name| send(name) }

          def untidy = [[Wording["untidy text"], :typed, {@rule.field => " #{text.upcase}  "}]]

          # A record that was there before the rule was.
          def old
            refused(3).map { |assignment|
              [Wording["exists already, and something else changes"], :touched, assignment]
            }
          end

          # The changes by which the rule was seen to refuse.
          def refused(most = 1)
            keys = %w[refused unfit stray cleared]
            further = @shown.except(*keys).values.select { |played| played.trial.last.state == "refused" }
            (@shown.slice(*keys).values + further).map(&:assignment).uniq.first(most)
          end

          def acting = @shown.slice("acts", "holds", "row 1").values.map(&:assignment).first(1)

          def condition =
            @rule.formula_parts.values_at("reaches", "when").compact.first&.then { |part| Expression.parse(part) }

          def text = @seen[@rule.field].is_a?(String) ? @seen[@rule.field] : "Made up"

          def other(key) =
            Scenes.other(@table.field(key), @seen[key], @base.context.clock.today, mask: @table.mask(key))

          def typed(keys) = keys.reject { |key| @table.rule_owned?(key) }
          def label(key) = @table.field(key).label

          # @return [String] a field and a value of it
          def named(key, value)
            field = @table.field(key)
            "#{field.label} #{(value.nil? || field.link?) ? "another" : field.show(value)}"
          end

          LATER = ->(change) { Wording["later %{value}", value: change] }

          def numbered
            second = @rule.series? ? each_read(->(change) {
              Wording["a second one with %{value}", value: change]
            }, :another) : []
            [[Wording["a second one"], :twice, {}], *by_hand(@seen[@rule.field]),
              *each_read(LATER, :changed), *second]
          end

          # A number further on, typed; and a copy of that.
          def by_hand(now)
            return [[Wording["a copy"], :copied, {}]] if now.nil?

            own = {@rule.field => now.is_a?(String) ? further(now) : now + 6}
            [[Wording["typed by hand"], :typed, own], [Wording["a copy of one that was typed by hand"], :copied, own]]
          end

          def further(text) = text.sub(/\d+(?!.*\d)/) { |digits| (digits.to_i + 6).to_s.rjust(digits.length, "0") }

          # Each field that the rule reads, differently.
          def each_read(words, scene, most = 3)
            typed(@rule.reads(@table)).first(MOST_FIELDS).flat_map do |key|
              differently(key).first(most).map { |value| [words.call(named(key, value)), scene, {key => value}] }
            end
          end

          # Another value, and for a day one in another month of the same year and one in another year.
          def differently(key)
            now = @seen[key]
            return [now >> ((now.month > 6) ? -1 : 1), now >> -12] if now.is_a?(::Date)

            free = now.is_a?(String) && @table.field(key).open_choices.empty?
            [*([now.split.rotate.join(" "), "Oneword"] if free), other(key)].compact
              .reject { |value| value == now }
              .uniq
          end

          # Each watched field alone, and what comes after it.
          def watched
            alone = typed(@rule.watch).first(MOST_FIELDS).filter_map do |key|
              (value = other(key)) && [Wording["%{field} changes", field: label(key)], :changed, {key => value}]
            end
            assignment = acting.first || {}
            spare = @scenes.spare || {}
            once = assignment.empty? ? spare : assignment
            alone + [
              [Wording["something else changes"], :changed, spare],
              [Wording["another day, by somebody else"], :later, once],
              [Wording["it ends"], :back, assignment],
              [Wording["it ends and happens again"], :again_later, assignment],
              [Wording["it was true before, and something else changes"], :touched, assignment]
            ].reject { |_, name, changes| changes.empty? && name != :later }
          end

          # Its field is typed in while the condition holds, and while it does not.
          def stated
            return [] if @table.rule_owned?(@rule.field)

            @shown.slice("holds", "not").flat_map do |key, played|
              value = other(@rule.field) or next []
              words = Wording["typed in while the condition is true"]
              words = Wording["typed in while the condition is not true"] unless key == "holds"
              next [[words, typed_in(played.script, value)]] if played.assignment.key?("children")

              assignment = played.assignment.merge(@rule.field => value)
              [[words, :typed, assignment], [Wording["%{words}, later", words: words], :changed, assignment]]
            end
          end

          def typed_in(script, value)
            text = value.is_a?(String) ? value : Core::Values.dump(value)
            {**script, "acts" => [{"do" => "fill_in", "values" => {@rule.field => text}}, {"do" => "save"}]}
          end

          # What it reads changes later; and it was there with another value.
          def calculated
            return [] unless @rule.once?

            [[Wording["typed by hand"], :typed, {@rule.field => other(@rule.field)}],
              *each_read(LATER, :changed, 1)]
          end
        end
      end
    end
  end
end
