# frozen_string_literal: true

module UpTack
  module UseCases
    module Exports
      # The records that a view shows, or all of a table, as a file.
      class Records
        # Records read at a time.
        PORTION = 250

        # @param progress [Progress] told how many records are written, and asked whether to go on
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param table [String] key
        # @param format [String] a key of Interchange::Writers::TYPES
        # @param io [#<<]
        # @param view [Hash] filter:, sort:, search: and changed_after:, as View takes them
        # @param fields [Array<String>, nil] keys of those wanted, in their order; nil for all that the person may see
        # @raise [Core::Invalid, Services::NotAllowed, Progress::Stopped]
        def call(table:, format:, io:, fields: nil, **view)
          view = Services::View.new(@workspace, table, **view)
          @table = view.table
          Services::NotAllowed.unless_may(@workspace.person, @table, :see)
          @fields = wanted(fields, view)
          @plan = @workspace.plan(table)
          @references = References.new(@workspace)
          @wall = format == "xlsx"
          target =
            Interchange::Writers.open(
              format,
              io,
              @fields.map(&:label),
              decimal_mark: @workspace.project.conventions.decimal_mark,
              name: @table.label
            )
          # What the condition costs has an end; what there is to write has not.
          found = view.selection.ids
          Store::Deadline.unhurried do
            @progress.begin(@table.label, Core::Messages["use_cases.exports.export"], found.length)
            found.each_slice(PORTION) do |ids|
              write(ids, target)
              @progress.advance(ids.length)
            end
            target.finish
          end
        end

        private

        def wanted(keys, view)
          open = @workspace.visibility.fields(@table)
          return open unless keys

          Services::Fields.check(@table, keys.to_h { |key| [key, nil] }, @workspace.visibility)
          keys.each { |key| view.check_open(@table.key, key) }
          keys.map { |key| @table.field(key) }
        end

        def write(ids, target)
          context = @workspace.context
          rows = Store::RecordTable.new(@table).find_all(ids)
          upkeep = @workspace.project.upkeep
          paths =
            @fields
              .reject { |field| @table.kept?(field.key) }
              .flat_map { |field| upkeep.paths(upkeep.calculation(@table.key, field.key)) }
          context.records.preload(paths, rows.to_a)
          rows.each do |id, row|
            Store::Deadline.look
            values = @plan.complete(id, row, context, @fields.map(&:key))
            target << @fields.map { |field| cell(field, values[field.key]) }
          end
          Store::Deadline.rest
        end

        def cell(field, value)
          return if value.nil?
          return @references.title(field.target, value) if field.link?

          case value
          when Core::DayTime then field.edit(value)
          when Time then @wall ? wall(value) : value
          else value
          end
        end

        # A workbook knows no time zones: it shows the firm's clocks. The hour that they show
        # twice when they go back is told as a text.
        def wall(value)
          conventions = @workspace.project.conventions
          local = conventions.local(value)
          shown = Time.utc(local.year, local.month, local.day, local.hour, local.min, local.sec)
          once =
            conventions.moments(Core::Calendar.date_of(shown),
              Core::DayTime.read(shown.strftime("%H:%M:%S"))).length == 1
          (once && (shown.hour + shown.min + shown.sec).positive?) ? shown : value.getutc.iso8601
        end
      end
    end
  end
end
