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

        # Characters of the values by which a cursor finds its place.
        LONGEST = 600

        # @param view [Hash] sort:, filter:, search: and changed_after:, as View takes them
        # @param cursor [String, nil] `following` of the page before
        # @param at [Integer] how many records to leave out instead
        # @return [Page]
        # @raise [Core::Invalid] for a filter with a mistake, or a field that is not there
        def call(table:, cursor: nil, at: 0, limit: 100, **view)
          @view = Services::View.new(@workspace, table, **view)
          @selection = @view.selection
          limit = limit.clamp(1, MOST)
          from, ids =
            cursor ? after(Cursor.read(cursor, @view.fingerprint), limit + 1) : [at, @selection.page(limit + 1, at: at)]
          page(ids, from, limit)
        end

        private

        # A page goes on after the last record of the one before, where that stood: whatever was saved, changed or
        # deleted meanwhile, no other record is left out or told twice.
        # @return [Array(Integer, Array<Integer>)] place and numbers
        def after(cursor, limit)
          query = @selection.query
          return [cursor.at, query.page_after(cursor.id, limit)] if query.whole? && query.by_number?

          ids = @selection.ids
          place = cursor.values ? beyond(ids, cursor) : gone_on(ids, cursor)
          [place, ids[place, limit] || []]
        end

        def beyond(ids, cursor)
          known = keys.load(cursor.values, cursor.id)
          return cursor.at if ids[cursor.at - 1] == cursor.id && keys.stored(cursor.id) == known

          place = keys.place(ids, known, cursor.id)
          (ids[place] == cursor.id) ? place + 1 : place
        rescue ArgumentError, TypeError, NoMethodError, RangeError
          Cursor.refuse
        end

        # Values that are calculated on reading, or too long, tell no place.
        def gone_on(ids, cursor) =
          (ids[cursor.at - 1] == cursor.id) ? cursor.at : ids.index(cursor.id)&.succ || (cursor.at - 1)

        def keys = @selection.keys

        def page(ids, from, limit)
          shown = ids.first(limit)
          found = Store::RecordTable.new(@view.table).find_all(shown)
          versions = Store::ChangeLog.versions_of(@view.table, shown)
          records = found.map { |id, values| Services::StoredRecord.new(id: id, version: versions[id], values: values) }
          Page.new(records: records, following: (following(records.last, from + limit) if ids.length > limit))
        end

        def following(last, at)
          return if last.nil?

          values = keys.dump(last.id, {Store::Query::VERSION => last.version, **last.values})
          values = nil if values && JSON.generate(values).length > LONGEST
          Cursor.new(id: last.id, at: at, view: @view.fingerprint, values: values).to_s
        end

        # A place in a list, as callers hold it: they need not know what it is made of.
        # values:: by which the record with this number was sorted, nil where that can't be told
        Cursor = Struct.new(:id, :at, :view, :values, keyword_init: true) do
          # @param text [String]
          # @param view [String] fingerprint of what is listed now
          # @raise [Core::Invalid]
          def self.read(text, view)
            id, at, known, values = JSON.parse(Base64.urlsafe_decode64(text.to_s))
            sound = [id, at].all?(Integer) && at.positive? && known == view && (values.nil? || values.is_a?(Array))
            refuse unless sound

            new(id: id, at: at, view: view, values: values)
          rescue ArgumentError, JSON::ParserError
            refuse
          end

          # @raise [Core::Invalid]
          def self.refuse
            Core::Invalid.because(Core::Messages["records.list_records.is_not_cursor_of_list"], part: "cursor")
          end

          def to_s = Base64.urlsafe_encode64(JSON.generate([id, at, view, values]), padding: false)
        end
      end
    end
  end
end
