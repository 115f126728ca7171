# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Holds an expectation against what came out of a trial.
      class ExpectationMatcher
        # met:: whether it came out so; expected, actual:: in words
        # field:: key of the field that it is about, nil where there is none
        # rules:: ids of the rules that it speaks of
        Verdict = Struct.new(:met, :expected, :actual, :field, :rules, keyword_init: true) do
          def initialize(rules: [], **rest) = super
        end

        # What a state says: which part of a field's state, and whether it is so.
        STATES = {
          "shown" => [:shown, true],
          "hidden" => [:shown, false],
          "open" => [:enabled, true],
          "closed" => [:enabled, false],
          "required" => [:required, true],
          "optional" => [:required, false],
          "read_only" => [:read_only, true],
          "writable" => [:read_only, false]
        }.freeze

        # @return [Design::ExpectationFormatter]
        attr_reader :telling

        # @param expectation [Design::Expectation]
        # @param trial [Trial] that was played
        # @param table [Design::Table]
        # @return [Verdict]
        def self.verdict(expectation, trial, table)
          matcher = new(trial, table, moment_of(expectation, trial))
          astray = matcher.astray(expectation)
          return matcher.match(expectation) unless astray

          expected = matcher.telling.format(expectation)
          Verdict.new(met: false, expected: expected, actual: astray, field: expectation.field)
        end

        # The same in a word.
        # @return [Boolean] whether it is met
        def self.met?(expectation, trial, table)
          matcher = new(trial, table, moment_of(expectation, trial))
          matcher.astray(expectation).nil? && matcher.met?(expectation)
        end

        # @return [Trial::Moment, nil] the one that an expectation is about
        def self.moment_of(expectation, trial)
          act = expectation.attributes["act"]
          act ? trial.moments[act.to_i - 1] : trial.last
        end
        private_class_method :moment_of

        # @param trial [Trial]
        # @param table [Design::Table]
        # @param moment [Trial::Moment] the one looked at
        def initialize(trial, table, moment)
          @trial = trial
          @table = table
          @moment = moment
          @telling = Design::ExpectationFormatter.new(table, trial.world)
        end

        # @return [String, nil] why it can't be held against the trial at all
        def astray(expectation)
          field = expectation.field
          return Wording["the script has no action %{value}", value: expectation.attributes["act"]] unless @moment

          Wording["there is no field `%{field}` any more", field: field] if field && @table.field(field).nil?
        end

        # @param expectation [Design::Expectation]
        # @return [Verdict]
        def match(expectation)
          met, actual = send(expectation.what, expectation.attributes)
          Verdict.new(
            met: met,
            expected: telling.format(expectation),
            actual: actual,
            field: expectation.field || expectation.attributes["after"],
            rules: rules(expectation)
          )
        end

        # The same without words, for whoever runs proofs by the thousand.
        # @param expectation [Design::Expectation]
        # @return [Boolean]
        def met?(expectation)
          attributes = expectation.attributes
          case expectation.what
          when "saved"
            %w[saved back].include?(@moment.state)
          when "value"
            !outcome.nil? && !outcome.unreadable.key?(attributes["field"]) &&
              Values.dump(outcome.values[attributes["field"]]) == attributes["is"]
          when "state"
            part, wanted = STATES.fetch(attributes["is"]) { return false }
            @trial.states.fetch(attributes["field"])[part] == wanted
          else send(expectation.what, attributes).first
          end
        end

        # @return [String] what came out, in a line
        def result_words
          case @moment.state
          when "refused"
            return "#{Wording["it was refused"]} #{refused_by}" unless @moment.message

            Wording["it was refused: %{message}", message: @moment.message]
          when "back" then Wording["it was restored"]
          when "typed", "done" then Wording["it was not saved yet"]
          when "saved" then Wording["it was saved"]
          else Wording["it was deleted"]
          end
        end

        private

        def refused_by
          by =
            refusals.map do |each|
              next Wording["by %{rule}", rule: telling.rule(each.rule)] if each.rule

              Wording["at %{field}", field: telling.label(each.field)]
            end
          by.uniq.join(" #{Wording["and"]} ")
        end

        # @return [Array<String>] the rules that an expectation speaks of
        def rules(expectation)
          %w[saved deleted].include?(expectation.what) ? refusals.filter_map(&:rule).uniq : expectation.rules(@table)
        end

        def saved(_attributes) = [%w[saved back].include?(@moment.state), result_words]
        def deleted(_attributes) = [@moment.state == "deleted", result_words]

        def refused(attributes)
          return [false, result_words] unless @moment.state == "refused"

          message = attributes["message"]
          return [message.nil? || @moment.message.include?(message), result_words] if @moment.message

          meant =
            refusals.select do |each|
              (attributes["rule"].nil? || each.rule == attributes["rule"]) &&
                (attributes["field"].nil? || each.field == attributes["field"])
            end
          return [false, result_words] if meant.empty?
          return [true, result_words] if message.nil? || meant.any? { |each| each.message == message }

          [false,
            Wording["%{result_words} with “%{message}”", result_words: result_words, message: meant.first.message]]
        end

        def value(attributes)
          key = attributes["field"]
          return [false, Wording["nothing was calculated"]] unless outcome
          unread = outcome.unreadable[key]
          return [false, Wording["what was typed can't be read: %{text}", text: unread]] if unread

          found = Values.dump(outcome.values[key])
          [found == attributes["is"],
            Wording["%{field} is %{value}", field: telling.label(key), value: telling.value(key, found)]]
        end

        def state(attributes)
          part, wanted = STATES.fetch(attributes["is"]) { return [false, Wording["this state does not exist"]] }
          state = @trial.states.fetch(attributes["field"])
          now = STATES.key([part, state[part]])
          [state[part] == wanted,
            Wording["%{field} is %{state}", field: telling.label(attributes["field"]),
              state: Wording[now.tr("_", "-")]]]
        end

        def logged(attributes)
          change =
            changes(attributes["field"]).find do |each|
              same?(attributes, "before", each.before) && same?(attributes, "after", each.after)
            end
          [!change.nil?, logged_words(attributes["field"])]
        end

        def unlogged(attributes) = [changes(attributes["field"]).empty?, logged_words(attributes["field"])]

        def number(attributes)
          text = outcome && Values.show(outcome.values[attributes["field"]])
          [
            !text.to_s.empty? && Masks.read(attributes["fits"].to_s).fits?(text),
            text.to_s.empty? ? Wording["it has no number"] : Wording["the number is %{text}", text: text]
          ]
        rescue Masks::Invalid
          [false, Wording["the expected mask can't be read"]]
        end

        def cursor(attributes)
          return [false, Wording["the script uses no form"]] unless @trial.cursor

          following = @trial.cursor.all
          after = attributes["after"]
          unless following.key?(after)
            return [false,
              Wording["%{field} is not on the form", field: telling.label(after)]]
          end

          to = following[after]
          [to == attributes["to"], Wording["it goes to %{field}", field: to ? telling.label(to) : Wording["the end"]]]
        end

        def outcome = @moment.outcome
        def refusals = outcome ? outcome.refusals : []
        def changes(key) = @moment.logged.select { |change| change.field.key == key }
        def same?(attributes, part, value) = !attributes.key?(part) || Values.dump(value) == attributes[part]

        def logged_words(key)
          found = changes(key)
          return Wording["nothing was logged of %{field}", field: telling.label(key)] if found.empty?

          found.map { |change|
            "#{telling.value(key, Values.dump(change.before))} " \
            "→ #{telling.value(key, Values.dump(change.after))}"
          }.join(", ")
        end
      end
    end
  end
end
