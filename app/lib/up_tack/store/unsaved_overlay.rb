# frozen_string_literal: true

require "delegate"

module UpTack
  module Store
    # Records that are about to be saved, seen as if they were: a record in a form
    # and the lines beneath it, so that totals and what reads them are right before
    # anything is written.
    class UnsavedOverlay < SimpleDelegator
      # Number of a record that has none yet.
      NEW = 2**61

      def initialize(records = nil)
        super
        @found = {}
        @linked = {}
      end

      # @param records [LinkedRecords] what is looked at beneath
      # @return [UnsavedOverlay] itself
      def over(records)
        __setobj__(records)
        self
      end

      # @param values [Hash{String=>Object}]
      def put(table, id, values) = @found[[table, id]] = values

      # @param rows [Array<Array(Integer, Hash)>] numbers and values of all that link to the record
      def put_linked(table, link, id, rows) = @linked[[table, link, id]] = rows

      def find(table, id) = @found.fetch([table, id]) { __getobj__.find(table, id) }

      def each_linked(table, link, id, keys = nil, &block)
        rows = @linked[[table, link, id]]
        rows ? rows.each(&block) : __getobj__.each_linked(table, link, id, keys, &block)
      end

      def count_linked(table, link, id) =
        @linked[[table, link, id]]&.length || __getobj__.count_linked(table, link, id)

      # @return [String, nil] a record without a number has no name yet
      def title(table, id) = (id == NEW) ? "this one" : __getobj__.title(table, id)
    end
  end
end
