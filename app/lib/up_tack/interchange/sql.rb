# frozen_string_literal: true

module UpTack
  module Interchange
    # Databases that were written down as SQL (ISO/IEC 9075): tables, keys, conditions and rows, as SQLite, PostgreSQL
    # and MySQL write them. What can't be said of them by a rule is told as a note.
    module Sql
      # A column. type:: key of a field type, nil where its values tell; text:: whether it is declared as a text
      # required, key:: whether it is never blank, and the primary key; unique:: whether it has every value once
      # longest:: characters; choices:: the only values; default:: see Default; binary:: whether its values are no texts
      Column = Struct.new(:name, :type, :text, :required, :key, :unique, :longest, :choices, :default, :binary,
        keyword_init: true)
      # What a column has unless something else is said. value:: a text, number, true or false; formula:: or this
      Default = Struct.new(:value, :formula, keyword_init: true)
      # Which values of columns are those of other columns.
      Link = Struct.new(:columns, :table, :references, keyword_init: true)
      # name:: without that of its schema; links:: Links; checks:: conditions as they stand
      # unique:: lists of columns that are unique together; notes:: for people
      Table = Struct.new(:name, :columns, :links, :checks, :unique, :notes, keyword_init: true) do
        # @return [Column, nil] by its name, whatever its capitals
        def column(name) =
          columns.find { |each| each.name == name } || columns.find { |each| each.name.casecmp?(name) }

        # @return [Column, nil] the one column that is its primary key
        def key = columns.select(&:key).then { |found| found.first if found.one? }
      end

      # A number as it was written.
      Number =
        Struct.new(:text) do
          # @return [String] of JSON
          def to_json(*)
            # Longer whole ones are those of accounts and the like.
            return JSON.generate(text) if text.count("0-9") > Core::Numbers::KEPT_DIGITS && text.match?(/\A[-+]?\d+\z/)

            number = BigDecimal(text)
            (number.exponent.abs > 400) ? JSON.generate(text) : number.to_s("F")
          end
        end

      # How types are called, by what fields have of them. What is not here is a text.
      TYPES = {
        /\A(?:bool|boolean|bit(?:\s*\(\s*1\s*\))?)\z/ => "yes_no",
        /\Atinyint\s*\(\s*1\s*\)/ => "yes_no",
        /\A(?:timestamp|datetime)/ => "moment",
        /\Adate\b/ => "date",
        /\Atime\b/ => "time",
        /\A(?:unsigned\s+)?(?:big|small|medium|tiny)?\s*(?:int|serial)/ => "number",
        /\A(?:numeric|decimal|number|real|double|float|money|dec)\b/ => "number"
      }.freeze
      TEXTS = /char|text|clob|enum|uuid|string/

      module_function

      # @param declared [String] "VARCHAR(20)"
      # @return [String, nil] key of a field type, nil for a text or where nothing is said
      def type(declared)
        plain = declared.to_s.downcase.strip
        TYPES.find { |pattern, _| plain.match?(pattern) }&.last unless plain.match?(TEXTS)
      end

      # @param escapes [Boolean] see Statements#escapes?: without them a blob may as well have texts
      # @return [Boolean]
      def binary?(declared, escapes) =
        declared.to_s.downcase.match?(escapes ? /\A(?:\w*blob|(?:var)?binary)\b/ : /\Abytea\b/)

      # @return [Boolean]
      def text?(declared) = declared.to_s.downcase.match?(TEXTS)

      # @return [Integer, nil] characters that it takes at most
      def longest(declared) = declared.to_s.match?(/char/i) ? declared[/\(\s*(\d+)\s*\)/, 1]&.to_i : nil
    end
  end
end
