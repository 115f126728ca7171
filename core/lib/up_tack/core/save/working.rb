# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A record on its way through the stages. Rules read it and tell it what
      # they do (set, refuse, pass, skip); it keeps values, origins, refusals and
      # the trace together.
      class Working
        include Intake

        attr_reader :values

        # What most records have none of, and what is made only once it is needed.
        NONE = [].freeze
        NOTHING = {}.freeze

        TYPED = Origin.new("typed").freeze
        STORED = Origin.new("stored").freeze
        BLANK = Origin.new("blank").freeze

        # @param plan [Plan]
        # @param draft [Draft]
        # @param context [Context]
        # @param begun [Begun, nil] where another one stopped, to go on from there
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
          @origins = begun ? told_by(begun) : {}
          @refusals = @passed = @ticks = NONE
          @trace = (trace || context.probe) ? Trace.new(on: trace, probe: context.probe) : Trace::Silent
          @silent = @trace.equal?(Trace::Silent)
        end

        def new? = @draft.new?
        def typed?(key) = @draft.typed.key?(key)
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
        def overtaken?(key, others) = hand.overtaken?(key, moving(others))

        # @return [Boolean] whether, in a live draft, the field was typed before one of the others,
        #   be it that those are again what they were
        def typed_before?(key, others) = hand.overtaken?(key, others)

        # @return [Boolean] whether somebody is still typing
        def live? = @draft.live

        # @return [Boolean] whether the field came along from the record before, typed by nobody
        def carried?(key) = new? && @draft.carried.key?(key) && !typed?(key)

        # @return [Boolean] whether earlier values are put back
        def as_it_was? = @draft.as_it_was

        # @return [Boolean] whether a deleted record comes back
        def restoring? = @draft.as_it_was && new?

        # @return [Boolean] whether the record is to be given the number that it lacks
        def numbering? = @draft.numbering

        # @return [Boolean] whether a number came along for a field that a rule numbers
        def brought?(key) = typed?(key) && changed?(key) && !unreadable?(key) && (!new? || !@values[key].nil?)

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

          @evaluation = Expression::Evaluation.new(values: @values, old: @old, context: @context, is_new: new?, id: @draft.id)
        end

        # @return [Expression::Evaluation] for a formula on the record as it is stored
        def evaluation_before
          Expression::Evaluation.new(values: @old, old: @old, context: @context, is_new: false, id: @draft.id)
        end

        # @param stage [String] the stage that begins
        def enter(stage)
          @trace.enter(stage)
          open_worked_out if stage == "fill"
        end

        # A calculation can't be made yet: the field stays as it was.
        def leave_as_it_was(field) = @values[field.key] = @old[field.key]

        # Ends the last stage: what is written down of the changes.
        def log_changes
          return if @refusals.any? || !@trace.on?

          changes(@plan.kept_fields).each { |change| @trace.add("logged", change.field, before: seen(change.field, change.before), after: seen(change.field, change.after)) }
        end

        # A rule sets a field.
        # @yield says the values that went in, asked only for a trace
        def set(rule, field, value, origin:, notes: NONE)
          settled = field.settle(value)
          return skip(rule, field, settled.message) if settled.is_a?(Values::Unreadable)
          return skip(rule, field, "the linked record is no longer there") if gone?(field, settled)
          return skip(rule, field, notes.map(&:last).join("; ").then { |why| why.empty? ? "it comes to blank" : why }) if settled.nil?

          before = @values[field.key]
          @values[field.key] = settled
          @origins[field.key] = @plan.origin("rule", rule.id, origin)
          tell("set", field, rule, before, settled) { yield if block_given? }
        end

        # A rule says what a field always equals, blank included. What somebody
        # sent for such a field is refused unless it is the same.
        # @yield as for `set`
        def calculate(rule, field, value, origin:, notes: NONE)
          settled = field.settle(value)
          notes += [[:unreadable, settled.message]] if settled.is_a?(Values::Unreadable)
          settled = nil if settled.is_a?(Values::Unreadable)
          before = @values.fetch(field.key) { @old[field.key] }
          @values[field.key] = settled
          @origins[field.key] = @plan.origin("rule", rule.id, origin)
          refuse_claim(rule, field, settled) if @claimed.key?(field.key)
          return skip(rule, field) { why_blank_after(rule, notes) } if settled.nil? && before.nil?

          tell("set", field, rule, before, settled) { settled.nil? ? why_blank_after(rule, notes) : yield }
        end

        # A rule gives the record its number, which is kept when the record is.
        # @yield says which it is
        def number(rule, field, value)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = @draft.live ? Origin.new("rule", rule.id, "not given yet", true) : @plan.origin("rule", rule.id, "numbered")
          tell("set", field, rule, before, value) { yield }
        end

        # A rule writes down what this save did.
        def stamp(rule, field, value, words)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = @plan.origin("rule", rule.id, words)
          tell("set", field, rule, before, value) { words }
        end

        # A tick has done its work and goes back; somebody still typing keeps seeing it.
        def untick(rule, field)
          return if @draft.live

          @ticks |= [field]
          @values[field.key] = false
          @origins[field.key] = Origin.new("rule", rule.id, "unticked again")
          tell("set", field, rule, true, false) { "the tick goes back by itself" }
        end

        # @return [String] " to …" with the name of the record, for a message
        def known_as(id) = (id.is_a?(Integer) && (title = records.title(@table.key, id))) ? " to #{Values::Plain.quoted(title)}" : ", to a record that is gone"

        # A rule gives a value another form, or takes it away. What was typed stays
        # known as typed, unless it is gone.
        # @param because [Array<String>] keys of the fields whose change moves the rule
        def shape(rule, field, value, words, because: [])
          typed = !value.nil? && @origins[field.key]&.source == "typed" && because.empty?
          write(rule, field, value, words, because: moving(because), how: words, typed: typed)
        end

        # A rule sets a field from others, unless somebody typed there since, or it
        # has the value already.
        # @param value [Object, nil] nil makes it blank
        # @param because [Array<String>] keys of the fields whose change moves the rule
        # @param how [Proc] says the values that went in, asked only for a trace
        def fill(rule, field, value, because:, words:, how:)
          because = moving(because)
          settled = field.settle(value)
          return skip(rule, field, settled.message) if settled.is_a?(Values::Unreadable)
          return skip(rule, field, "the linked record is no longer there") if gone?(field, settled)
          return skip(rule, field, @values[field.key].nil? ? "cleared by hand" : "filled by hand") if typed?(field.key) && !rule.overrules? && !hand.overtaken?(field.key, because)
          return skip(rule, field, "it is filled already") if rule.only_blank? && !(@values[field.key].nil? && !unreadable?(field.key))
          return skip(rule, field, "it has that value already") if settled == @values[field.key] && !typed?(field.key)

          write(rule, field, settled, words, because: because, how: how)
        end

        # A rule refuses the record, or warns of it.
        # @param at [String] key of the field at which the message stands
        # @yield says why, asked only for a trace
        def refuse(rule, field, message, fields:, at: field.key)
          warning = rule.is_a?(Rules::Validation) && rule.warning?
          reason = warning ? @draft.reasons[rule.id].to_s.strip : ""
          return let_pass(rule, field, message, reason) unless reason.empty?

          @refusals += [Refusal.new(code: rule.kind, rule: rule.id, field: at, fields: fields, message: message, passable: warning)]
          tell("refused", field, rule, nil, message) { yield if block_given? }
        end

        # A rule did something of which coverage tells apart.
        def mark(rule, what) = @trace.mark(rule, what)

        # A rule was asked and has nothing against the record.
        # @yield says what it saw, asked only for a trace
        def pass(rule, field) = tell("passed", field, rule) { yield if block_given? }

        # A rule did not act.
        # @param why [String]
        # @yield says why where that takes some working out, asked only for a trace
        def skip(rule, field, why = nil) = tell("skipped", field, rule) { why || yield }

        # @return [String] why a formula came to blank
        def why_blank(formula, evaluation)
          return evaluation.notes.map(&:last).join("; ") if evaluation.notes.any?

          blank = formula.reads.find { |key| @values[key].nil? }
          blank ? "#{@table.field(blank).label} is blank" : "it comes to blank"
        end

        # @return [Begun, nil] the record as it stands, to be finished elsewhere; nil where more
        #   is known of it than that could tell
        def begun
          return if @refusals.any? || @passed.any? || @unreadable.any? || @ticks.any? || overtaken.any?

          came = []
          @origins.each { |key, origin| came << key << origin.source << origin.rule }
          Begun.new(@values, came, @claimed.empty? ? nil : @claimed)
        end

        # @param fields [Array<Design::Field>] those whose changes are told
        # @return [Outcome]
        def outcome(fields = @plan.kept_fields)
          Outcome.new(@values, @unreadable, origins, in_order(@refusals), changes(fields), @passed, overtaken, @trace.steps, evaluation)
        end

        # @return [String] a value in its reading format
        def show(field, value) = field.show(value, records)

        private

        # Made when it is first needed: few rules write over what somebody typed.
        def hand = @hand ||= Hand.new(@draft)

        def overtaken = @hand ? @hand.overtaken : []

        def in_order(refusals)
          return refusals if refusals.length < 2

          places = @fields.keys.each_with_index.to_h
          refusals.sort_by.with_index { |refusal, index| [places.fetch(refusal.field), index] }
        end

        # What somebody typed may make another value of it: whoever reads it from here on,
        # until its turn, gets it worked out.
        def open_worked_out
          @plan.roots.each_key { |key| @values.delete(key) }
        end

        # @return [Array<String>] those that changed, and what those are worked out from
        def moving(keys) = keys.select { |key| changed?(key) }.flat_map { |key| @plan.roots.fetch(key, [key]) }.uniq.select { |key| changed?(key) }

        # A calculated field that has not had its turn yet.
        def worked_out_now(key, seen = evaluation) = @table.scope[key].computed.call(seen)

        def write(rule, field, value, words, because:, how:, typed: false)
          before = @values[field.key]
          forget_unread(field.key) unless typed
          hand.written(field.key, because, gone: !typed)
          @values[field.key] = value
          @origins[field.key] = Origin.new(typed ? "typed" : "rule", rule.id, words)
          tell("set", field, rule, before, value, value.nil? ? "cleared" : "set") { how.respond_to?(:call) ? how.call : how }
        end

        # For the trace, where there is one.
        # @param after [Object, nil] a value, or what a refusal says
        # @param mark [String] what the probe is told
        # @yield says how it came about
        def tell(result, field, rule, before = nil, after = nil, mark = result)
          return if @silent

          before, after = [before, after].map { |value| seen(field, value) } if result == "set"
          @trace.add(result, field, rule: rule, before: before, after: after, how: (yield if @trace.telling?), mark: mark)
        end

        # What could not be read does not matter once a rule has written over it.
        def forget_unread(key)
          return unless @unreadable.key?(key)

          @unreadable = @unreadable.except(key)
          @refusals = @refusals.reject { |refusal| refusal.rule.nil? && refusal.field == key }
        end

        # @return [String, nil] a value for the trace, asked only when somebody will look
        def seen(field, value) = @trace.on? ? show(field, value) : nil

        def let_pass(rule, field, message, reason)
          @passed += [Passed.new(rule: rule.id, message: message, reason: reason)]
          tell("passed", field, rule) { "#{message} Passed with the reason: #{reason}" }
        end

        # What is worked out is left open: whoever reads it before its stage gets
        # it worked out, and never a value of another time.
        def beginning = @old.empty? ? @plan.blank.dup : @plan.blank.merge(@old)

        def records = @context.records

        # A rule may know a linked record that was deleted since.
        def gone?(field, value) = field.link? && !value.nil? && records.find(field.target, value).nil?

        def why_blank_after(rule, notes)
          return notes.map(&:last).join("; ") if notes.any?

          blank = rule.reads(@table).find { |key| @values[key].nil? }
          blank ? "#{@table.field(blank).label} is blank" : "it comes to blank"
        end

        # Of what no rule set and nobody typed it is told when somebody asks.
        def origins
          return @origins if @begun

          values = @values
          @origins.default_proc = ->(_, key) { values[key].nil? ? BLANK : STORED }
          @origins
        end

        # The same of what was begun elsewhere, from the beginning.
        def told_by(begun)
          values, plan = @values, @plan
          Hash.new { |_, key| begun.origin(plan, key) || (values[key].nil? ? BLANK : STORED) }
        end

        def changes(fields)
          fields.each_with_object([]) do |field, found|
            before = @old[field.key]
            after = @values[field.key]
            next found.concat(ticked(field, before, after, @origins[field.key]&.rule)) if @ticks.any? && @ticks.include?(field)

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
