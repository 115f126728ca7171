# frozen_string_literal: true

module UpTack
  module Interchange
    # Files that have several tables: a database of SQLite, a database written down as SQL, a workbook with several
    # sheets, and an archive of files, which may be a data package (Frictionless, version 1).
    module Collection
      # Tables at most, and bytes that come out of an archive.
      MOST = 500
      LARGEST = 2 << 30
      # Of an archive that is a workbook.
      SHEETS = %r{\Axl/worksheets/[^/]+\.xml\z}

      # One of its tables. name:: as it is called there; label:: where people call it otherwise; path:: of the file
      # that has its rows, nil where there are none; file:: under which name that is read; options:: see Source
      # declared:: Sql::Table with what is said of it, nil where nothing is; rows:: how many, nil where nobody counted
      # notes:: what people should know of it
      Part = Struct.new(:name, :label, :path, :file, :options, :declared, :rows, :notes, keyword_init: true) do
        # @return [#columns, #each_row]
        # @raise [Unreadable]
        def source
          return Readers::Nothing.new(declared&.columns&.map(&:name) || []) if path.nil?

          Source.open(path, name: file, options: options || {})
        end

        # @param column [String] as its source calls it
        # @return [Sql::Column, nil] what is declared of it
        def declared_as(column) = headings[column]

        # @param name [String] of a column, as it is declared
        # @return [String, nil] as its source calls it
        def heading(name) = declared && headings.key(declared.column(name.to_s))

        private

        # In a source, two columns of one name are told apart.
        def headings
          columns = declared&.columns || []
          @headings ||= Source.columns(columns.map(&:name), name).first.zip(columns).to_h
        end
      end
      # kind:: "database", "dump", "archive", "package" or "workbook"; parts:: Parts; notes:: for people
      Found = Struct.new(:kind, :parts, :notes, keyword_init: true)

      module_function

      # @param path [String]
      # @return [String, nil] what it is, nil where it is no file with several tables
      def kind(path)
        head = File.binread(path, 4_096).to_s
        return "database" if head.start_with?("SQLite format 3")
        return "archive" if head.start_with?("PK") && !workbook?(path)
        return "workbook" if head.start_with?("PK") && sheets(path) > 1

        "dump" if head.delete_prefix("\xEF\xBB\xBF".b).lstrip.match?(Source::SQL)
      end

      # @param path [String]
      # @param name [String] under which people know it
      # @param folder [String] where rows are put that stand nowhere else; what is there already is taken again
      # @return [Found]
      # @raise [Unreadable]
      def open(path, name:, folder:)
        kept = File.join(folder, "all")
        found = KeptResult.read(kept) and return found

        FileUtils.mkdir_p(folder)
        found = read(kind(path), path, name, folder)
        if found.parts.empty?
          raise Unreadable, Core::Messages["interchange.collection.has_no_tables", name: name]
        end

        KeptResult.write(kept, found)
        found
      end

      def read(kind, path, name, folder)
        case kind
        when "database" then FromDatabase.new(path, name, folder).call
        when "dump" then FromSql.new(path, name, folder).call
        when "archive" then FromArchive.new(path, name, folder).call
        when "workbook" then sheets_of(path, name)
        else raise Unreadable, Core::Messages["interchange.collection.has_no_tables", name: name]
        end
      end

      def sheets_of(path, name)
        names = Source.open(path, name: name).read_as.fetch(:sheets)
        Found.new(kind: "workbook", notes: [], parts: names.map { |sheet|
          Part.new(name: sheet, path: path, file: name, options: {"sheet" => sheet}, notes: [])
        })
      end

      # @raise [Unreadable]
      def check_number(number, name)
        return if number <= MOST

        raise Unreadable, Core::Messages["interchange.collection.has_too_many", name: name, number: number, most: MOST]
      end

      # @param counts [Hash{Symbol=>Integer}] of views:, triggers: and functions:
      # @return [Array<String>] a note for people, none where nothing is left out
      def left_out(counts)
        views, triggers, functions = %i[views triggers functions].map { |kind| counts.fetch(kind, 0) }
        found = [
          (Core::Messages["interchange.collection.views", count: views] if views.positive?),
          (Core::Messages["interchange.collection.triggers", count: triggers] if triggers.positive?),
          (Core::Messages["interchange.collection.functions", count: functions] if functions.positive?)
        ].compact
        found.empty? ? [] : [Core::Messages["interchange.collection.is_left_out", what: found.join(", ")]]
      end

      def workbook?(path) = entries(path).any? { |entry| %w[xl/workbook.xml content.xml].include?(entry) }
      def sheets(path) = entries(path).then { |all| all.include?("content.xml") ? 1 : all.count { SHEETS.match?(_1) } }

      def entries(path)
        Zip::File.open(path) { |zip| zip.entries.first(10_000).map(&:name) }
      rescue Zip::Error, SystemCallError, ArgumentError
        []
      end
    end
  end
end
