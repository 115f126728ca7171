# frozen_string_literal: true

module UpTack
  module Services
    # By what the records of a selection are ordered, as what is shown compares: texts without regard to case, a
    # link by its name, blanks last both ways, at last the number. The database orders by the same
    # (Store::Query::Order); here single records are compared, to find a place without asking for all of them again.
    class SortKeys
      # @param workspace [Workspace]
      # @param table [Core::Design::Table]
      # @param sorts [Array<Store::Query::Sort>]
      # @param descending [Boolean] whether the greater of two numbers comes first at last
      def initialize(workspace, table, sorts, descending: false)
        @workspace = workspace
        @table = table
        @sorts = sorts
        @descending = descending
        @context = workspace.context
        @known = {}
      end

      # @return [Core::Context] by which links are named
      attr_accessor :context

      # @param row [Hash{String=>Object}] values by field key; those that are not kept may be missing
      # @return [Array<Object>] a key for each sort
      def of(id, row) = @sorts.map { |sort| sort.version? ? version(id, row) : key(sort.field, id, row) }

      # @param one [Array(Array<Object>, Integer)] keys and number, as `other`
      # @return [Integer]
      def compare(one, other)
        keys, id = one
        others, other_id = other
        @sorts.each_with_index do |sort, index|
          mine, theirs = keys[index], others[index]
          next if mine == theirs
          return mine.nil? ? 1 : -1 if mine.nil? || theirs.nil?

          order = (mine <=> theirs) || raise(ArgumentError, "#{mine.class} and #{theirs.class}")
          return sort.descending ? -order : order
        end
        @descending ? other_id <=> id : id <=> other_id
      end

      # @param ids [Array<Integer>] in their order, none of them changed since
      # @param keys [Array<Object>]
      # @return [Integer] how many of them come before a record with these keys
      def place(ids, keys, id) =
        ids.bsearch_index { |other| compare([stored(other), other], [keys, id]) >= 0 } || ids.length

      # @return [Array<Object>] keys of a record as it is stored now
      def stored(id) =
        @known[id] ||= @sorts.empty? ? [] : of(id, Store::RecordTable.new(@table).find(id) || {})

      # @param row [Hash{String=>Object}]
      # @return [Array<Object>, nil] values that give the same keys, as JSON carries them
      def dump(id, row)
        return unless @sorts.all? { |sort| sort.kept?(@table) }

        @sorts.map { |sort| sort.version? ? version(id, row) : Core::Values.dump(row[sort.field.key]) }
      end

      # @param values [Array<Object>] from #dump
      # @return [Array<Object>] keys
      # @raise [ArgumentError] if they can't be from there
      def load(values, id)
        raise ArgumentError unless values.is_a?(Array) && values.length == @sorts.length

        @sorts.zip(values).map do |sort, value|
          next value && Integer(value) if sort.version?

          key(sort.field, id, {sort.field.key => value.nil? ? nil : sort.field.values.load(value)})
        end
      end

      private

      def version(id, row) = row.fetch(Store::Query::VERSION) { Store::ChangeLog.version_of(@table, id) }

      def key(field, id, row)
        Store::Deadline.look
        case (value = row.fetch(field.key) { worked_out(field, id, row) })
        when nil then nil
        when Integer then Core::Unicode.folded(field.show(value, context.records))
        when String then Core::Unicode.folded(value)
        when true then 1
        when false then 0
        else value
        end
      end

      def worked_out(field, id, row)
        computed = @table.scope[field.key].computed
        computed&.call(Core::Expression::Evaluation.new(values: row, old: row, context: context, is_new: false, id: id))
      end
    end
  end
end
