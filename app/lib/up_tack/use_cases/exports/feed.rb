# frozen_string_literal: true

module UpTack
  module UseCases
    module Exports
      # What feeds share: the records of a view that they tell of, and by what these are known.
      class Feed
        # Records in one feed. A calendar or an address book of more is nothing that a telephone takes.
        MOST = 10_000

        # @param workspace [Workspace]
        # @param place [String] where this application is reached, "https://studio.example"
        def initialize(workspace, place:)
          @workspace = workspace
          @place = place
        end

        private

        # @param sort [String]
        # @param view [Hash] filter: and search:, as View takes them
        # @yield [Integer, Hash, Core::Context] number and values of each record
        # @raise [Core::Invalid]
        def each_record(table, sort, view)
          found = Services::View.new(@workspace, table.key, sort: sort, **view.compact).selection.ids.first(MOST)
          plan = @workspace.plan(table.key)
          found.each_slice(500) do |ids|
            context = @workspace.context
            Store::RecordTable.new(table).find_all(ids).each do |id, row|
              Store::Deadline.look
              yield id, plan.complete(id, row, context), context
            end
          end
        end

        # The same for as long as the record is there, and of no other application.
        def uid(*parts) = "#{parts.join("-")}@#{URI.parse(@place).host}"

        def address(table, id) = "#{@place}/t/#{table.key}/forms/#{id}"

        def title(table, id, values, context) = Core::Save::RecordTitle.find(table, id, values, context)
      end
    end
  end
end
