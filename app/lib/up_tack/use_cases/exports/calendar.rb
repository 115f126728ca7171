# frozen_string_literal: true

module UpTack
  module UseCases
    module Exports
      # The days or moments of one field as a calendar, to which other programs subscribe.
      class Calendar < Feed
        # Formats of JSON Schema by which a type says that its values have a place in a calendar.
        DATED = %w[date date-time].freeze

        # @param table [Core::Design::Table]
        # @param visible [Core::Design::Visibility]
        # @return [Array<Core::Design::Field>] those that a calendar can be made of
        def self.fields(table, visible) =
          visible.fields(table).select { |field| DATED.include?(field.values.json_schema["format"]) }

        # @param table [String] key
        # @param field [String] key
        # @param view [Hash] filter: and search:, as View takes them
        # @return [String] after RFC 5545, the latest MOST records where there are more
        # @raise [Core::Invalid, Store::NotFound]
        def call(table:, field:, **view)
          design = @workspace.table(table)
          day = Calendar.fields(design, @workspace.visibility).find { |each| each.key == field } or
            Core::Invalid.because(Core::Messages["use_cases.exports.no_dates", field: field, table: design.label],
              part: "field")
          Interchange::Feeds::Calendar.write("#{design.label}: #{day.label}", events(design, day, view), written)
        end

        private

        def events(table, day, view)
          found = []
          each_record(table, "-#{day.key}", view) do |id, values, context|
            at = values[day.key] or next
            found << Interchange::Feeds::Calendar::Event.new(
              uid: uid(table.id, id, day.id), at: at, title: "#{title(table, id, values, context)}: #{day.label}",
              description: "#{table.record_name} #{id}, #{table.label}", url: address(table, id)
            )
          end
          found
        end

        def written =
          Store::Entry.where(id: Store::ChangeLog.latest).pick(:made_at) || @workspace.clock.now
      end
    end
  end
end
