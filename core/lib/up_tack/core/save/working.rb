# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A record on its way through the stages. Rules read it and tell it what
      # they do (set, refuse, pass, skip); it keeps values, origins, refusals and
      # the trace together.
      class Working
        attr_reader :values

        # @param plan [Plan]
        # @param draft [Draft]
        # @param context [Context]
        def initialize(plan, draft, context, trace:)
          @plan = plan
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
          @trace = Trace.new(on: trace)
        end

        def new? = @draft.new?
        def typed?(key) = @draft.typed.key?(key)
        def cleared?(key) = typed?(key) && @values[key].nil? && !unreadable?(key)
        def unreadable?(key) = @unreadable.key?(key)

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

        # @return [Design::Field, nil] the first of the fields whose input is no value
        def unreadable_among(keys)
          return if @unreadable.empty?

          key = keys.find { |each| unreadable?(each) }
          key && @table.field(key)
        end

        # @return [Expression::Evaluation] for one run of a formula
        def evaluation
          Expression::Evaluation.new(values: @values, old: @old, context: @context, is_new: new?, id: @draft.id)
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
            field = @table.field(key) or next
            value = field.read(raw, reading)
            next @claimed[key] = value if @plan.worked_out?(key)

            value = retired(field, value) if field.retired.include?(value)
            value.is_a?(Values::Unreadable) ? keep_unread(field, raw, value) : keep_typed(field, raw, value)
          end
        end

        # @param stage [String] the stage that begins
        def enter(stage)
          @trace.enter(stage)
          write_changes if stage == "log"
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
          @origins[field.key] = Origin.new(source: "rule", rule: rule.id, words: origin)
          @trace.add("set", field, rule: rule, before: show(field, before), after: show(field, settled), how: how)
        end

        # A rule says what a field always equals, blank included. What somebody
        # sent for such a field is refused unless it is the same.
        def calculate(rule, field, value, origin:, how: nil, notes: [])
          settled = field.settle(value)
          notes += [[:unreadable, settled.message]] if settled.is_a?(Values::Unreadable)
          settled = nil if settled.is_a?(Values::Unreadable)
          before = @values[field.key]
          @values[field.key] = settled
          @origins[field.key] = Origin.new(source: "rule", rule: rule.id, words: origin)
          refuse_claim(rule, field, settled) if @claimed.key?(field.key)
          return skip(rule, field, why_blank_after(rule, notes)) if settled.nil? && before.nil?

          @trace.add("set", field, rule: rule, before: show(field, before), after: show(field, settled), how: settled.nil? ? why_blank_after(rule, notes) : how)
        end

        # A rule gives a value another form, or takes it away. What was typed stays
        # known as typed, unless it is gone.
        def shape(rule, field, value, words)
          before = @values[field.key]
          typed = !value.nil? && @origins[field.key]&.source == "typed" && !rule.is_a?(Rules::Copy)
          @overtaken |= [field.key] if typed?(field.key) && !typed
          @values[field.key] = value
          @origins[field.key] = Origin.new(source: typed ? "typed" : "rule", rule: rule.id, words: words)
          @trace.add("set", field, rule: rule, before: show(field, before), after: show(field, value), how: words)
        end

        # A rule refuses the record, or warns of it.
        def refuse(rule, field, message, fields:, how: nil)
          warning = rule.is_a?(Rules::Validation) && rule.warning?
          reason = warning ? @draft.reasons[rule.id].to_s.strip : ""
          return let_pass(rule, field, message, reason) unless reason.empty?

          @refusals << Refusal.new(code: rule.kind, rule: rule.id, field: field.key, fields: fields, message: message, passable: warning)
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
          places = @table.fields.each_with_index.to_h { |field, index| [field.key, index] }
          Outcome.new(
            values: @values, unreadable: @unreadable, origins: origins,
            refusals: @refusals.sort_by.with_index { |refusal, index| [places.fetch(refusal.field), index] },
            changes: changes, passed: @passed, overtaken: @overtaken, steps: @trace.steps, evaluation: evaluation
          )
        end

        # @return [String] a value in its reading format
        def show(field, value) = field.show(value, records)

        private

        def let_pass(rule, field, message, reason)
          @passed << Passed.new(rule: rule.id, message: message, reason: reason)
          @trace.add("passed", field, rule: rule, how: "#{message} Passed with the reason: #{reason}")
        end

        # What is worked out is left open: whoever reads it before its stage gets
        # it worked out, and never a value of another time.
        def beginning
          @table.fields.each_with_object({}) do |field, found|
            found[field.key] = @old[field.key] if @old.key?(field.key) || !@plan.worked_out?(field.key)
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

          message = "#{field.label} is worked out and can't be typed."
          @refusals << Refusal.new(code: "worked_out", rule: rule.id, field: field.key, fields: [field.key], message: message)
          @trace.add("refused", field, rule: rule, after: message)
        end

        def why_blank_after(rule, notes)
          return notes.map(&:last).join("; ") if notes.any?

          blank = rule.reads(@table).find { |key| @values[key].nil? }
          blank ? "#{@table.field(blank).label} is blank" : "it comes to blank"
        end

        def keep_typed(field, raw, value)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = Origin.new(source: "typed")
          text = Values::Plain.text(raw, field)
          how = "typed #{text ? "“#{Values::Plain.cut(text, 60)}”" : "nothing"}"
          @trace.add("read", field, before: show(field, before), after: show(field, value), how: how)
        end

        def keep_unread(field, raw, unreadable)
          @unreadable[field.key] = raw
          @refusals << Refusal.new(code: unreadable.code, rule: nil, field: field.key, fields: [field.key], message: unreadable.message)
          @trace.add("refused", field, after: unreadable.message)
        end

        def origins
          @table.fields.to_h do |field|
            source = @values[field.key].nil? ? "blank" : "stored"
            [field.key, @origins[field.key] || Origin.new(source: source)]
          end
        end

        def changes
          @plan.kept_fields.filter_map do |field|
            before = @old[field.key]
            after = @values[field.key]
            next if before == after

            origin = @origins[field.key]
            Change.new(field: field, before: before, after: after, rule: origin&.rule)
          end
        end

        def write_changes
          return if @refusals.any?

          changes.each { |change| @trace.add("logged", change.field, before: show(change.field, change.before), after: show(change.field, change.after)) }
        end
      end
    end
  end
end
