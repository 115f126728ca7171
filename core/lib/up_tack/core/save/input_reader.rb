# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # How a record on its way takes in what was typed and what came along: as
      # values of their fields' types, or refused with a message. A part of Working.
      module InputReader
        # Turns what was typed into values, before the first stage.
        def read_typed
          @trace.enter("typed")
          reading = @context.reading(@plan.conventions)
          known = @context.readings
          @draft.typed.each do |key, raw|
            field = @fields[key] or next
            value = known ? known.read(field, raw, reading) : field.read(raw, reading)
            next refuse_role(field) if refused_by_role?(field, value)
            next assert_value(field, value) if @plan.rule_owned?(key) && !brings?(key)

            value = retired(field, value) if field.retired.any? && field.retired.include?(value)
            value.is_a?(Values::Unreadable) ? keep_unread(field, raw, value) : keep_typed(field, raw, value)
          end
        end

        # Gives a new record what it takes over from the one before it; nobody typed
        # that, so rules may write over it.
        def read_carried
          return if !new? || @draft.carried.empty?

          reading = @context.reading(@plan.conventions)
          @draft.carried.each do |key, raw|
            field = @fields[key]
            next if field.nil? || typed?(key) || @plan.rule_owned?(key) || !field.allows?(@context.person&.role, :edit)

            value = field.read(raw, reading)
            if value.nil? || value.is_a?(Values::Unreadable) || field.retired.include?(value) || gone?(field, value)
              next
            end

            @values[key] = value
            @origins[key] = Origin.new("rule", nil, Wording["as in the previous record"])
            @trace.add("set", field, after: traced(field, value), how: Wording["as in the previous record"])
          end
        end

        private

        # What may not be seen is refused as soon as it is sent: that it is equal to what stands there must
        # not show either.
        def refused_by_role?(field, value)
          return false if (field.access.nil? && field.closed.empty?) || restoring?

          role = @context.person&.role
          !field.allows?(role, :see) ||
            (!field.allows?(role, :edit) && !@plan.rule_owned?(field.key) && value != @old[field.key])
        end

        # A record keeps its own retired choice; none can be given it anew.
        def retired(field, value)
          return value if @old[field.key] == value

          Values::Unreadable.new(
            code: "retired",
            message:
              Messages["save.input_reader.is_retired", value: value, choices: field.open_choices.join(", ")]
          )
        end

        def refuse_asserted(rule, field, value)
          return if @claimed[field.key] == value

          refuse_typed(
            field,
            "worked_out",
            Messages["save.input_reader.is_worked_out_and_cant_be_typed", field: field.label],
            rule: rule
          )
        end

        # What somebody typed where only a rule writes: of a calculation it may be
        # right, which shows when it is worked out.
        def assert_value(field, value)
          return @claimed = @claimed.merge(field.key => value) if @plan.worked_out?(field.key)
          return if value == @old[field.key]

          rule = @table.rules.find { |each| each.field == field.key && each.owns? }
          refuse_typed(
            field,
            rule.kind,
            Messages["save.input_reader.by_rule_and_cant_be_typed", field: field.label],
            rule: rule
          )
        end

        def refuse_role(field) =
          refuse_typed(
            field,
            "not_allowed",
            Messages["save.input_reader.cant_be_changed_by", field: field.label, role: @context.person.role]
          )

        def refuse_typed(field, code, message, rule: nil)
          @refusals += [
            Refusal.new(code: code, rule: rule&.id, field: field.key, fields: [field.key], message: message)
          ]
          @trace.add("refused", field, rule: rule, after: message)
        end

        # @return [Boolean] whether a field that only a rule gives takes a value all the same
        def brings?(key)
          return false if @plan.worked_out?(key)

          restoring? || (@draft.brings && @table.rules.any? { |rule|
            rule.field == key && (rule.numbers? || (@draft.brings == :as_was && new? && rule.stage == "log"))
          })
        end

        def keep_typed(field, raw, value)
          before = @values[field.key]
          @values[field.key] = value
          @origins[field.key] = SaveState::TYPED
          return unless @trace.on?

          text = Values::Plain.text(raw, field)
          how = text ? Wording["typed “%{text}”", text: Values::Plain.cut(text, 60)] : Wording["typed nothing"]
          @trace.add("read", field, before: traced(field, before), after: traced(field, value), how: how)
        end

        def keep_unread(field, raw, unreadable)
          @unreadable = @unreadable.merge(field.key => raw)
          @refusals += [
            Refusal.new(
              code: unreadable.code,
              rule: nil,
              field: field.key,
              fields: [field.key],
              message: unreadable.message
            )
          ]
          @trace.add("refused", field, after: unreadable.message)
        end
      end
    end
  end
end
