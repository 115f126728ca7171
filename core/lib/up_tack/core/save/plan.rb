# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A table's design made ready to run: its rules compiled, by stage, in the
      # order in which they act. Compiled once for each revision of the design.
      class Plan
        # Stages whose rules may write over what is typed.
        FILLING = %w[fill].freeze

        # @return [Design::Table]
        attr_reader :table
        # @return [Conventions] how the firm writes
        attr_reader :conventions
        # @return [Array<Design::Field>] those whose values are kept
        attr_reader :kept_fields
        # @return [Hash{String=>Design::Field}] all, by key, in their order
        attr_reader :fields
        # @return [Array<Kinds::State::Compiled>] what the table says of how fields stand in a form
        attr_reader :states
        # @return [Hash{String=>Array<Kinds::Required::Test>}] by field key, what must be filled
        attr_reader :required
        # @return [Array<Kinds::Lock::Test>]
        attr_reader :locks
        # @return [Hash{String=>nil}] what a new record is before the first stage, by key:
        #   all but what is worked out
        attr_reader :blank
        # @return [Hash{String=>String}] types of the fields whose values can be handed over as whole numbers
        attr_reader :whole
        # @return [Hash{String=>Array<String>}] by key of a calculated field, that key and
        #   those of all that it is worked out from
        attr_reader :roots

        # @param table [Design::Table] from a checked project
        # @param conventions [Conventions]
        def initialize(table, conventions)
          @table = table
          @conventions = conventions
          @fields = table.fields.to_h { |field| [field.key, field] }.freeze
          @whole =
            table
              .fields
              .select { |field| field.numeric? || field.day? }
              .to_h { |field| [field.key, field.type] }
              .freeze
          @kept_fields = table.kept_fields.freeze
          @worked_out =
            table.fields.select { |field| table.worked_out?(field.key) }.to_h { |field| [field.key, true] }.freeze
          @given = table.fields.select { |field|
            table.rule_owned?(field.key)
          }.to_h { |field| [field.key, true] }.freeze
          @blank = table.fields.reject { |field| @worked_out.key?(field.key) }.to_h { |field| [field.key, nil] }.freeze
          @roots = @worked_out.keys.to_h { |key| [key, Analysis::TopologicalSort.through([key], [], table)] }.freeze
          @rules =
            Analysis::Placement
              .new(table)
              .rules_by_stage
              .transform_values { |acts| acts.map { |act| compiled(act) }.freeze }
              .freeze
          gather_states
          @origin_cache =
            Hash.new do |sources, source|
              sources[source] = Hash.new do |rules, rule|
                rules[rule] = Hash.new { |known, words| known[words] = Origin.new(source, rule, words).freeze }
              end
            end
          @filled =
            rules_by_stage
              .each_value
              .flat_map do |rules|
                rules.select { |rule| FILLING.include?(rule.rule.stage) || rule.rule.stages.length > 1 }
              end
              .flat_map { |rule| rule.rule.writes }
              .to_h { |key| [key, true] }
              .freeze
          freeze
        end

        # @param table [Design::Table] that has another rule in the place of one, or lacks it
        # @param old [Rules::Rule]
        # @param new [Rules::Rule, nil]
        # @return [Plan, nil] for that; nil where its rules may act in another order
        def with_rule(table, old, new)
          return unless (new ? new.owns? : false) == old.owns? # Who may type in the field would be another.

          same =
            new.nil? ||
            (
              new.stages == old.stages && new.writes == old.writes &&
                new.awaits(table).sort == old.awaits(@table).sort
            )
          unless same &&
              rules_by_stage.each_value.all? { |rules|
                rules.none? { |rule| rule.rule.moved_by_change? && rule.rule.id == old.id && rule.partners.any? }
              }
            return
          end

          dup.tap { |plan| plan.send(:exchange, table, old, new) }.freeze
        end

        # @return [Hash{String=>Array<#apply>}] by key of the stage, in the order of the stages
        def rules_by_stage = @rules

        # @param stage [String]
        # @return [Array<#apply>]
        def rules_at(stage) = @rules.fetch(stage)

        # @return [#choices, nil] the compiled rule that narrows the choices of a field
        def narrowing(key) =
          rules_by_stage
            .each_value
            .lazy
            .flat_map(&:itself)
            .find { |rule| rule.rule.narrows? && rule.field.key == key }

        # @return [Boolean] whether a rule may write over what is typed in the field
        def filled?(key) = @filled.key?(key)

        # @return [Boolean] whether only a rule gives the field its values
        def rule_owned?(key) = @given.key?(key)

        # @return [Boolean] whether the field follows its formula and can't be typed
        def worked_out?(key) = @worked_out.key?(key)

        # @param words [String, nil] which are the same each time that a rule acts so
        # @return [Origin] one for all values that came in the same way
        def origin(source, rule, words = nil) = @origin_cache[source][rule][words]

        # Fields that are never kept, worked out for a stored record.
        # @param values [Hash{String=>Object}] the kept ones
        # @param keys [Array<String>, nil] those wanted, nil for all
        # @return [Hash{String=>Object}] with the others
        def complete(id, values, context, keys = nil)
          missing = @table.fields.reject { |field| values.key?(field.key) || (keys && !keys.include?(field.key)) }
          return values if missing.empty?

          evaluation = Expression::Evaluation.new(values: values, old: values, context: context, is_new: false, id: id)
          values.merge(missing.to_h { |field| [field.key, @table.scope[field.key].computed.call(evaluation)] })
        end

        private

        def exchange(table, old, new)
          @table = table
          @rules =
            rules_by_stage
              .to_h do |stage, rules|
                [
                  stage,
                  rules.filter_map { |rule| (rule.rule.id == old.id) ? exchanged(table, new, stage) : rule }.freeze
                ]
              end
              .freeze
          gather_states
        end

        def exchanged(table, new, stage)
          return if new.nil?

          main = new.stages.length == 1 || new.stage == stage
          main ? new.compile(table) : new.other_stages(table).fetch(stage)
        end

        def compiled(act) = act.main? ? act.rule.compile(table) : act.rule.other_stages(table).fetch(act.own)

        def gather_states
          @states = table.acting_rules.select(&:field_state?).map { |rule| rule.compile(table) }.freeze
          @required =
            table
              .acting_rules
              .select(&:requires?)
              .reject(&:warning?)
              .group_by(&:field)
              .transform_values { |rules| rules.map { |rule| rule.test(table) } }
              .freeze
          @locks = table.acting_rules.select(&:locks?).map { |rule| rule.test(table) }.freeze
        end
      end
    end
  end
end
