# frozen_string_literal: true

module UpTack
  module Interchange
    # A file with rows. What it is goes by what is in it, not by its name.
    module Source
      # Columns and characters of a cell, at most.
      MOST_COLUMNS = 2_000
      LONGEST_CELL = 1_048_576

      module_function

      # @param path [String]
      # @param name [String] under which people know the file
      # @param options [Hash{String=>String}] "delimiter", "encoding" or "sheet" where somebody knows better
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
        raise Unreadable, Core::Messages["interchange.source.is_not_table", name: name, kind: kind] if kind
        return (ending == "jsonl" || head.lstrip.start_with?("{")) ? "jsonl" : "json" if %w[json jsonl].include?(ending)

        "csv"
      end

      # @return [String, nil] what a file is that is surely no table
      def known_as(head)
        {
          "%PDF" => "a PDF",
          "\x89PNG".b => "a picture",
          "\xFF\xD8\xFF".b => "a picture",
          "GIF8" => "a picture",
          "\xD0\xCF\x11\xE0".b => "a workbook of an old format",
          "SQLite format 3" => "a database",
          "\x1F\x8B".b => "a packed file",
          "<!DOCTYPE html" => "a web page",
          "<html" => "a web page"
        }.find { |start, _| head.start_with?(start) }&.last
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
          text = name.to_s.strip.gsub(/\s+/, " ")[0, 200]
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
