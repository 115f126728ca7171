# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # A page of a table's records, filtered and sorted.
      class ListRecords
        MOST = 500

        # records:: Records; following:: where to go on, nil at the end
        Page = Struct.new(:records, :following, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @param sort [String, nil] as View takes it
        # @param filter [String, nil] a condition in words of the formula language
        # @param search [String, nil] a text that stands anywhere in a record
        # @param cursor [String, nil] `following` of the page before
        # @param at [Integer] how many records to leave out instead
        # @return [Page]
        # @raise [Core::Invalid] for a filter with a mistake, or a field that is not there
        def call(table:, sort: nil, filter: nil, search: nil, cursor: nil, at: 0, limit: 100)
          @view = Services::View.new(@workspace, table, filter: filter, sort: sort, search: search)
          @selection = @view.selection
          limit = limit.clamp(1, MOST)
          from, ids =
            cursor ? after(Cursor.read(cursor, @view.fingerprint), limit + 1) : [at, @selection.page(limit + 1, at: at)]
          page(ids, from, limit)
        end

        private

        # A page goes on after the last record of the one before; where that is gone, at
        # the place where it was.
        # @return [Array(Integer, Array<Integer>)] place and numbers
        def after(cursor, limit)
          query = @selection.query
          return [cursor.at, query.page_after(cursor.id, limit)] if query.whole? && query.by_number?

          ids = @selection.ids
          place = (ids[cursor.at - 1] == cursor.id) ? cursor.at : ids.index(cursor.id)&.succ || (cursor.at - 1)
          [place, ids[place, limit] || []]
        end

        def page(ids, from, limit)
          shown = ids.first(limit)
          found = Store::RecordTable.new(@view.table).find_all(shown)
          versions = Store::ChangeLog.versions_of(@view.table, shown)
          records = found.map { |id, values| Services::StoredRecord.new(id: id, version: versions[id], values: values) }
          following =
            (ids.length > limit) ? Cursor.new(id: shown.last, at: from + limit, view: @view.fingerprint).to_s : nil
          Page.new(records: records, following: following)
        end

        # A place in a list, as callers hold it: they need not know what it is made of.
        Cursor = Struct.new(:id, :at, :view, keyword_init: true) do
          # @param text [String]
          # @param view [String] fingerprint of what is listed now
          # @raise [Core::Invalid]
          def self.read(text, view)
            id, at, known = JSON.parse(Base64.urlsafe_decode64(text.to_s))
            raise ArgumentError unless id.is_a?(Integer) && at.is_a?(Integer) && at.positive? && known == view

            new(id: id, at: at, view: view)
          rescue ArgumentError, JSON::ParserError
            Core::Invalid.because(Core::Messages["records.list_records.is_not_cursor_of_list"], part: "cursor")
          end

          def to_s = Base64.urlsafe_encode64(JSON.generate([id, at, view]), padding: false)
        end
      end
    end
  end
end
