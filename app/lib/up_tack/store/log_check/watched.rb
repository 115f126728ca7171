# frozen_string_literal: true

module UpTack
  module Store
    module LogCheck
      # Which fields can be held against the log: those of which it tells every change.
      class Watched
        def initialize(project)
          @project = project
          @unlogged = Hash.new(0)
          @begun = {}
          @shapes = {}
          Revision.order(:id).select(:id, :design).each { |revision| note(revision.id, JSON.parse(revision.design)) }
        end

        # @param table [Core::Design::Table]
        # @return [Array<Core::Design::Field>]
        def fields(table) = table.kept_fields.reject { |field| follows?(table, field) }

        # @param revision [Integer, nil] that of the entry which told of the field last
        # @return [Boolean] whether nothing could have changed since without an entry
        def known?(table, field, revision)
          return revision > @unlogged[[table.id, field.id]] if revision

          @unlogged[[table.id, field.id]].zero? && @begun[[table.id, field.id]] == @begun[table.id]
        end

        private

        # Values that are calculated from other records or the day, and those that were filled from the log.
        def follows?(table, field)
          if @project.upkeep.calculations.any? { |each| each.place == [table.key, field.key] && !each.rule.once? }
            return true
          end

          Database.connection.table_exists?(FilledFromLog.name(field))
        end

        # A change of a field's type, target or rules may change values without an entry, and so may its coming
        # back after it was deleted.
        def note(revision, design)
          seen = {}
          design["tables"].each do |table|
            @begun[table["id"]] ||= revision
            worked_out = (table["rules"] || []).filter_map { |rule| rule["field"] if rule["kind"] == "calculation" }
            (table["fields"] || []).each do |field|
              place = [table["id"], field["id"]]
              @begun[place] ||= revision
              shape = field.slice("type", "target")
              @unlogged[place] = revision - 1 if @shapes.fetch(place, shape) != shape
              @unlogged[place] = revision if worked_out.include?(field["key"]) || !logged?(table, field)
              seen[place] = shape
            end
          end
          (@shapes.keys - seen.keys).each { |place| @unlogged[place] = revision }
          @shapes.merge!(seen)
        end

        def logged?(table, field)
          log = table["log"] or return true

          log["only"] ? log["only"].include?(field["id"]) : !log["all_but"].to_a.include?(field["id"])
        end
      end
    end
  end
end
