# frozen_string_literal: true

module UpTack
  module Core
    # Plain ports for trials, specs and the command line.
    module Ports
      # Whoever acts.
      Person = Struct.new(:name, :email, :role, keyword_init: true)

      # A clock that stands still.
      # now:: Time in UTC; today:: the Date that it is then at the firm
      StoppedClock = Struct.new(:now, :today, keyword_init: true) do
        # @return [Date] the day of a moment, as far from today as its UTC day is
        def day_of(time) = today + (Calendar.date_of(time.getutc) - Calendar.date_of(now.getutc)).to_i

        # @return [Time] the moment as the firm's clocks show it, here in UTC
        def local(time) = time.getutc
      end

      # A store without a record.
      module NoRecords
        module_function

        # @param _context [Context] by which those who calculate values when they are read do so
        def context=(_context)
        end

        # @return [Hash{String=>Object}, nil] a record's values
        def find(_table, _id) = nil

        # @param _keys [Array<String>, nil] the fields that will be read; nil for all
        # @yield [id, values] for each record whose link points to the record
        def each_linked(_table, _link, _id, _keys = nil) = nil

        # @return [Integer] how many records link to the record
        def count_linked(_table, _link, _id) = 0

        # @return [String, nil] by what people know a record
        def title(_table, _id) = nil

        # @return [Array<Integer>] numbers of the records that people know by a name
        def named(_table, _text) = []

        # @return [Integer] how many are known by a name that has all the words of a text, ten at most
        def alike(_table, _text) = 0

        # @param _values [Hash{String=>Object}] by field key, nil for blank
        # @param regard_case [Boolean] whether capitals tell texts apart
        # @return [Array<Integer>] numbers of the records that hold all these values
        def having(_table, _values, regard_case: false) = []
      end

      # Records held in memory, for trials and specs.
      class HeldRecords
        # @param tables [Hash{String=>Hash{Integer=>Hash}}] values by table and number
        # @param titles [Hash{String=>String}] by table, the key of the field that names a record
        def initialize(tables, titles: {})
          @tables = tables
          @titles = titles
        end

        def context=(_context)
        end

        def find(table, id) = @tables.fetch(table, {})[id]

        def each_linked(table, link, id, _keys = nil)
          @tables.fetch(table, {}).each { |number, values| yield number, values if values[link] == id }
        end

        def count_linked(table, link, id) = @tables.fetch(table, {}).count { |_, values| values[link] == id }

        def title(table, id)
          found = find(table, id)
          found && (found[@titles[table]] || found.values.find { |value| value.is_a?(String) })
        end

        def named(table, text)
          @tables
            .fetch(table, {})
            .keys
            .select { |id| Unicode.folded(title(table, id).to_s) == Unicode.folded(text) }
        end

        def alike(table, text)
          [@tables.fetch(table, {}).keys.count { |id| Unicode.words_in?(text, title(table, id)) }, 10].min
        end

        def having(table, values, regard_case: false)
          alike = ->(value) { (value.is_a?(String) && !regard_case) ? Unicode.folded(value) : value }
          @tables
            .fetch(table, {})
            .select { |_, record| values.all? { |key, value| alike.call(record[key]) == alike.call(value) } }
            .keys
        end
      end

      # Counts in memory, for trials and specs: nothing is kept beyond its life.
      class HeldCounters
        def initialize
          @highest = {}
          @given = {}
        end

        # @param counting [Kinds::Number::Counting]
        # @return [Integer] the count that comes next, which is not given by that
        def next(counting)
          highest = @highest[[counting.field, counting.series]]
          highest ? highest + counting.step : counting.start
        end

        # @param field [String] id
        # @return [Integer, Symbol, nil] the record that was given the number, :gone for a deleted one
        def owner(field, text) = @given[[field, text]]&.first

        # @return [Integer, nil] the count in a number that was given
        def count_of(field, text) = @given[[field, text]]&.last

        # Gives a number.
        def take(counting, count, text) = keep(counting, count, text)

        # Takes note of a number that came along; the count moves past it.
        # @param count [Integer, nil] nil where it can't be told
        def keep(counting, count, text, record: :new)
          @given[[counting.field, text]] = [record, count]
          place = [counting.field, counting.series]
          @highest[place] = [@highest[place] || (counting.start - counting.step), count].max if count
        end
      end
    end
  end
end
