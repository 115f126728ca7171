# frozen_string_literal: true

module UpTack
  module Interchange
    module Collection
      # Puts rows of a table into a file of its own, an object of JSON a line, each value as its column is declared.
      class Staging
        NUMBER = /\A#{Sql::Literals::FIGURES}\z/
        ANSWERS = Core::Values::YesNo::WORDS.merge("t" => true, "f" => false).freeze
        NO_DAY = /\A0000-00-00/
        FRACTION = /(?<=\d\d:\d\d:\d\d)[.,]\d+/

        # @param table [Sql::Table]
        # @param path [String]
        def initialize(table, path)
          @table = table
          @path = path
          @rows = 0
          @left = Hash.new(0)
        end

        # @param values [Array<Object>] Sql::Numbers, texts, true, false, nil, or Sql::Literals::LEFT
        # @param columns [Array<Integer>, nil] places of their columns, nil for all in order
        # @return [void]
        def add(values, columns = nil)
          @file ||= File.open(@path, "wb")
          cells = Array.new(@table.columns.length)
          values.each_with_index do |value, index|
            place = columns ? columns[index] : index
            next if place.nil? || place >= cells.length

            cells[place] = converted(@table.columns[place], value)
          end
          @file << JSON.generate(names.zip(cells).to_h) << "\n"
          @rows += 1
        end

        # @return [Part]
        def finish
          @file&.close
          Part.new(name: @table.name, path: @rows.zero? ? nil : @path, file: "#{@table.name}.jsonl",
            declared: @table, rows: @rows, notes: notes)
        end

        private

        # Two columns of one name would be one of an object.
        def names = @names ||= Source.columns(@table.columns.map(&:name), @table.name).first

        def converted(column, value)
          case value
          when Sql::Literals::LEFT then left(:value, column)
          when Sql::Number then number(column, value)
          when String then column.binary ? left(:value, column) : text(column, value)
          else value
          end
        end

        def number(column, value)
          return {"0" => false, "1" => true}.fetch(value.text, value) if column.type == "yes_no"

          column.text ? value.text : value
        end

        def text(column, value)
          value = value.scrub("\uFFFD").delete("\0")
          case column.type
          when "yes_no" then ANSWERS.fetch(value.downcase, value)
          when "number" then value.match?(NUMBER) ? Sql::Number.new(value) : value
          when "date", "moment" then day(column, value)
          else value
          end
        end

        def day(column, value)
          return left(:day, column) if value.match?(NO_DAY)
          return value unless value.match?(FRACTION)

          left(:fraction, column) unless value[FRACTION].match?(/\A[.,]0+\z/)
          value.sub(FRACTION, "")
        end

        def left(what, column)
          @left[[what, column.name]] += 1
          nil
        end

        def notes
          @table.notes + @left.map do |(what, column), number|
            case what
            when :value then Core::Messages["interchange.collection.values_are_left_out", column: column,
              count: number]
            when :day then Core::Messages["interchange.collection.days_are_blank", column: column, count: number]
            else Core::Messages["interchange.collection.fractions_are_left_out", column: column, count: number]
            end
          end
        end
      end
    end
  end
end
