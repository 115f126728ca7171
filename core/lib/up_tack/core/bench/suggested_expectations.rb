# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # What could be expected of a trial, taken over from what was seen; for the builder
      # to pick from and to mend, since what was seen need not be what was meant.
      class SuggestedExpectations
        # attributes:: an Expectation's plain form; words:: what it says
        # usual:: whether it is picked unless somebody says otherwise
        Proposed = Struct.new(:attributes, :words, :usual, keyword_init: true)

        # Longest message that is expected word for word.
        LONGEST_MESSAGE = 2_000

        # @param trial [Trial] that was played
        # @param table [Design::Table]
        def initialize(trial, table)
          @trial = trial
          @table = table
          @moment = trial.last
          @telling = Design::ExpectationFormatter.new(table, trial.world)
        end

        # @return [Array<Proposed>]
        def all = [*earlier, *ending, *values, *states, *logged, *cursor].uniq(&:attributes)

        private

        # What became of the record on the way: refused, then mended.
        def earlier
          @trial
            .moments
            .each_with_index
            .reject { |moment, _| moment.equal?(@moment) || moment.act&.fetch("do") != "save" }
            .flat_map do |moment, index|
              next [proposed({"what" => "saved", "act" => index + 1}, true)] if moment.state == "saved"

              (moment.outcome ? moment.outcome.refusals : []).map do |each|
                proposed(
                  {"what" => "refused", "rule" => each.rule, "field" => each.field, "act" => index + 1}.compact,
                  true
                )
              end
            end
        end

        def ending
          case @moment.state
          when "saved", "back" then [proposed({"what" => "saved"}, true)]
          when "deleted" then [proposed({"what" => "deleted"}, true)]
          else refusals
          end
        end

        def refusals
          return [proposed({"what" => "refused", "message" => @moment.message}, true)] if @moment.message

          (outcome ? outcome.refusals : []).map do |each|
            proposed(
              {"what" => "refused", "rule" => each.rule, "field" => each.field, "message" => message(each)}.compact,
              true
            )
          end
        end

        # Word for word only what the builder wrote: what a rule says by itself changes with it.
        def message(refusal)
          rule = refusal.rule && @table.rule(refusal.rule)
          own = rule.nil? || rule.attributes.values_at("message", "saying").compact.any?
          refusal.message[0, LONGEST_MESSAGE] if own
        end

        def values
          return [] unless outcome

          @table.fields.reject { |field| outcome.unreadable.key?(field.key) }.flat_map do |field|
            origin = outcome.origins[field.key]
            rule = origin.rule && @table.rule(origin.rule)
            next [] if origin.source == "blank" && @table.rules.none? { |each| each.writes.include?(field.key) }

            value(field, rule)
          end
        end

        # What a rule gave, left blank, or left as it was. A number is told by its shape and, since a
        # proof has counters of its own, by its count.
        def value(field, rule)
          found = outcome.values[field.key]
          usual = !rule.nil? || found.nil? || written?(field)
          exact = proposed({"what" => "value", "field" => field.key, "is" => Values.dump(found)}, usual)
          shape = (rule&.numbers? && found) ? shape(field, found) : nil
          # The count may have outgrown the mask of its field.
          return [exact] unless shape && Masks.read(shape).fits?(Values.show(found))

          [proposed({"what" => "number", "field" => field.key, "fits" => shape}, true), exact]
        end

        # A rule that could have written it did not, be it that it was typed or stands from before.
        def written?(field) = @table.rules.any? { |each| each.stage != "default" && each.writes.include?(field.key) }

        def shape(field, text)
          mask = @table.rules.find { |rule| rule.masks? && rule.field == field.key }
          if mask
            mask.attributes["mask"]
          else
            Masks::Examples.readings(Values.show(text)).then { |found| found[1] || found.first }
          end
        end

        def states
          return [] unless outcome

          ruled =
            @table.rules.select(&:field_state?).map(&:field) |
            (@trial.ready ? @trial.ready.states.map { |state| state.field.key } : [])
          @trial
            .states
            .slice(*ruled)
            .flat_map do |key, state|
              words = [
                state.shown ? "shown" : "hidden",
                state.enabled ? "open" : "closed",
                ("required" if state.required),
                ("read_only" if state.read_only)
              ].compact
              words.map { |word| proposed({"what" => "state", "field" => key, "is" => word}, true) }
            end
        end

        def logged
          @moment.logged.map do |change|
            proposed(
              {
                "what" => "logged",
                "field" => change.field.key,
                "before" => Values.dump(change.before),
                "after" => Values.dump(change.after)
              },
              false
            )
          end
        end

        def cursor
          key = @trial.typed.keys.last
          return [] unless @trial.cursor && key

          following = @trial.cursor.all
          following.key?(key) ? [proposed({"what" => "cursor", "after" => key, "to" => following[key]}, false)] : []
        end

        def outcome = @moment.outcome

        def proposed(attributes, usual) =
          Proposed.new(
            attributes: attributes,
            words: @telling.format(Design::Expectation.from(attributes)),
            usual: usual
          )
      end
    end
  end
end
