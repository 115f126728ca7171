# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # Makes a script of the base record and some changes: typed at once into a new
        # record, or into one that was saved before.
        #
        # "children" are a table, its link and the values of records that link here by it: they are
        # there already, or else typed beneath a new record.
        # A change of "link.field" gives the record another linked record, which differs in
        # that field; "user.role" another person; "clock" another hour; "first" is what the
        # record is when it is saved for the first time; :untyped leaves a field to the rules.
        class ScriptBuilder
          # @param table [Design::Table]
          # @param base [BaseRecord]
          # @param clock [Design::ScriptClock]
          # @param conventions [Conventions]
          def initialize(table, base, clock, conventions)
            @table = table
            @base = base
            @clock = clock
            @conventions = conventions
          end

          # @param assignment [Hash{String=>Object}] changes
          # @param again [Boolean] whether a record like it is saved before
          # @param lasting [Boolean] whether the changes come to a record that was saved before
          # @return [Hash{String=>Object}, nil] a plain script; nil where nothing can come of it
          def script(assignment, again: false, lasting: false)
            assignment = assignment.dup
            first = first_of(assignment)
            children = assignment.delete("children")
            @records = @base.records.transform_values(&:dup)
            person = person(assignment)
            return lasting ? typed_beneath(children, person) : stored(children, person) if children

            at = at(assignment.delete("clock")) or return
            acts = acts(linked(assignment), first && linked(first.dup), again, lasting || !first.nil?)
            {
              "person" => person,
              "at" => at,
              "start" => {"from" => "new"},
              "records" => records_named_in(acts),
              "acts" => acts
            }
          end

          private

          # @return [Hash, nil] what the record is when it is saved for the first time
          def first_of(assignment)
            own =
              assignment
                .keys
                .select { |key| key.start_with?("first.") }
                .to_h { |key| [key.delete_prefix("first."), assignment.delete(key)] }
            given = assignment.delete("first")
            (given || own.any?) ? given.to_h.merge(own) : nil
          end

          # A record that is there already, with some that link to it.
          OWN = 1
          FIRST_CHILD = 900

          def stored(children, person)
            table, link, *all = children
            loose = @table.fields.reject { |field| @table.rule_owned?(field.key) }.map(&:key)
            (@records[@table.key] ||= {})[OWN] = @base.values.slice(*loose)
            ids = all.each_index.map { |index| FIRST_CHILD + index }
            (@records[table] ||= {}).merge!(ids.zip(all).to_h { |id, values| [id, values.merge(link => OWN)] })
            records = records_named_in([], [[@table.key, OWN], *ids.map { |id| [table, id] }])
            {
              "person" => person,
              "at" => @clock.to_s,
              "start" => {"from" => "real", "record" => OWN},
              "records" => records,
              "acts" => [{"do" => "save"}]
            }
          end

          # A new record, and those that link to it typed beneath it.
          def typed_beneath(children, person)
            table, link, *all = children
            design = @table.neighbours.tables.fetch(table)
            rows = all.map { |values| {"values" => typed_values(design, values)} }
            acts = [fill_in(@base.values), {"do" => "lines", "table" => table, "link" => link, "rows" => rows}]
            {
              "person" => person,
              "at" => @clock.to_s,
              "start" => {"from" => "new"},
              "records" => records_named_in(acts),
              "acts" => acts
            }
          end

          def typed_values(design, values)
            loose = values.reject { |key, value| design.rule_owned?(key) || value.nil? }
            loose.to_h { |key, value| [key, dumped(key, value)] }
          end

          def person(assignment)
            attributes = {"name" => "Somebody", "role" => "builder"}
            assignment.keys.grep(/\Auser\./).each { |key|
              attributes[key.delete_prefix("user.")] = assignment.delete(key).to_s
            }
            attributes
          end

          def at(wish)
            return @clock.to_s if wish.nil?

            (wish == "back") ? back : wish
          end

          # The hour that comes twice is found in the firm's time zone; some have none.
          def back
            return @back if defined?(@back)

            year = @clock.today.year
            day = (Calendar.day(year, 1, 1)..Calendar.day(year, 12, 31)).find { |each| twice_at(each) }
            @back = day && format("%sT%02d:30", day.iso8601, twice_at(day))
          end

          def twice_at(day) = (0..23).find { |hour| @conventions.moments(day, DayTime.at(hour, 30)).length > 1 }

          # @return [Hash{String=>Object}] the changes with links in place of what they change
          def linked(assignment)
            paths = assignment.keys.select { |key| key.include?(".") }
            paths.group_by { |key| key.split(".").first }.each do |link, keys|
              field = @table.field(link)
              all = (@records[field.target] ||= {})
              id = assignment.fetch(link) { @base.values[link] } || all.keys.first
              made = (all[id] || {}).merge(keys.to_h { |key| [key.split(".").last, assignment.delete(key)] })
              assignment[link] = (all.keys.max || 0) + 1
              all[assignment[link]] = made
            end
            assignment
          end

          def acts(assignment, first, again, lasting)
            whole = @base.values.merge(assignment)
            return twice(whole) if again
            return [fill_in(whole)] unless lasting

            before = @base.values.merge(first || {})
            [
              fill_in(before),
              {"do" => "save"},
              fill_in(first ? assignment : assignment.reject { |key, value| before.key?(key) && before[key] == value })
            ]
          end

          # What must be unique has to be typed, be it that a rule gives it otherwise.
          def twice(whole)
            unique =
              @table
                .rules
                .select(&:compares_records?)
                .flat_map(&:keys)
                .reject { |key| @table.rule_owned?(key) || whole[key] }
                .to_h { |key| [key, PointCases.typed(@table.field(key), @table)] }
            [fill_in(unique.merge(whole)), {"do" => "save"}, {"do" => "new"}, fill_in(unique.merge(whole))]
          end

          def fill_in(values)
            typed = values.reject { |_, value| value == :untyped }
            {"do" => "fill_in", "values" => typed.to_h { |key, value| [key, dumped(key, value)] }}
          end

          def dumped(key, value)
            return if value.nil?

            value.is_a?(String) ? value : Values.dump(value)
          end

          # Only the records to which something leads come along: those that are linked to, and those in
          # which a value must be found.
          def records_named_in(acts, more = [])
            found = Hash.new { |hash, key| hash[key] = {} }
            pending = more + acts.flat_map { |act| leads(@table, act["values"] || {}) }
            while (table, id = pending.shift)
              values = @records.dig(table, id)
              next if values.nil? || found[table].key?(id.to_s)

              design = @table.neighbours.tables.fetch(table)
              kept = design.fields.reject { |field| design.worked_out?(field.key) || values[field.key].nil? }
              found[table][id.to_s] = kept.to_h { |field| [field.key, Values.dump(values[field.key])] }
              pending.concat(leads(design, values))
            end
            found.to_h
          end

          # @return [Array<Array(String, Integer)>] tables and numbers of the records that some values lead to
          def leads(design, values)
            links =
              design
                .fields
                .select(&:link?)
                .filter_map { |field| values[field.key] && [field.target, values[field.key]] }
            links + design.rules.select(&:looks_up?).filter_map { |rule| sought(rule.attributes, values[rule.field]) }
          end

          def sought(attributes, value)
            return if value.nil?

            text = dumped(nil, value)
            all = @records.fetch(attributes["target"], {})
            id = all.keys.find { |each| dumped(nil, all[each][attributes["target_field"]]) == text }
            id && [attributes["target"], id]
          end
        end
      end
    end
  end
end
