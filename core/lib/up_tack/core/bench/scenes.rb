# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The ways in which somebody comes by a record that shows something of a rule, each made of the
      # same changes of the base record.
      class Scenes
        # In the order in which they are tried.
        ALL = %i[
          typed
          changed
          back
          as_stored
          touched
          moved
          passed
          twice
          another
          twice_passed
          beside
          copied
          by_hand
          refilled
          as_clerk
          as_builder
          later
          again_later
          half
        ].freeze
        # The record that is there already, in the scripts that begin with one.
        OWN = 1

        # @param field [Design::Field]
        # @param now [Object, nil] its value
        # @param mask [Masks::Mask, nil] how it is typed
        # @return [Object, nil] another value of the field
        def self.other(field, now, today, mask: nil)
          return masked(mask, now) if mask

          field.values.other(field, now, today)
        end

        # Another text that fits: the last character that may be another one is.
        def self.masked(mask, now)
          text = now || Masks::Examples.sample(mask)
          (text.length - 1).downto(0) do |place|
            other = text.dup.tap { |copy| copy[place] = text[place].tr("0-9A-Ya-yZz", "1-90B-Zb-zAa") }
            return other if other != text && mask.fits?(other)
          end
          nil
        end

        # @param table [Design::Table]
        # @param base [BoundaryCases::BaseRecord]
        # @param scene [BoundaryCases::ScriptBuilder]
        # @param rule [Rules::Rule]
        # @param seen [Hash{String=>Object}] the base record as it comes out
        def initialize(table, base, scene, rule, seen)
          @table = table
          @base = base
          @scene = scene
          @rule = rule
          @seen = seen
        end

        # @param name [Symbol] one of ALL
        # @param assignment [Hash{String=>Object}] changes of the base record, see BoundaryCases::ScriptBuilder
        # @return [Hash, Array<Hash>, nil] a plain script, or some
        def script(name, assignment) = send(name, assignment)

        # @return [Hash{String=>Object}, nil] another value of a field that no rule looks at
        def spare = @spare ||= untouched({})&.then { |key, value| {key => value} }

        private

        # Typed anew, all at once.
        def typed(assignment) = @scene.script(assignment)

        # Saved first as the base record.
        def changed(assignment) = children?(assignment) ? nil : @scene.script(assignment, lasting: true)

        # Saved with the changes first, and then as the base record is.
        def back(assignment)
          return if assignment.empty? || children?(assignment)

          own = assignment.reject { |key, _| key.include?(".") || %w[clock first].include?(key) }
          @scene.script(own.keys.to_h { |key| [key, @base.values[key]] }.merge("first" => own))
        end

        # There before, as it is with the changes; then something else is changed.
        def touched(assignment)
          other = untouched(assignment) or return
          standing_script(assignment, {other.first => other.last})
        end

        # There before, as the base record is; then changed.
        def as_stored(assignment)
          own = own(assignment)
          own.empty? ? nil : standing_script({}, own)
        end

        # There before with the changes; then one of the fields that the rule names is changed.
        def moved(assignment)
          keys = (@rule.names(@table) | @rule.fields(@table)).select { |key|
            @table.field(key) && !@table.rule_owned?(key)
          }
          keys.filter_map { |key| (value = other(key)).nil? ? nil : standing_script(assignment, {key => value}) }
        end

        def standing_script(stored, changes)
          return if children?(stored) || children?(changes) || stored.key?("first")

          script = @scene.script(stored.reject { |_, value| value == :untyped }) or return
          values = stands.merge(script["acts"].first["values"])
          kept = values.slice(*@table.fields.reject { |field| @table.worked_out?(field.key) }.map(&:key)).compact
          records =
            script["records"].merge(
              @table.key =>
                (script["records"][@table.key] || {}).merge(
                  OWN.to_s => kept.to_h { |key, value| [key, dumped(value)] }
                )
            )
          typed = changes.reject { |_, value| value == :untyped }.transform_values { |value| dumped(value) }
          {
            **script,
            "start" => {"from" => "real", "record" => OWN},
            "records" => records,
            "acts" => [{"do" => "fill_in", "values" => typed}, {"do" => "save"}]
          }
        end

        # The base record as it comes out, defaults and what rules give included.
        def stands =
          @stands ||= @seen.reject { |key, _| @table.worked_out?(key) }.transform_values { |value| dumped(value) }

        # The warning is passed with a reason; what refuses is not moved by that.
        def passed(assignment)
          return unless @rule.stage == "validate" && !children?(assignment)

          script = @scene.script(assignment) or return
          {**script, "acts" => [*script["acts"], {"do" => "pass", "rule" => @rule.id, "reason" => "known"}]}
        end

        # Two of them, one after the other.
        def twice(assignment) = children?(assignment) ? nil : @scene.script(assignment, again: true)

        # A second record with the changes, after one without.
        def another(assignment)
          script = twice({}) or return
          own = own(assignment)
          return if own.empty?

          first, save, new, second = script["acts"]
          {
            **script,
            "acts" => [
              first,
              save,
              new,
              second.merge("values" => second["values"].merge(own.transform_values { |value| dumped(value) }))
            ]
          }
        end

        def twice_passed(assignment)
          script = twice(assignment) or return
          {**script, "acts" => [*script["acts"], {"do" => "pass", "rule" => @rule.id, "reason" => "known"}]}
        end

        # There before, beside another one that is the same.
        def beside(assignment)
          script = touched(assignment) or return
          own = script["records"][@table.key]
          twin = own[OWN.to_s].except(*unique_elsewhere)
          {**script, "records" => script["records"].merge(@table.key => own.merge("2" => twin))}
        end

        # What other rules want to be unique would stand against it.
        def unique_elsewhere =
          @table.rules.select(&:compares_records?).reject { |rule| rule.id == @rule.id }.flat_map(&:keys) -
            @rule.fields(@table)

        # The second is told from the first by its capitals alone.
        def half(assignment)
          script = twice(assignment) or return
          acts = script["acts"].map(&:dup)
          acts.last["values"] = acts.last["values"].transform_values do |value|
            (value.is_a?(String) && value.match?(/\p{Ll}/) && value.length < 30) ? value.swapcase : value
          end
          {**script, "acts" => acts}
        end

        # A copy of a saved one.
        def copied(assignment)
          return if children?(assignment)

          script = @scene.script(assignment) or return
          {**script, "acts" => [*script["acts"], {"do" => "save"}, {"do" => "copy"}]}
        end

        # What the rule sets is typed by hand as well.
        def by_hand(assignment)
          values = targets.to_h { |key| [key, other(key)] }.compact
          values.empty? ? nil : @scene.script(assignment.merge(values))
        end

        # What the rule sets is there already when it is moved.
        def refilled(assignment)
          filled = targets.to_h { |key| [key, other(key)] }.compact
          own = own(assignment).except(*targets)
          (filled.empty? || own.empty?) ? nil : standing_script(filled, own)
        end

        def as_clerk(assignment) = as("clerk", assignment)
        def as_builder(assignment) = as("builder", assignment)

        def as(role, assignment)
          by = assignment.merge("user.role" => role)
          script = changed(by) || @scene.script(by) or return
          {**script, "person" => script["person"].merge("name" => "Somebody else")}
        end

        # Saved, and changed on another day by somebody else.
        def later(assignment)
          script = changed(assignment) or return
          first, *rest = script["acts"]
          {
            **script,
            "acts" => [
              first,
              {"do" => "save"},
              {"do" => "wait", "days" => 3, "hours" => 0},
              {"do" => "as", "person" => {"name" => "Somebody else", "role" => "builder"}},
              *rest.drop(1)
            ]
          }
        end

        # It happens, ends, and happens again on another day.
        def again_later(assignment)
          own = own(assignment)
          return if own.empty?

          script = @scene.script(assignment) or return
          usual = own.keys.to_h { |key| [key, dumped(@base.values[key])] }
          wait = {"do" => "wait", "days" => 2, "hours" => 0}
          {
            **script,
            "acts" => [
              *script["acts"],
              {"do" => "save"},
              wait,
              {"do" => "fill_in", "values" => usual},
              {"do" => "save"},
              wait,
              {"do" => "fill_in", "values" => own.transform_values { |value| dumped(value) }},
              {"do" => "save"}
            ]
          }
        end

        def targets = (@rule.writes | [@rule.field]).reject { |key| @table.rule_owned?(key) }
        def children?(assignment) = assignment.key?("children")

        def own(assignment) =
          assignment.reject { |key, value|
            key.include?(".") || %w[clock first children].include?(key) || value == :untyped
          }

        # A field that nothing concerns, with another value.
        def untouched(assignment)
          field = unruled.find { |each| !assignment.key?(each.key) && each.key != @rule.field }
          field ||=
            @table.fields.find do |each|
              !@table.rule_owned?(each.key) && !assignment.key?(each.key) && !@rule.fields(@table).include?(each.key) &&
                !each.link?
            end
          field && [field.key, other(field.key)]
        end

        # Texts that no rule looks at.
        def unruled
          @unruled ||=
            begin
              ruled = @table.rules.flat_map { |rule| rule.fields(@table) }
              @table.fields.select do |each|
                each.textual? && !@table.rule_owned?(each.key) && !ruled.include?(each.key)
              end
            end
        end

        def other(key) = Scenes.other(@table.field(key), @seen[key], @base.context.clock.today, mask: @table.mask(key))

        def dumped(value) = (value.nil? || value.is_a?(String)) ? value : Core::Values.dump(value)
      end
    end
  end
end
