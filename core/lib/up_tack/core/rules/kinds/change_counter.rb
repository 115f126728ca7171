# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # How many saves changed any of some fields since the record was made. What
        # stamps, tallies and log lines write never counts, so a tally can't count itself.
        class ChangeCounter < Rule
          kind "tally", label: "Tally", about: "Counts how often fields were changed.", editor: :own
          stage "log"
          guide "tally"
          effect :log
          part "watch", :fields
          shown_by :eventful
          histories :watched

          def counts_changes? = true
          # The count of a record that is just being made.
          NONE_YET = BigDecimal(0)

          def backfills? = true
          def self.suits?(field, table) = field.numeric? && !table.rule_owned?(field.key)

          def owns? = true
          def fills_always? = true
          def watch = @parts["watch"] || []

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless table.field(field).numeric?
              return [problem("field",
                Messages["rules.change_counter.tally_is_number"])]
            end
            if doubled?(table)
              return [
                problem("field", Messages["rules.change_counter.is_tally_already", field: table.field(field).label])
              ]
            end
            if table.worked_out?(field)
              return [
                problem("field", Messages["rules.all.is_worked_out_by_rule_already", field: table.field(field).label])
              ]
            end

            found = key_problems(table)
            return found if found.any?

            loose = watch.find { |key| key == field || Watched.late?(table, key) }
            if loose
              [
                problem(
                  "watch",
                  Messages["rules.change_counter.is_written_when_record_is_logged", field: table.field(loose).label]
                )
              ]
            else
              []
            end
          end

          def reads(_table) = watch
          def awaited(_table) = watch
          def writes = [field]
          def names(_table) = [field, *watch].uniq
          def words(table) = Wording["changes of %{fields}", fields: of_watched(table)]

          def sentence(table) = Messages[
            "rules.change_counter.counts_saves_after_first_change",
            field: table.field(field).label,
            of_watched: of_watched(table)
          ]

          def outcomes(_table)
            [["acts", Wording["it counts"], %w[set]], ["idle", Wording["it does not count"], %w[skipped]]]
          end

          def compile(table) =
            Compiled.new(rule: self, field: table.field(field), watched: Watched.build(table, watch),
              origin: words(table))

          # A tally made ready to run.
          Compiled = Struct.new(:rule, :field, :watched, :origin, keyword_init: true) do
            # @return [nil] it counts whatever the record holds
            def condition = nil

            # @param working [Save::SaveState]
            def apply(working)
              count = working.values[field.key]
              return working.skip(rule, field, Wording["kept as it was"]) if working.brought?(field.key) && count
              return working.stamp(rule, field, NONE_YET, Wording["counting starts at the first save"]) if working.new?
              unless watched.changed_in?(working)
                return working.skip(rule, field,
                  Wording["none of these fields changed"])
              end

              working.stamp(rule, field, (count || BigDecimal(0)) + 1, origin)
            end
          end

          private

          def of_watched(table) =
            watch.empty? ? Wording["any field"] : Masks::Phrases.to_sentence(watch.map { |key|
              table.field(key).label
            }, "or")
        end
      end
    end
  end
end
