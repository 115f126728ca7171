# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      module Samples
        # Makes up records that pass the rules of their table: values first, then what the
        # validations across fields ask for, then what a refusal tells. The same seed gives
        # the same records.
        class RecordGenerator
          # How often a refused record is mended before it is given up.
          MENDS = 8
          # Share of the fields that may be blank and are left so, where nothing tells it.
          BLANK = 0.2

          # @param table [Design::Table]
          # @param context [Context] for formulas
          # @param profile [Profile]
          # @param linked [Hash{String=>Array<Integer>}] numbers of records that a link can lead to
          # @param there [Hash{String=>Array<Object>}] values that are there elsewhere, by key of a
          #   field that must be among them
          # @param random [Random]
          # @param full [Boolean] whether no field is left blank
          def initialize(table, context:, profile:, linked:, random:, there: {}, full: false)
            @table = table
            @context = context
            @profile = profile
            @random = random
            @full = full
            @linked = linked
            @narrowed = table.rules.select(&:narrows?).map { |rule| rule.compile(table) }
            @values = Values.new(table, profile, today: context.clock.today, linked: linked, there: there)
            @solver = Solver.new(table, context)
            @required = table.rules.select(&:requires?).reject(&:warning?).map(&:field)
            @checks =
              table
                .rules
                .select(&:checks?)
                .reject(&:warning?)
                .map { |rule| [rule, Expression.parse(rule.attributes["formula"])] }
            @filled =
              table
                .rules
                .select { |rule| rule.fills? || rule.decides? || rule.copies? }
                .flat_map(&:writes)
                .uniq
            @fields = table.fields.reject { |field| table.rule_owned?(field.key) || numbered?(field) }
            @begun = begun
          end

          # @return [Hash{String=>Object}] values by field key, of those that are typed
          def values
            found = @fields.to_h { |field| [field.key, left?(field) ? nil : @values.draw(field, @random)] }
            @narrowed.each { |rule| found = belonging(rule, found) }
            @checks.each { |rule, tree| found = satisfying(rule, tree, found) }
            found.compact
          end

          # @param values [Hash{String=>Object}] those that were typed
          # @param refusals [Array<Save::Refusal>]
          # @return [Hash{String=>Object}] the same, mended as far as is known how
          def mend(values, refusals)
            refusals.reduce(values) { |mended, refusal| mended_by(refusal, mended) }
          end

          # @return [Hash{String=>Object}] raw input for a draft
          def self.typed(table, values) =
            values.to_h { |key, value| [key, value.nil? ? nil : table.field(key).values.dump(value)] }

          private

          # What begins by itself is known before it is saved.
          def begun
            outcome =
              Save.call(
                Save::Plan.new(@table, @table.fields.first&.conventions || Conventions.from({})),
                Save::Draft.new(typed: {}, stored: nil, live: true),
                @context
              )
            outcome.values.compact
          end

          def numbered?(field)
            @table.rules.any? { |rule| rule.numbers? && rule.field == field.key }
          end

          # What a rule fills is left to it, mostly; what may be blank is, now and then.
          def left?(field)
            return false if @required.include?(field.key)
            if @filled.include?(field.key) ||
                @table.rules.any? { |rule|
                  rule.defaults? && rule.field == field.key && @random.rand < 0.7
                }
              return true
            end

            share = @full ? 0 : @profile[field.key].blank
            @random.rand < (share.zero? ? 0 : [share, BLANK].max)
          end

          # A child that belongs to its parent; the parent gives way where none does.
          def belonging(rule, values)
            return values if values[rule.field.key].nil? || belongs?(rule, values, values[rule.field.key])

            options = rule.field.link? ? @linked[rule.field.key].to_a : rule.field.open_choices
            start = options.empty? ? 0 : @random.rand(options.length)
            found = options.rotate(start).first(LOOKS).find { |option| belongs?(rule, values, option) }
            if found
              values.merge(rule.field.key => found)
            else
              values.merge(rule.reads.reject { |key| @required.include?(key) }.to_h { |key| [key, nil] })
            end
          end

          # Records looked at for one that belongs.
          LOOKS = 12

          def belongs?(rule, values, option)
            rule.belongs?(
              option,
              Expression::Evaluation.new(
                values: @begun.merge(values.compact).merge(rule.field.key => option),
                context: @context
              )
            )
          end

          def satisfying(rule, tree, values)
            seen = @begun.merge(values) { |_, begun, typed| typed.nil? ? begun : typed }
            return values unless @solver.value_of(tree, seen) == false

            assignment = assignments_for(rule, tree, seen).find { |each|
              @solver.value_of(tree, seen.merge(each)) == true
            }
            assignment ? values.merge(assignment) : values
          end

          # The field on which a rule is pinned is moved rather than others.
          def assignments_for(rule, tree, values)
            @solver
              .assignments_for(tree, true, values)
              .select { |assignment| assignment.keys.none? { |key| key.include?(".") } }
              .sort_by { |assignment| assignment.key?(rule.field) ? 0 : 1 }
          end

          def mended_by(refusal, values)
            rule = refusal.rule && @table.rule(refusal.rule)
            field = @table.field(refusal.field)
            return values.merge(field.key => @values.draw(field, @random)) if rule.nil?
            return again(rule, values) if rule.checks?
            return emptied([field.key], values) if rule.narrows? || rule.field_state?

            values.merge(field.key => @values.draw(field, @random))
          end

          # Other values are drawn for what the rule speaks of; if that does not help, what
          # may be blank of it is left so.
          def again(rule, values)
            keys = rule.fields(@table).select { |key| values.key?(key) }
            return values if keys.empty?
            return emptied(keys, values) if @random.rand < 0.5

            drawn = values.merge(keys.to_h { |key| [key, @values.draw(@table.field(key), @random)] })
            satisfying(rule, Expression.parse(rule.attributes["formula"]), drawn)
          end

          def emptied(keys, values) = values.except(*(keys - @required))
        end
      end
    end
  end
end
