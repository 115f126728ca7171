# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # What each act of a script does in a trial; one method an act, named like it.
      # Each takes the Trial and the plain act and gives the Moment.
      module Commands
        module_function

        def type(trial, act)
          trial.type(act["field"], act["value"])
          trial.moment(act, "typed")
        end

        def fill_in(trial, act)
          trial.fill_in(act["values"] || {})
          trial.moment(act, "typed")
        end

        def pass(trial, act)
          trial.pass(act["rule"], act["reason"].to_s)
          trial.moment(act, "typed")
        end

        def lines(trial, act)
          trial.beneath(act["table"], act["link"], act["rows"])
          trial.moment(act, "typed")
        end

        def save(trial, act)
          return trial.moment(act, "done", message: Messages["bench.commands.record_was_deleted"]) if trial.gone?

          trial.save(act)
        end

        def new(trial, act)
          trial.renew
          trial.moment(act, "done")
        end

        def copy(trial, act)
          trial.copy
          trial.moment(act, "done")
        end

        def delete(trial, act)
          reasons = trial.delete
          reasons.empty? ? trial.moment(act, "deleted") : trial.moment(act, "refused", message: reasons.join(" "))
        end

        def put_back(trial, act)
          outcome = trial.put_back or
            return trial.moment(act, "done", message: Messages["bench.commands.nothing_was_deleted_could_be_put_back"])
          if outcome.saved?
            trial.moment(act, "back", outcome: outcome)
          else
            trial.moment(act, "refused", outcome: outcome)
          end
        end

        def wait(trial, act)
          trial.wait(days: act["days"].to_i, hours: act["hours"].to_i)
          trial.moment(act, "done")
        end

        def as(trial, act)
          trial.hand_over(act["person"] || {})
          trial.moment(act, "done")
        end
      end
    end
  end
end
