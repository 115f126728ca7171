# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A record on its way through the stages. Rules read it and tell it what
      # they do (set, refuse, pass, skip); it keeps values, origins, refusals and
      # the trace together.
      class SaveState
        include InputReader
        include RuleActions

        attr_reader :values

        # Shared empty hash, to avoid allocations; replaced when something is put into it.
        NOTHING = {}.freeze

        TYPED = Origin.new("typed").freeze
        STORED = Origin.new("stored").freeze
        BLANK = Origin.new("blank").freeze

        # @param plan [Plan]
        # @param draft [Draft]
        # @param context [Core::Context]
        # @param begun [PartialSave, nil] where another one stopped, to go on from there
        # @param trace [Boolean, :brief]
        def initialize(plan, draft, context, trace = false, begun = nil)
          @plan = plan
          @fields = plan.fields
          @table = plan.table
          @draft = draft
          @context = context
          @old = draft.stored || NOTHING
          @begun = begun
          @values = begun ? begun.values : beginning
          @claimed = begun&.claimed || NOTHING
          @unreadable = NOTHING
          @origins = begun ? origins_from(begun) : {}
          @refusals = @passed = @ticks = NONE
          @trace = (trace || context.probe) ? Trace.new(on: trace, probe: context.probe) : Trace::Silent
          @silent = @trace.equal?(Trace::Silent)
        end

        def new? = @draft.new?
        # What a rule has written over counts as typed no longer, as it will not be when it is saved.
        def typed?(key) = @draft.typed.key?(key) && !overtaken.include?(key)

        # @param rules [Array<String>] ids
        # @return [Boolean] whether one of some rules gave the field its value in this save
        def set_by?(key, rules) = rules.any? && rules.include?(@origins[key]&.rule)
        def cleared?(key) = typed?(key) && @values[key].nil? && !unreadable?(key)
        def unreadable?(key) = @unreadable.key?(key)

        # @return [Boolean] whether anything refuses the record so far
        def refused? = @refusals.any?

        # @return [Boolean] whether the value is another than the stored one
        def changed?(key)
          return @values[key] != @old[key] if @values.key?(key) || !@plan.worked_out?(key)

          worked_out_now(key) != @old.fetch(key) { new? ? nil : worked_out_now(key, evaluation_before) }
        end

        # @return [Boolean] whether, in a live draft, the field was typed before one of the others changed
        def superseded?(key, others) = hand.superseded?(key, changed_causes(others))

        # @return [Boolean] whether, in a live draft, the field was typed before one of the others,
        #   be it that those are again what they were
        def typed_before?(key, others) = hand.superseded?(key, others)

        # @return [Boolean] whether somebody is still typing
        def live? = @draft.live

        # @return [Boolean] whether the field came along from the record before, typed by nobody
        def carried?(key) = new? && @draft.carried.key?(key) && !typed?(key)

        # @return [Boolean] whether earlier values are put back
        def restoring_values? = @draft.restoring_values

        # @return [Boolean] whether a deleted record comes back
        def restoring? = @draft.restoring_values && new?

        # @return [Boolean] whether what a rule wrote down of earlier saves came along, so that it does not now
        def brought?(key) = restoring? || (@draft.brings == :as_was && new? && typed?(key))

        # @return [Boolean] whether the record is to be given the number that it lacks
        def numbering? = @draft.numbering

        # @return [Boolean] whether a number came along for a field that a rule numbers, typed or given
        #   by another rule
        def number_supplied?(key) = changed?(key) && !unreadable?(key) && (!new? || !@values[key].nil?)

        # @return [Integer, nil] the record's own number in the table
        def id = @draft.id

        def counters = @context.counters
        def clock = @context.clock
        def person = @context.person

        # @return [Design::Field, nil] the first of the fields whose input is no value
        def unreadable_among(keys)
          return if @unreadable.empty?

          key = keys.find { |each| unreadable?(each) }
          key && @fields[key]
        end

        # @return [Expression::Evaluation] for one run of a formula
        def evaluation
          return @evaluation if @evaluation&.unmarked? && !@trace.on?

          @evaluation =
            Expression::Evaluation.new(values: @values, old: @old, context: @context, is_new: new?, id: @draft.id)
        end

        # @return [Expression::Evaluation] for a formula on the record as it is stored
        def evaluation_before
          Expression::Evaluation.new(values: @old, old: @old, context: @context, is_new: false, id: @draft.id)
        end

        # @param stage [String] the stage that begins
        def enter(stage)
          @trace.enter(stage)
          invalidate_calculated if stage == "fill"
        end

        # A calculation can't be made yet: the field stays as it was.
        def leave_as_it_was(field) = @values[field.key] = @old[field.key]

        # Ends the last stage: what is written down of the changes.
        def log_changes
          return if @refusals.any? || !@trace.on?

          changes(@plan.kept_fields).each do |change|
            @trace.add(
              "logged",
              change.field,
              before: traced(change.field, change.before),
              after: traced(change.field, change.after)
            )
          end
        end

        # @return [PartialSave, nil] the record as it stands, to be finished elsewhere; nil where more
        #   is known of it than that could tell
        def begun
          return if @refusals.any? || @passed.any? || @unreadable.any? || @ticks.any? || overtaken.any?

          came = []
          @origins.each { |key, origin| came << key << origin.source << origin.rule }
          PartialSave.new(@values, came, @claimed.empty? ? nil : @claimed)
        end

        # @param fields [Array<Design::Field>] those whose changes are told
        # @return [Outcome]
        def outcome(fields = @plan.kept_fields)
          Outcome.new(
            @values,
            @unreadable,
            origins,
            in_order(@refusals),
            changes(fields),
            @passed,
            overtaken,
            @trace.steps,
            evaluation
          )
        end

        # @return [String] a value in its reading format
        def show(field, value) = field.show(value, records)

        private

        # Made when it is first needed: few rules write over what somebody typed.
        def hand = @hand ||= EditPrecedence.new(@draft)

        def overtaken = @hand ? @hand.overtaken : []

        def in_order(refusals)
          return refusals if refusals.length < 2

          places = @fields.keys.each_with_index.to_h
          refusals.sort_by.with_index { |refusal, index| [places.fetch(refusal.field), index] }
        end

        # What somebody typed may make another value of it: whoever reads it from here on,
        # until its turn, gets it worked out.
        def invalidate_calculated
          @plan.roots.each_key { |key| @values.delete(key) }
        end

        # @return [Array<String>] those that changed, and what those are worked out from
        def changed_causes(keys) =
          keys
            .select { |key| changed?(key) }
            .flat_map { |key| @plan.roots.fetch(key, [key]) }
            .uniq
            .select { |key| changed?(key) }

        # A calculated field that has not had its turn yet.
        def worked_out_now(key, seen = evaluation) = @table.scope[key].computed.call(seen)

        # What is worked out is left open: whoever reads it before its stage gets
        # it worked out, and never a value of another time.
        def beginning = @old.empty? ? @plan.blank.dup : @plan.blank.merge(@old)

        def records = @context.records

        # Origins of untouched fields are computed lazily.
        def origins
          return @origins if @begun

          values = @values
          @origins.default_proc = ->(_, key) { values[key].nil? ? BLANK : STORED }
          @origins
        end

        # The same of what was begun elsewhere, from the beginning.
        def origins_from(begun)
          values, plan = @values, @plan
          Hash.new { |_, key| begun.origin(plan, key) || (values[key].nil? ? BLANK : STORED) }
        end

        def changes(fields)
          fields.each_with_object([]) do |field, found|
            before = @old[field.key]
            after = @values[field.key]
            if @ticks.any? && @ticks.include?(field)
              next found.concat(ticked(field, before, after, @origins[field.key]&.rule))
            end

            found << Change.new(field, before, after, @origins[field.key]&.rule) unless before == after
          end
        end

        # A tick is written down though it is gone again.
        def ticked(field, before, after, rule)
          [Change.new(field, before, true, nil), Change.new(field, true, after, rule)]
        end
      end
    end
  end
end
