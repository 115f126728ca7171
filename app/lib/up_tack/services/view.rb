# frozen_string_literal: true

module UpTack
  module Services
    # What somebody wants to see of a table's records: a filter and fields to sort by,
    # read from texts and checked, so that nothing is used that is not open to the person.
    class View
      # The number of a record, as something to sort by.
      NUMBER = "id"
      # Fields to sort by, at most.
      MOST_SORTS = 8
      # Characters of a text that is looked for.
      LONGEST_SEARCH = 200

      # @return [Core::Design::Table]
      attr_reader :table
      # @return [Core::Expression::Formula, nil]
      attr_reader :filter

      # @param workspace [Workspace]
      # @param table [String] key
      # @param filter [String, nil] a condition of the formula language
      # @param sort [String, nil] keys of fields, separated by commas, each with a minus
      #   before it where the greatest comes first; `id` is the record's number, `version` its version unless a field is
      #   called so
      # @param search [String, nil] a text that stands anywhere in a record
      # @param within [String, nil] another one that stands there too
      # @param changed_after [Integer, nil] a version: only records of greater ones
      # @raise [Core::Invalid, Services::NotAllowed, Store::NotFound]
      def initialize(workspace, table, filter: nil, sort: nil, search: nil, within: nil, changed_after: nil)
        @workspace = workspace
        @table = workspace.table(table)
        @terms =
          sort
            .to_s
            .split(",")
            .map(&:strip)
            .reject(&:empty?)
            .map { |term| [term.delete_prefix("-"), term.start_with?("-")] }
        @changed_after = changed_after
        check_sorts
        @filter = filter.to_s.strip.empty? ? nil : compiled(filter)
        @searches = [search, within].map { |text| text.to_s.strip[0, LONGEST_SEARCH] }.reject(&:empty?)
      end

      # @return [Services::Selection]
      def selection
        sorts =
          @terms
            .reject { |key, _| key == NUMBER }
            .map { |key, descending| Store::Query::Sort.new(field: @table.field(key), descending: descending) }
        since = @changed_after && Store::ChangeLog.changed_after_sql(@table, @changed_after)
        Selection.new(
          @workspace,
          @table,
          filter: @filter,
          sorts: sorts,
          searches: @searches.map { |text| search(text).sql },
          since: since,
          descending: sorts.empty? && @terms.any? && @terms.first.last
        )
      end

      # @param text [String]
      # @return [Store::Query::Search] for it in all fields that are open to the person
      def search(text)
        context = @workspace.context
        Store::Query::Search.new(
          searched,
          text,
          context.reading(@workspace.project.conventions),
          ->(table) { Store::NameIndex.find(@workspace.plan(table), context) }
        )
      end

      # @return [Boolean] whether it shows all records
      def whole? = @filter.nil? && @searches.empty? && @changed_after.nil?

      # @return [Hash{String=>Object}] what makes it differ from others, for a cursor
      def fingerprint
        Digest::SHA256.hexdigest(JSON.generate([@table.id, @filter&.text, @terms, @changed_after, *@searches]))[0, 12]
      end

      # What somebody does not see must not show in which records are let through either, nor that it is there.
      # @raise [Core::Invalid]
      def check_open(table, key)
        visible = @workspace.visibility
        design = @workspace.project.table(table)
        Core::Invalid.because(Core::Messages["common.there_is_no_table", table: table]) unless visible.table?(design)
        unless key.nil? || visible.field?(design.field(key))
          Core::Invalid.because(
            Core::Messages["common.there_is_no_field", unknown: key, table: design.label],
            part: key
          )
        end
      end

      private

      # Names of linked records are only looked at where they are open too.
      def searched
        @table.kept_fields.select do |field|
          @workspace.visibility.field?(field) &&
            (!field.link? || named_openly?(@workspace.project.table(field.target)))
        end
      end

      def named_openly?(table) =
        Core::Save::RecordTitle.fields(table).all? { |field| @workspace.visibility.field?(field) }

      def check_sorts
        keys = @terms.map(&:first) - [NUMBER]
        keys -= [Store::Query::VERSION] unless @table.field(Store::Query::VERSION)
        if keys.length > MOST_SORTS
          Core::Invalid.because(
            Core::Messages["services.view.records_can_be_sorted_by_fields", most: MOST_SORTS],
            part: "sort"
          )
        end
        Fields.check(@table, keys.to_h { |key| [key, nil] }, @workspace.visibility)
        keys.each { |key| check_open(@table.key, key) }
      end

      def compiled(filter)
        # First as it is for the person: what is hidden is not there, not even as something that may be meant.
        Core::Expression.compile(filter, @workspace.visibility.scope(@table), expecting: :yes_no)
        Core::Expression.compile(filter, @table.scope, expecting: :yes_no)
      rescue Core::Expression::Invalid => e
        raise Core::Invalid,
          e.problems.map { |each|
            Core::Problem.new(part: "filter", message: each.message, from: each.from, to: each.to)
          }
      end
    end
  end
end
