# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # How a field stands to whoever fills in a form, as long as a condition holds;
        # where it does not hold, the opposite. One statement says both.
        #
        # state:: "shown", "enabled" (it can be typed in), "required" or "read_only"
        # when:: the condition; one that comes to blank does not hold
        # otherwise:: what becomes of the value of a field that is not shown or not
        #   enabled: "keep" or "clear"
        # enforced:: whether a record that goes against it is refused on every way in
        class State < Rule
          STATE_WORDS = [["shown", "visible"], ["enabled", "editable"], ["required", "required"],
            ["read_only", "read-only"]].freeze

          kind "state",
            label: "Field state",
            about: "Makes a field visible, editable, required or read-only.",
            editor: :own,
            begins: {"state" => "enabled", "when" => "", "otherwise" => "keep"},
            needs: [%w[when]]
          stage "validate"
          guide "state-and-lock"
          effect :state
          part "state", :choice, choices: STATE_WORDS
          part "when", :condition
          part "otherwise", :choice, choices: [["keep", "stays"], ["clear", "is cleared"]]
          part "enforced", :flag
          part "message", :text
          shown_by :stated
          histories :stated

          def field_state? = true
          STATES = %w[shown enabled required read_only].freeze
          OTHERWISE = %w[keep clear].freeze
          WORDS = STATE_WORDS.to_h.freeze

          # @return [Array<String>] how a field can stand
          def self.states = STATES

          def state = @parts["state"]
          def clears? = @parts["otherwise"] == "clear"
          def enforced? = @parts["enforced"] == true

          # It clears where fields are set, and refuses where records are refused.
          def stages = [("fill" if clears?), "validate"].compact
          def other_stages(table) = clears? ? {"fill" => Clearing.new(compile(table))} : {}

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless STATES.include?(state)
              return [
                problem(
                  "state",
                  Messages["common.field_can_be_shown_enabled_required"]
                )
              ]
            end
            if state != "shown" && table.rule_owned?(field)
              return [
                problem("state", Messages["rules.state.is_given_its_values_by_rule", field: table.field(field).label])
              ]
            end
            unless [nil, *OTHERWISE].include?(@parts["otherwise"])
              return [problem("otherwise", Messages["rules.state.value_can_be_kept_keep_or_cleared"])]
            end
            if clears? && !%w[shown enabled].include?(state)
              return [problem("otherwise", Messages["rules.state.only_field_is_not_shown"])]
            end
            if clears? && table.rule_owned?(field)
              return [
                problem(
                  "otherwise",
                  Messages["rules.state.values_of_rule_cant_be_cleared", field: table.field(field).label]
                )
              ]
            end
            if @parts["when"].to_s.strip.empty?
              return [problem("when", Messages["rules.state.say_while_what_field", state: WORDS.fetch(state)])]
            end

            formula_problems(table, expecting: :yes_no, part: "when")
          end

          def reads(table) = formula_reads(table, part: "when") - [field]
          def awaits(table) = reads(table) | (clears? ? [] : [field])
          def writes = clears? ? [field] : []
          def fields(table) = [field, *reads(table)].uniq
          def names(table) = [field, *formula_names(table, part: "when")].uniq

          def words(table)
            Wording["%{state} when %{condition}", state: Wording[WORDS.fetch(state)], condition: condition_words(table)]
          end

          def sentence(table)
            said =
              SENTENCES.fetch(state).call(field: table.field(field).label, condition: condition_words(table))
            ends =
              [
                (Wording["otherwise it is cleared"] if clears?),
                (Wording["also for imports and the API"] if enforced?)
              ].compact
            "#{said}#{"; #{ends.join(", ")}" if ends.any?}."
          end

          SENTENCES = {
            "shown" => ->(**gaps) { Wording["%{field} is visible only when %{condition}", **gaps] },
            "enabled" => ->(**gaps) { Wording["%{field} is editable only when %{condition}", **gaps] },
            "required" => ->(**gaps) { Wording["%{field} is required when %{condition}", **gaps] },
            "read_only" => ->(**gaps) { Wording["%{field} can't be edited when %{condition}", **gaps] }
          }.freeze

          def outcomes(_table)
            says = Wording[WORDS.fetch(state)]
            found = [["holds", Wording["the field is %{says}", says: says], %w[holds]],
              ["not", Wording["the field is not %{says}", says: says], %w[not]]]
            found << ["cleared", Wording["its value is cleared"], %w[cleared]] if clears?
            found << ["refused", Wording["it refuses a value entered anyway"], %w[refused]] if enforced?
            found
          end

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              reads: formula_reads(table, part: "when"),
              condition: compiled(table, expecting: :yes_no, part: "when"),
              message: @parts["message"].to_s.strip.empty? ? sentence(table) : @parts["message"],
              words: condition_words(table)
            )
          end

          # A state made ready to run.
          Compiled =
            Struct.new(:rule, :field, :reads, :condition, :message, :words, keyword_init: true) do
              # @param evaluation [Expression::Evaluation]
              # @return [Boolean] whether the statement holds now
              def met?(evaluation)
                met = condition.call(evaluation) == true
                evaluation.probe&.step(rule.id, met ? "holds" : "not")
                met
              end

              # Refuses what goes against it.
              # @param working [Save::SaveState]
              def apply(working)
                return working.skip(rule, field, Wording["for forms alone"]) unless rule.enforced? || rule.clears?

                unread = working.unreadable_among(reads)
                return working.skip(rule, field, Wording.unread(unread)) if unread

                evaluation = working.evaluation
                unless against?(working, met?(evaluation))
                  return working.pass(rule, field) { Expression::Explanation.explain([condition], evaluation) }
                end

                working.refuse(rule, field, message, fields: [field.key, *reads].uniq) do
                  Expression::Explanation.explain([condition], evaluation)
                end
              end

              private

              def against?(working, met)
                case rule.state
                when "required" then met && working.values[field.key].nil? && !working.unreadable?(field.key)
                when "read_only" then met && by_hand?(working)
                else !met && by_hand?(working) && !working.values[field.key].nil?
                end
              end

              def by_hand?(working) = working.typed?(field.key) && working.changed?(field.key) && !working.restoring?
            end

          # Takes away the value of a field that is no longer shown or open. What
          # somebody typed after that is not taken away but refused.
          Clearing =
            Struct.new(:compiled) do
              def rule = compiled.rule

              # @param working [Save::SaveState]
              def apply(working)
                field = compiled.field
                reads = compiled.reads
                unread = working.unreadable_among(reads)
                return working.skip(rule, field, Wording.unread(unread)) if unread
                return if working.values[field.key].nil? || [field.key, *reads].none? { |key| working.changed?(key) }
                return if compiled.met?(working.evaluation)
                if working.typed?(field.key) && working.changed?(field.key) &&
                    !working.typed_before?(field.key, reads - [field.key])
                  return
                end

                working.reformat(rule, field, nil,
                  Wording["cleared: not %{state} now", state: Wording[WORDS.fetch(rule.state)]], because: reads)
              end
            end

          private

          def condition_words(table) = Expression::Humanizer.new(table.scope).condition(tree("when"))
        end
      end
    end
  end
end
