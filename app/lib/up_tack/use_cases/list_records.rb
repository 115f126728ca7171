# frozen_string_literal: true

module UpTack
  module UseCases
    # A page of a table's records, sorted.
    class ListRecords
      MOST = 500

      # records:: Records; total:: how many the table has; more:: whether another page follows
      Page = Struct.new(:records, :total, :more, keyword_init: true)

      def initialize(workspace)
        @workspace = workspace
      end

      # @param sort [String, nil] key of a field; nil sorts by number
      # @param after [Integer, nil] number of the last record of the page before
      # @return [Page]
      def call(table:, sort: nil, descending: false, after: nil, limit: 100)
        design = @workspace.table(table)
        Fields.check(design, {sort => nil}) if sort
        limit = limit.clamp(1, MOST)
        rows = Store::Rows.new(design)
        found = rows.page(sort: sort, descending: descending, after: after && cursor(rows, sort, after), limit: limit + 1)
        versions = Store::ChangeLog.versions_of(design, found.map(&:first))
        records = found.first(limit).map { |id, values| Record.new(id: id, version: versions[id], values: values) }
        Page.new(records: records, total: rows.count, more: found.length > limit)
      end

      private

      def cursor(rows, sort, id)
        values = rows.find(id) or raise Store::NotFound, "The record after which to go on was deleted; begin again."
        Store::Rows::Cursor.new(id: id, value: sort && values[sort])
      end
    end
  end
end
