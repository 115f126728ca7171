# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # What rules do to a record on its way: they set, number, stamp, shape, fill, refuse, pass
      # and skip. A part of Working.
      module RuleActions
        NONE = [].freeze

        # A rule sets a field.
        # @yield says the values that went in, asked only for a trace
        def set(rule, field, value, origin:, notes: NONE)
          coerced = field.coerce(value)
          return skip(rule, field, coerced.message) if coerced.is_a?(Values::Unreadable)
          return skip(rule, field, Wording["the linked record was deleted"]) if gone?(field, coerced)
          if coerced.nil?
            why = notes.map(&:last).join("; ")
            return skip(rule, field, why.empty? ? Wording["the result is blank"] : why)
          end

          before = @values[field.key]
          @values[field.key] = coerced
          @origins[field.key] = @plan.origin("rule", rule.id, origin)
          tell("set", field, rule, before, coerced) { yield if block_given? }
        end

        # A rule says what a field always equals, blank included. What somebody
        # sent for such a field is refused unless it is the same.
        # @yield as for `set`
        def calculate(rule, field, value, origin:, notes: NONE)
          coerced = field.coerce(value)
          notes += [[:unreadable, coerced.message]] if coerced.is_a?(Values::Unreadable)
          coerced = nil if coerced.is_a?(Values::Unreadable)
          before = @values.fetch(field.key) { @old[field.key] }
          @values[field.key] = coerced
          @origins[field.key] = @plan.origin("rule", rule.id, origin)
          refuse_asserted(rule, field, coerced) if @claimed.key?(field.key)
          return skip(rule, field) { why_blank_after(rule, notes) } if coerced.nil? && before.nil?

          tell("set", field, rule, before, coerced) { coerced.nil? ? why_blank_after(rule, notes) : yield }
        end

        # A rule gives the record its number, which is kept when the record is.
        # @yield says which it is
        def number(rule, field, value)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = (
            if @draft.live
              Origin.new("rule", rule.id, Wording["not assigned yet"], true)
            else
              @plan.origin("rule", rule.id, Wording["numbered"])
            end
          )
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
          @origins[field.key] = Origin.new("rule", rule.id, Wording["unticked again"])
          tell("set", field, rule, true, false) { Wording["the box is cleared again automatically"] }
        end

        # @return [String] " to …" with the name of the record, for a message
        def known_as(id) =
          if id.is_a?(Integer) && (title = records.title(@table.key, id))
            Wording[" to %{record}", record: Values::Plain.quoted(title)]
          else
            Wording[", to a deleted record"]
          end

        # A rule gives a value another form, or takes it away. What was typed stays
        # known as typed, unless it is gone.
        # @param because [Array<String>] keys of the fields whose change moves the rule
        def reformat(rule, field, value, words, because: [])
          typed = !value.nil? && @origins[field.key]&.source == "typed" && because.empty?
          write(rule, field, value, words, because: changed_causes(because), how: words, typed: typed)
        end

        # A rule sets a field from others, unless somebody typed there since, or it
        # has the value already.
        # @param value [Object, nil] nil makes it blank
        # @param because [Array<String>] keys of the fields whose change moves the rule
        # @param how [Proc] says the values that went in, asked only for a trace
        def fill(rule, field, value, because:, words:, how:)
          because = changed_causes(because)
          coerced = field.coerce(value)
          return skip(rule, field, coerced.message) if coerced.is_a?(Values::Unreadable)
          return skip(rule, field, Wording["the linked record was deleted"]) if gone?(field, coerced)
          if typed?(field.key) && !rule.overrules? && !hand.superseded?(field.key, because)
            return skip(rule, field, @values[field.key].nil? ? Wording["cleared by hand"] : Wording["filled by hand"])
          end
          if rule.only_blank? && !(@values[field.key].nil? && !unreadable?(field.key))
            return skip(rule, field, Wording["it already has a value"])
          end
          if coerced == @values[field.key] && !typed?(field.key)
            return skip(rule, field,
              Wording["it has that value already"])
          end

          write(rule, field, coerced, words, because: because, how: how)
        end

        # A rule refuses the record, or warns of it.
        # @param at [String] key of the field at which the message stands
        # @yield says why, asked only for a trace
        def refuse(rule, field, message, fields:, at: field.key)
          warning = rule.warning?
          reason = warning ? @draft.reasons[rule.id].to_s.strip : ""
          return acknowledge_warning(rule, field, message, reason) unless reason.empty?

          @refusals += [
            Refusal.new(
              code: rule.kind,
              rule: rule.id,
              field: at,
              fields: fields,
              message: message,
              passable: warning
            )
          ]
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
          blank ? Wording.blank(@table.field(blank)) : Wording["the result is blank"]
        end

        private

        def write(rule, field, value, words, because:, how:, typed: false)
          before = @values[field.key]
          forget_unread(field.key) unless typed
          hand.written(field.key, because, gone: !typed)
          @values[field.key] = value
          @origins[field.key] = Origin.new(typed ? "typed" : "rule", rule.id, words)
          tell("set", field, rule, before, value, value.nil? ? "cleared" : "set") do
            how.is_a?(Proc) ? how.call : how
          end
        end

        # For the trace, where there is one.
        # @param after [Object, nil] a value, or what a refusal says
        # @param mark [String] what the probe is told
        # @yield says how it came about
        def tell(result, field, rule, before = nil, after = nil, mark = result)
          return if @silent

          before, after = [before, after].map { |value| traced(field, value) } if result == "set"
          @trace.add(
            result,
            field,
            rule: rule,
            before: before,
            after: after,
            how: (yield if @trace.telling?),
            mark: mark
          )
        end

        # What could not be read does not matter once a rule has written over it.
        def forget_unread(key)
          return unless @unreadable.key?(key)

          @unreadable = @unreadable.except(key)
          @refusals = @refusals.reject { |refusal| refusal.rule.nil? && refusal.field == key }
        end

        # @return [String, nil] a value for the trace, asked only when somebody will look
        def traced(field, value) = @trace.on? ? show(field, value) : nil

        def acknowledge_warning(rule, field, message, reason)
          @passed += [AcknowledgedWarning.new(rule: rule.id, message: message, reason: reason)]
          tell("passed", field, rule) {
            Wording["%{message} Passed with the reason: %{reason}", message: message, reason: reason]
          }
        end

        # A rule may know a linked record that was deleted since.
        def gone?(field, value) = field.link? && !value.nil? && records.find(field.target, value).nil?

        def why_blank_after(rule, notes)
          return notes.map(&:last).join("; ") if notes.any?

          blank = rule.reads(@table).find { |key| @values[key].nil? }
          blank ? Wording.blank(@table.field(blank)) : Wording["the result is blank"]
        end
      end
    end
  end
end
