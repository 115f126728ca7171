# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A record on its way through the stages. Rules read it and tell it what
      # they do (set, refuse, pass, skip); it keeps values, origins, refusals and
      # the trace together.
      class Working
        attr_reader :values

        TYPED = Origin.new("typed").freeze
        STORED = Origin.new("stored").freeze
        BLANK = Origin.new("blank").freeze

        # @param plan [Plan]
        # @param draft [Draft]
        # @param context [Context]
        def initialize(plan, draft, context, trace:)
          @plan = plan
          @fields = plan.fields
          @table = plan.table
          @draft = draft
          @context = context
          @old = draft.stored || {}
          @values = beginning
          @claimed = {}
          @unreadable = {}
          @origins = {}
          @refusals = []
          @passed = []
          @overtaken = []
          @ticks = []
          @trace = Trace.new(on: trace)
        end

        def new? = @draft.new?
        def typed?(key) = @draft.typed.key?(key)
        def cleared?(key) = typed?(key) && @values[key].nil? && !unreadable?(key)
        def unreadable?(key) = @unreadable.key?(key)

        # @return [Boolean] whether anything refuses the record so far
        def refused? = @refusals.any?

        # @return [Boolean] whether the value is another than the stored one
        def changed?(key) = @values[key] != @old[key]

        # @return [Boolean] whether, in a live draft, the field was typed before one of the others
        def overtaken?(key, others)
          return false unless @draft.live

          order = @draft.typed.keys
          others.any? { |other| typed?(other) && order.index(other) > order.index(key) }
        end

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

        # Turns what was typed into values, before the first stage.
        def read_typed
          @trace.enter("typed")
          reading = Reading.new(conventions: @plan.conventions, today: @context.clock.today, records: records)
          @draft.typed.each do |key, raw|
            field = @fields[key] or next
            value = field.read(raw, reading)
            next claim(field, value) if @plan.given?(key) && !brings?(key)
            next refuse_role(field) if field.access && !field.allows?(@context.person&.role, :edit) && value != @old[key]

            value = retired(field, value) if field.retired.any? && field.retired.include?(value)
            value.is_a?(Values::Unreadable) ? keep_unread(field, raw, value) : keep_typed(field, raw, value)
          end
        end

        # @param stage [String] the stage that begins
        def enter(stage)
          @trace.enter(stage)
        end

        # Ends the last stage: what is written down of the changes.
        def log_changes
          return if @refusals.any? || !@trace.on?

          changes.each { |change| @trace.add("logged", change.field, before: seen(change.field, change.before), after: seen(change.field, change.after)) }
        end

        # A rule sets a field.
        # @param how [Proc, nil] says the values that went in, asked only for a trace
        def set(rule, field, value, origin:, how: nil, notes: [])
          settled = field.settle(value)
          return skip(rule, field, settled.message) if settled.is_a?(Values::Unreadable)
          return skip(rule, field, "the linked record is no longer there") if gone?(field, settled)
          return skip(rule, field, notes.map(&:last).join("; ").then { |why| why.empty? ? "it comes to blank" : why }) if settled.nil?

          before = @values[field.key]
          @values[field.key] = settled
          @origins[field.key] = Origin.new("rule", rule.id, origin)
          @trace.add("set", field, rule: rule, before: seen(field, before), after: seen(field, settled), how: how)
        end

        # A rule says what a field always equals, blank included. What somebody
        # sent for such a field is refused unless it is the same.
        def calculate(rule, field, value, origin:, how: nil, notes: [])
          settled = field.settle(value)
          notes += [[:unreadable, settled.message]] if settled.is_a?(Values::Unreadable)
          settled = nil if settled.is_a?(Values::Unreadable)
          before = @values[field.key]
          @values[field.key] = settled
          @origins[field.key] = Origin.new("rule", rule.id, origin)
          refuse_claim(rule, field, settled) if @claimed.key?(field.key)
          return skip(rule, field, why_blank_after(rule, notes)) if settled.nil? && before.nil?

          @trace.add("set", field, rule: rule, before: seen(field, before), after: seen(field, settled), how: settled.nil? ? why_blank_after(rule, notes) : how)
        end

        # A rule gives the record its number, which is kept when the record is.
        def number(rule, field, value, how:)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = Origin.new("rule", rule.id, @draft.live ? "not given yet: the number it would get" : "numbered", @draft.live)
          @trace.add("set", field, rule: rule, before: seen(field, before), after: seen(field, value), how: how)
        end

        # A rule writes down what this save did.
        def stamp(rule, field, value, words)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = Origin.new("rule", rule.id, words)
          @trace.add("set", field, rule: rule, before: seen(field, before), after: seen(field, value), how: words)
        end

        # A tick has done its work and goes back; somebody still typing keeps seeing it.
        def untick(rule, field)
          return if @draft.live

          @ticks |= [field]
          @values[field.key] = false
          @origins[field.key] = Origin.new("rule", rule.id, "unticked again")
          @trace.add("set", field, rule: rule, before: seen(field, true), after: seen(field, false), how: "the tick goes back by itself")
        end

        # @return [String] " to …" with the name of the record, for a message
        def known_as(id) = (id.is_a?(Integer) && (title = records.title(@table.key, id))) ? " to #{Values::Plain.quoted(title)}" : ", to a record that is gone"

        # A rule gives a value another form, or takes it away. What was typed stays
        # known as typed, unless it is gone.
        def shape(rule, field, value, words)
          before = @values[field.key]
          typed = !value.nil? && @origins[field.key]&.source == "typed" && !rule.is_a?(Rules::Copy)
          @overtaken |= [field.key] if typed?(field.key) && !typed
          @values[field.key] = value
          @origins[field.key] = Origin.new(typed ? "typed" : "rule", rule.id, words)
          @trace.add("set", field, rule: rule, before: seen(field, before), after: seen(field, value), how: words)
        end

        # A rule refuses the record, or warns of it.
        # @param at [String] key of the field at which the message stands
        def refuse(rule, field, message, fields:, how: nil, at: field.key)
          warning = rule.is_a?(Rules::Validation) && rule.warning?
          reason = warning ? @draft.reasons[rule.id].to_s.strip : ""
          return let_pass(rule, field, message, reason) unless reason.empty?

          @refusals << Refusal.new(code: rule.kind, rule: rule.id, field: at, fields: fields, message: message, passable: warning)
          @trace.add("refused", field, rule: rule, after: message, how: how)
        end

        # A rule was asked and has nothing against the record.
        def pass(rule, field, how: nil) = @trace.add("passed", field, rule: rule, how: how)

        # A rule did not act, and why.
        def skip(rule, field, why) = @trace.add("skipped", field, rule: rule, how: why)

        # @return [String] why a formula came to blank
        def why_blank(formula, evaluation)
          return evaluation.notes.map(&:last).join("; ") if evaluation.notes.any?

          blank = formula.reads.find { |key| @values[key].nil? }
          blank ? "#{@table.field(blank).label} is blank" : "it comes to blank"
        end

        # @return [Outcome]
        def outcome
          Outcome.new(
            values: @values, unreadable: @unreadable, origins: origins, refusals: in_order(@refusals),
            changes: changes, passed: @passed, overtaken: @overtaken, steps: @trace.steps, evaluation: evaluation
          )
        end

        # @return [String] a value in its reading format
        def show(field, value) = field.show(value, records)

        private

        def in_order(refusals)
          return refusals if refusals.length < 2

          places = @fields.keys.each_with_index.to_h
          refusals.sort_by.with_index { |refusal, index| [places.fetch(refusal.field), index] }
        end

        # @return [String, nil] a value for the trace, asked only when somebody will look
        def seen(field, value) = @trace.on? ? show(field, value) : nil

        def let_pass(rule, field, message, reason)
          @passed << Passed.new(rule: rule.id, message: message, reason: reason)
          @trace.add("passed", field, rule: rule, how: "#{message} Passed with the reason: #{reason}")
        end

        # What is worked out is left open: whoever reads it before its stage gets
        # it worked out, and never a value of another time.
        def beginning
          @fields.each_with_object({}) do |(key, _), found|
            found[key] = @old[key] if @old.key?(key) || !@plan.worked_out?(key)
          end
        end

        def records = @context.records

        # A rule may know a linked record that was deleted since.
        def gone?(field, value) = field.link? && !value.nil? && records.find(field.target, value).nil?

        # A record keeps its own retired choice; none can be given it anew.
        def retired(field, value)
          return value if @old[field.key] == value

          Values::Unreadable.new(code: "retired", message: "“#{value}” is retired: records that have it keep it, but no other can be given it. There is: #{field.open_choices.join(", ")}.")
        end

        def refuse_claim(rule, field, value)
          return if @claimed[field.key] == value

          refuse_typed(field, "worked_out", "#{field.label} is worked out and can't be typed.", rule: rule)
        end

        # What somebody typed where only a rule writes: of a calculation it may be
        # right, which shows when it is worked out.
        def claim(field, value)
          return @claimed[field.key] = value if @plan.worked_out?(field.key)
          return if value == @old[field.key]

          rule = @table.rules.find { |each| each.field == field.key && each.owns? }
          kind = rule.is_a?(Rules::Number) ? "is numbered" : "is written"
          refuse_typed(field, rule.kind, "#{field.label} #{kind} by a rule and can't be typed.", rule: rule)
        end

        def refuse_role(field) = refuse_typed(field, "not_allowed", "#{field.label} can't be changed by a #{@context.person.role}.")

        def refuse_typed(field, code, message, rule: nil)
          @refusals << Refusal.new(code: code, rule: rule&.id, field: field.key, fields: [field.key], message: message)
          @trace.add("refused", field, rule: rule, after: message)
        end

        # @return [Boolean] whether a field that only a rule gives takes a value all the same
        def brings?(key)
          return false if @plan.worked_out?(key)

          restoring? || (@draft.brings && @table.rules.any? { |rule| rule.is_a?(Rules::Number) && rule.field == key })
        end

        def why_blank_after(rule, notes)
          return notes.map(&:last).join("; ") if notes.any?

          blank = rule.reads(@table).find { |key| @values[key].nil? }
          blank ? "#{@table.field(blank).label} is blank" : "it comes to blank"
        end

        def keep_typed(field, raw, value)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = TYPED
          return unless @trace.on?

          text = Values::Plain.text(raw, field)
          how = "typed #{text ? "“#{Values::Plain.cut(text, 60)}”" : "nothing"}"
          @trace.add("read", field, before: seen(field, before), after: seen(field, value), how: how)
        end

        def keep_unread(field, raw, unreadable)
          @unreadable[field.key] = raw
          @refusals << Refusal.new(code: unreadable.code, rule: nil, field: field.key, fields: [field.key], message: unreadable.message)
          @trace.add("refused", field, after: unreadable.message)
        end

        def origins
          @fields.to_h { |key, _| [key, @origins[key] || (@values[key].nil? ? BLANK : STORED)] }
        end

        def changes
          @plan.kept_fields.each_with_object([]) do |field, found|
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
