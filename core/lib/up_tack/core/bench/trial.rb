# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Plays a script: each act in its turn, every save through the stages. Where the
      # script ends with something typed and not saved, what a save would give is said.
      class Trial
        # What one act came to.
        # act:: plain; state:: "typed", "saved", "refused", "deleted", "back" or "done"
        # outcome:: the Save::Outcome, nil where nothing was worked out
        # id:: number of the record at hand; message:: a sentence where there is no outcome
        # logged:: Save::Changes that the change log would keep; at:: the Clock then
        Moment = Struct.new(:act, :state, :outcome, :id, :message, :logged, :at, keyword_init: true)

        # @return [Array<Moment>] one for each act, and one more for a save that is only thought of
        attr_reader :moments
        # @return [RecordOverlay]
        attr_reader :world
        # @return [Save::Plan] by which the record was worked out
        attr_reader :plan
        # @return [Forms::CompiledForm, nil] the form
        attr_reader :ready
        # @return [Hash{String=>Object}] what counts as typed now
        attr_reader :typed
        # @return [Hash{String=>Object}, nil] the record at hand as it is stored
        attr_reader :stored
        # @return [Integer, nil] its number
        attr_reader :id

        # @param ground [Save::CompiledProject]
        # @param table [String] key
        # @param script [Design::Script]
        # @param clock [Design::ScriptClock]
        # @param world [RecordOverlay, nil] over real records; by itself the data set of the script
        # @param counters [Counters]
        # @param probe [Probe, nil]
        # @param trace [Boolean, :brief] how much of the saves is told
        def initialize(ground, table, script, clock:, world: nil, counters: Counters.new, probe: nil, trace: true)
          @ground = ground
          @design = ground.project.table(table)
          @plan, @ready = ground.filled_in(table, script.form)
          @script = script
          @clock = clock
          @person = script.actor
          @world = world || RecordOverlay.new(ground, records: script.values(ground.project))
          @counters = counters
          @probe = probe
          @trace = trace
          @moments = []
          @beneath = DetailRows.new(ground, @world)
          @lines = []
        end

        # @return [Trial] itself, played
        def play
          @world.context = context
          CounterSeeding.note(@ground, @world, @counters, @script.records.keys)
          begin_with(@script.start)
          @script.acts.each { |act| @moments << Commands.public_send(act.fetch("do"), self, act) }
          @moments << would_save unless Design::Script::FINAL.include?(@script.acts.last&.fetch("do"))
          self
        end

        # @return [Moment] that at which the script ends
        def last = @moments.last

        # What a live form shows of the record now.
        # @return [Save::Outcome]
        def live = @live ||= over_lines(live: true).tap { @counters.drop }

        # @return [Array<Array<Save::Outcome, nil>>] what the lines beneath it come to, by group and row
        def lines
          live
          @beneath.any? ? @lines : []
        end

        # @return [Array<String>] keys of the tables of those groups
        def line_tables = @beneath.any? ? @beneath.tables : []

        # @return [Hash{String=>Save::FieldStates::State}] how each field stands
        def states = @states ||= Save::FieldStates.new(plan, live, @person, ready ? ready.states : []).all

        # Looks at how the fields stand after the last save, as a form would show it.
        def look = last.outcome && Save::FieldStates.new(plan, last.outcome, @person, ready ? ready.states : []).all

        # @return [Forms::FocusOrder, nil] where the cursor goes
        def cursor = ready && Forms::FocusOrder.new(ready, live, states)

        # @return [Design::ScriptClock] as it stands at the end
        attr_reader :clock
        # @return [Ports::Person] whoever acts at the end
        attr_reader :person

        # -- what acts do --

        # Something is typed in a field and left; rules may take typed values away.
        def type(field, value)
          forget_live
          @typed.delete(field)
          @typed[field] = value
          forget_overtaken
        end

        def fill_in(values)
          forget_live
          values.each { |field, value| type_quietly(field, value) }
        end

        def pass(rule, reason)
          forget_live
          @reasons[rule] = reason
        end

        # Rows are typed beneath the record.
        def beneath(table, link, rows)
          forget_live
          @beneath.put(table, link, rows)
        end

        # @return [Moment]
        def save(act)
          return moment(act, "refused", message: forbidden) if forbidden

          outcome = saved_outcome
          unless outcome.saved?
            @counters.drop
            return moment(act, "refused", outcome: outcome)
          end

          refused = written(outcome)
          return moment(act, "refused", outcome: outcome, message: refused) if refused

          logged = changes(outcome)
          take_up(@id)
          moment(act, "saved", outcome: outcome, logged: logged)
        end

        # Another new record, with what the form takes over from this one.
        def renew
          carried = ready ? ready.form.carried : []
          before = @stored || {}
          start_new({})
          @carried =
            carried
              .reject { |key| before[key].nil? }
              .to_h { |key| [key, @design.field(key).values.dump(before[key])] }
        end

        def copy = start_new(Copying.values(@design, @stored || {}))

        # @return [Array<String>] why it can't be deleted, empty when it is
        def delete
          return [Messages["bench.trial.there_is_no_saved_record_to_delete"]] unless @id && @stored
          unless @design.allows?(@person.role, :delete)
            return [Messages["common.may_not_delete_records", role: @person.role, table: @design.label]]
          end

          reasons = Deletion.new(@ground, @world).call(@design, @id) { |table, id, link| cleared(table, id, link) }
          return reasons if reasons.any?

          @deleted = [@id, @stored]
          @gone = true
          forget_live
          []
        end

        # @return [Save::Outcome, nil] nil where nothing was deleted
        def put_back
          return unless @deleted

          id, values = @deleted
          typed =
            @design
              .fields
              .reject { |field| @design.worked_out?(field.key) }
              .to_h { |field| [field.key, values[field.key].nil? ? nil : field.values.dump(values[field.key])] }
          outcome =
            Save.call(
              plan,
              Save::Draft.new(typed: typed, stored: nil, id: id, restoring_values: true),
              context,
              trace: @trace
            )
          return outcome.tap { @counters.drop } unless outcome.saved?

          @gone = false
          keep(outcome, id)
          take_up(id)
          outcome
        end

        def wait(days:, hours:)
          forget_live
          @clock = @clock.later(days: days, hours: hours)
          @world.context = context
        end

        def hand_over(person)
          forget_live
          @person = Design::Script.actor(person)
          @world.context = context
        end

        # @return [String, nil] why whoever acts may not save here at all
        def forbidden =
          @design.allows?(@person.role, :edit) ? nil : Messages[
            "bench.trial.may_not_change_records", role: @person.role, design: @design.label
          ]

        # @return [Boolean] whether the record at hand was deleted
        def gone? = @gone == true

        # @return [Moment]
        def moment(act, state, **more) = Moment.new(act: act, state: state, id: @id, at: @clock, logged: [], **more)

        private

        def begin_with(start)
          case start["from"]
          when "copy" then start_new(Copying.values(@design, found(start["record"]) || {}))
          when "real" then take_up(start["record"])
          else start_new({})
          end
        end

        def found(id) = @world.find(@design.key, id) && @world.complete(@design.key, id)

        def take_up(id)
          @id = id
          @stored = found(id)
          @typed = {}
          @reasons = {}
          @carried = {}
          @beneath.clear
          forget_live
        end

        def start_new(typed)
          @id = @stored = nil
          @gone = false
          @typed = typed
          @reasons = {}
          @carried = {}
          @beneath.clear
          forget_live
        end

        def type_quietly(field, value)
          @typed.delete(field)
          @typed[field] = value
        end

        def forget_live = @live = @states = nil

        def context =
          Context.new(clock: @clock, person: @person, records: @world, counters: @counters, probe: @probe)

        def draft(live:) =
          Save::Draft.new(
            typed: @typed,
            stored: @stored,
            id: @id || (DetailRows::NEW if @beneath.any?),
            reasons: @reasons,
            live: live,
            carried: @carried
          )

        # The browser's form waits for its last answer before it saves, so what rules have
        # written over by then is not sent.
        def saved_outcome
          forget_overtaken if @script.acts.any? { |act| act["do"] == "type" }
          over_lines(live: false)
        end

        # The record as it comes out, its lines laid beneath it as they would be.
        def over_lines(live:)
          trace = live ? false : @trace
          return Save.call(plan, draft(live: live), context, trace: trace) unless @beneath.any?

          outcome = nil
          @world.trying do
            first = Save.call(plan, draft(live: true), context)
            @world.write(@design.key, @id || DetailRows::NEW, first.values)
            @lines = @beneath.lay(@id || DetailRows::NEW, context, live: true)
            @counters.drop
            outcome = Save.call(plan, draft(live: live), context, trace: trace)
            false
          end
          outcome
        end

        # Writes the record and its lines, all or nothing.
        # @return [String, nil] why not
        def written(outcome)
          refused = nil
          before = @id
          @world.trying do
            @counters.trying do
              keep(outcome) if @stored.nil? || outcome.changes.any?
              @lines = @beneath.lay(@id, context, live: false)
              refused = line_refusals
              @counters.commit(@id) unless refused
              refused.nil?
            end
            refused.nil?
          end
          @id = before if refused
          refused
        end

        # Only where a rule may write over something typed need the form be asked.
        def forget_overtaken
          return if @typed.none? { |key, _| plan.filled?(key) }

          live.overtaken.each { |key| @typed.delete(key) }
        end

        def would_save
          return moment(nil, "deleted") if gone?
          return moment(nil, "refused", message: forbidden) if forbidden

          outcome = saved_outcome
          @counters.drop
          refused = outcome.saved? ? line_refusals : nil
          saved = outcome.saved? && refused.nil?
          moment(
            nil,
            saved ? "saved" : "refused",
            outcome: outcome,
            message: refused,
            logged: saved ? changes(outcome) : []
          )
        end

        # @return [String, nil] what stands against the lines, as far as it can be told before they are saved
        def line_refusals
          found = @beneath.any? ? @lines.flatten.compact.flat_map { |line| line.refusals.map(&:message) }.uniq : []
          found.empty? ? nil : found.join(" ")
        end

        def changes(outcome) = outcome.changes.select { |change| @design.logged?(change.field) }

        def keep(outcome, id = @id)
          @id = @world.write(@design.key, id, outcome.values)
          @counters.commit(@id)
          @world.context = context
        end

        # A record elsewhere loses a link that was deleted, through its own rules.
        def cleared(table, id, link)
          plan = @ground.plan(table.key)
          outcome =
            Save.call(
              plan,
              Save::Draft.new(typed: {link.key => nil}, stored: @world.complete(table.key, id), id: id),
              context
            )
          return outcome.refusals.map(&:message) unless outcome.saved?

          @world.write(table.key, id, outcome.values)
          []
        end
      end
    end
  end
end
