# frozen_string_literal: true

module UpTack
  module Store
    # The records of one of the builder's tables, as hashes of values by field
    # key, read from and written to a real table of typed columns.
    class Rows
      # A place in a sorted list, after which the next page begins.
      Cursor = Struct.new(:value, :id, keyword_init: true)

      # @param table [Core::Design::Table]
      def initialize(table)
        @table = table
        @keys = table.fields.map(&:key)
        @model = Rows.model(table.key)
      end

      # A nameless model, made anew for each state of the design: it is used for
      # its queries only and never has instances, so that no column name a
      # builder picks can collide with a method.
      def self.model(name)
        Class.new(ActiveRecord::Base) do
          self.table_name = name
          self.inheritance_column = nil
          self.record_timestamps = false
          reset_column_information
        end
      end

      # @return [Hash{String=>Object}, nil]
      def find(id) = hashes(@model.where(id: id)).first&.last

      def count = @model.count

      # @return [Array<Array(Integer, Hash)>] numbers with values
      # @param after [Cursor, nil]
      def page(sort: nil, descending: false, after: nil, limit: 100)
        field = sort && @table.field(sort)
        hashes(Sorting.new(@model, field, descending).page(after).limit(limit))
      end

      # @yield [id, values] for every record, in order of number, a few hundred at a time
      def each
        last = 0
        loop do
          batch = hashes(@model.where("id > ?", last).order(:id).limit(500))
          batch.each { |id, values| yield id, values }
          break if batch.length < 500

          last = batch.last.first
        end
      end

      # @return [Integer] the new record's number
      def insert(values)
        @model.insert_all!([values.slice(*@keys)], returning: :id).rows.first.first
      end

      # @param values [Hash{String=>Object}] those that change
      def update(id, values) = @model.where(id: id).update_all(values.slice(*@keys))

      def delete(id) = @model.where(id: id).delete_all

      # @return [Hash{String=>Integer}] how many records have a value, by field key
      def filled
        counts = @keys.map { |key| @model.arel_table[key].count }
        return {} if counts.empty?

        @keys.zip(@model.pick(*counts).then { |found| Array(found) }).to_h
      end

      private

      def hashes(scope)
        scope.pluck(:id, *@keys.map { |key| @model.arel_table[key] }).map do |row|
          id, *values = Array(row)
          [id, @table.fields.each_with_index.to_h { |field, index| [field.key, values[index]] }]
        end
      end
    end
  end
end
