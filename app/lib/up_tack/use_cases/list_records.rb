# frozen_string_literal: true

module UpTack
  module UseCases
    # A page of a table's records, filtered and sorted.
    class ListRecords
      MOST = 500

      # records:: Records; matching:: how many the filter lets through
      # total:: how many the table has; more:: whether another page follows
      Page = Struct.new(:records, :matching, :total, :more, keyword_init: true)

      def initialize(workspace)
        @workspace = workspace
      end

      # @param sort [String, nil] key of a field; nil sorts by number
      # @param filter [String, nil] a condition in words of the formula language
      # @param after [Integer, nil] number of the last record of the page before
      # @return [Page]
      # @raise [Core::Design::Invalid] for a filter with a mistake, or a field that is not there
      def call(table:, sort: nil, descending: false, filter: nil, after: nil, limit: 100)
        @design = @workspace.table(table)
        Fields.check(@design, {sort => nil}) if sort
        check_open(@design.key, sort) if sort
        @rows = Store::Rows.new(@design)
        @limit = limit.clamp(1, MOST)
        field = sort && @design.field(sort)
        condition = filter.to_s.strip.empty? ? nil : compiled(filter)
        return selected(Selection.new(@workspace, @design, filter: condition, sort: field, descending: descending).ids, after) if condition || (field && worked_out?(field))

        straight(field, descending, after)
      end

      private

      # Whether the database alone can't put the field into the order in which it is shown.
      def worked_out?(field) = field.link? || !@design.kept?(field.key)

      # What somebody does not see must not show in which records are let through either.
      def check_open(table, key)
        design = @workspace.project.table(table)
        role = @workspace.person.role
        raise NotAllowed, "#{design.label} is not open to a #{role}." unless design.allows?(role, :see)

        field = key && design.field(key)
        raise NotAllowed, "#{field.label} is not open to a #{role}." unless field.nil? || field.allows?(role, :see)
      end

      def compiled(filter)
        Core::Expression.compile(filter, @design.scope, expecting: :yes_no).tap { |formula| formula.references.each { |each| check_open(each.table, each.key) } }
      rescue Core::Expression::Invalid => e
        raise Core::Design::Invalid, e.problems.map { |each| Core::Design::Problem.new(part: "filter", message: each.message, from: each.from, to: each.to) }
      end

      def selected(ids, after)
        start = after ? ids.index(after)&.succ || gone : 0
        found = @rows.find_all(ids[start, @limit])
        page(found.to_a, matching: ids.length, more: start + @limit < ids.length)
      end

      def straight(field, descending, after)
        found = @rows.page(sort: field&.key, descending: descending, after: after && cursor(field, after), limit: @limit + 1)
        page(found.first(@limit), matching: nil, more: found.length > @limit)
      end

      def page(found, matching:, more:)
        versions = Store::ChangeLog.versions_of(@design, found.map(&:first))
        records = found.map { |id, values| Record.new(id: id, version: versions[id], values: values) }
        total = @rows.count
        Page.new(records: records, matching: matching || total, total: total, more: more)
      end

      def cursor(field, id)
        values = @rows.find(id) or gone
        Store::Rows::Cursor.new(id: id, value: field && values[field.key])
      end

      def gone = raise(Store::NotFound, "The record after which to go on is no longer there; begin again.")
    end
  end
end
