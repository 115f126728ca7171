# frozen_string_literal: true

module UpTack
  module Interchange
    # A file with rows. What it is goes by what is in it, not by its name.
    module Source
      # Columns and characters of a cell, at most.
      MOST_COLUMNS = 2_000
      LONGEST_CELL = 1_048_576

      # Ways of reading that somebody may choose.
      OPTIONS = %w[delimiter encoding sheet heading].freeze
      # How files begin that are no tables.
      NO_TABLES = {
        "%PDF" => "pdf",
        "\x89PNG".b => "picture",
        "\xFF\xD8\xFF".b => "picture",
        "GIF8" => "picture",
        "\xD0\xCF\x11\xE0".b => "old_workbook",
        "SQLite format 3" => "database",
        "\x1F\x8B".b => "packed",
        "{\\rtf" => "text_document"
      }.freeze
      SQL = %r{
        \A(?:--[^\n]*\s+|/\*.*?\*/\s*;?\s*|;\s*|\\[a-z]+[^\n]*\s+)*
        (?:create\s+(?:table|type|schema|sequence|function|database|extension|unlogged|temp\w*)\b|insert\s+into
          |begin\s*(?:transaction)?\s*;|pragma\s|set\s+\w+\s*(?:=|to\b)|drop\s+(?:table|database|schema)
          |lock\s+tables|select\s+pg_catalog\.|alter\s+table|use\s+`)
      }mix

      module_function

      # @param path [String]
      # @param name [String] under which people know the file
      # @param options [Hash{String=>String}] those of OPTIONS where somebody knows better
      # @return [Readers::Csv, Readers::Apart, Readers::Json]
      # @raise [Unreadable]
      def open(path, name: File.basename(path), options: {})
        raise Unreadable, Core::Messages["interchange.source.is_empty", name: name] if File.zero?(path)

        case (found = format(path, name))
        when "packed" then Readers::Apart.new(path, name, options)
        when "json", "jsonl" then Readers::Json.new(path, name, found)
        else Readers::Csv.new(path, name, options)
        end
      end

      # @return [String] "csv", "json", "jsonl", or "packed" for a workbook
      # @raise [Unreadable] for what is none of them
      def format(path, name)
        head = File.binread(path, 4_096).to_s
        ending = READ[File.extname(name).delete_prefix(".").downcase]
        return "packed" if head.start_with?("PK")
        if %w[xlsx ods].include?(ending)
          raise Unreadable,
            Core::Messages["interchange.source.is_not_workbook_though_its_ending_says", name: name]
        end

        kind = known_as(head)
        if kind
          raise Unreadable,
            if Collection.kind(path)
              Core::Messages["interchange.source.has_several_tables", name: name, kind: kind]
            else
              Core::Messages["interchange.source.is_not_table", name: name, kind: kind]
            end
        end
        return json_kind(path, ending) if %w[json jsonl].include?(ending)

        "csv"
      end

      # @return [String, nil] what a file is that is surely no table
      def known_as(head)
        text = head.delete_prefix("\xEF\xBB\xBF".b).lstrip
        kind =
          NO_TABLES.find { |start, _| head.start_with?(start) }&.last ||
          ("flat_sheet" if text.start_with?("<?xml") && text.include?("office:spreadsheet")) ||
          ("page" if text.match?(/\A<(?:!doctype html|html)/i)) ||
          ("xml" if text.match?(/\A<\?xml|\A<\w+[^>]*xmlns/n)) ||
          ("sql" if text.match?(SQL))
        kind && words_for(kind)
      end

      def words_for(kind)
        {
          "database" => Core::Messages["interchange.source.kinds.database"],
          "flat_sheet" => Core::Messages["interchange.source.kinds.flat_sheet"],
          "old_workbook" => Core::Messages["interchange.source.kinds.old_workbook"],
          "packed" => Core::Messages["interchange.source.kinds.packed"],
          "page" => Core::Messages["interchange.source.kinds.page"],
          "pdf" => Core::Messages["interchange.source.kinds.pdf"],
          "picture" => Core::Messages["interchange.source.kinds.picture"],
          "sql" => Core::Messages["interchange.source.kinds.sql"],
          "text_document" => Core::Messages["interchange.source.kinds.text_document"],
          "xml" => Core::Messages["interchange.source.kinds.xml"]
        }.fetch(kind)
      end

      # An object a line, or one whole: a single object of one line is such a line, unless it has a list of objects.
      def json_kind(path, ending)
        return "jsonl" if ending == "jsonl"

        File.open(path, "rb") do |file|
          # No more of a line than an object can have: a whole file may be one.
          lines = file.each_line("\n", Readers::Json::LONGEST + 1).lazy.reject { |line| line.strip.empty? }.first(2)
          first = lines.first.to_s.delete_prefix("\xEF\xBB\xBF".b).strip
          next "json" unless first.start_with?("{") && first.end_with?("}")
          next "jsonl" if lines.length > 1

          first.match?(/\[\s*\{/n) ? "json" : "jsonl"
        end
      end

      # Two columns of one name are told apart, and one without a name gets one.
      # @param names [Array<Object>]
      # @return [Array(Array<String>, Array<String>)] names, and notes for people
      # @raise [Unreadable]
      def columns(names, file)
        if names.length > MOST_COLUMNS
          raise Unreadable,
            Core::Messages["interchange.source.has_columns", file: file, number: names.length, most: MOST_COLUMNS]
        end

        seen = Hash.new(0)
        notes = []
        found = names.each_with_index.map do |name, index|
          text = Profile.text(name).strip.gsub(/\s+/, " ")[0, 200]
          text = "Column #{index + 1}" if text.empty?
          seen[text] += 1
          next text if seen[text] == 1

          notes << Core::Messages[
            "interchange.source.two_columns_are_called",
            text: text,
            place: index + 1,
            number: seen[text]
          ]
          "#{text} (#{seen[text]})"
        end
        [found, notes]
      end
    end
  end
end
