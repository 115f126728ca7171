# frozen_string_literal: true

require "tempfile"

module UpTack
  module Commands
    # Imports the records of a file into a table, through its rules:
    #
    #   uptack import clays clays.csv --dry-run
    #   12 rows: 10 new, 0 changed, 0 unchanged, 2 refused
    #   row 4: Limit: “abc” is not a number.
    class Import < Command
      SHOWN = 20

      # Names for what a terminal takes badly.
      DECIMALS = {"point" => ".", "comma" => ","}.freeze
      DELIMITERS = {"comma" => ",", "semicolon" => ";", "tab" => "\t", "bar" => "|"}.freeze

      # @param file [String] path, or PIPE
      # @param asked [Hash] see #bring_in
      # @return [Integer] 1 if rows were refused
      def call(file:, **asked)
        return bring_in(path: existing(file), name: File.basename(file), **asked) unless file == PIPE

        Tempfile.create("up_tack_import", binmode: true) do |copy|
          IO.copy_stream(@input, copy)
          copy.flush
          bring_in(path: copy.path, name: "standard input", **asked)
        end
      end

      private

      # @param table [String] key
      # @param map [Array<String>] "Column=field"; "Column=-" ignores a column
      # @param match [String, nil] key of the field by which records are found
      # @param as_was [Boolean] whether stamps, tallies and log lines come from the file
      # @param refused [String, nil] file for the refused rows
      # @param dates [String, nil] in which order those of all columns are read, "dmy", "mdy" or "ymd"
      # @param decimal [String, nil] the mark before decimals of all columns, one of DECIMALS or what it stands for
      # @param reading [Hash{Symbol=>String}] delimiter:, encoding:, sheet: and heading:, see Interchange::Source
      def bring_in(
        table:, path:, name:,
        database: nil, dry_run: false, passing: false, keep_blank: false, map: [], match: nil, as_was: false,
        refused: nil, dates: nil, decimal: nil, **reading
      )
        keep = passing ? "passing" : "all"
        keep = "none" if dry_run
        reading[:delimiter] = DELIMITERS.fetch(reading[:delimiter], reading[:delimiter]) if reading[:delimiter]
        Database.open(database) do |workspace|
          design = workspace.table(table)
          source = Interchange::Source.open(path, name: name, options: reading.transform_keys(&:to_s))
          overrides = {
            "columns" => map.map { |each| column_mapping(each, source, design) },
            "match" => match,
            "as_was" => as_was,
            "blanks" => keep_blank ? "kept" : nil
          }
          how = {"dates" => dates, "decimal" => DECIMALS.fetch(decimal, decimal)}.compact
          tell(import(workspace, design, source, overrides, keep, name, refused, how), keep)
        end
      end

      def import(workspace, design, source, overrides, keep, name, refused, how)
        looked = UseCases::Imports::FileAnalysis.new(workspace).call(source, design, as_was: overrides["as_was"])
        settings = overrides.merge("columns" => read_so(source, overrides["columns"], how))
        looked.settings = UseCases::Imports::SettingsOverride.over(looked.settings, settings)
        [*looked.notes, left_out(looked, overrides), set_again(looked)].compact.each { |note| @err.puts note }
        UseCases::Imports::Run.new(workspace, progress: progress).call(
          source: source,
          table: design.key,
          settings: looked.settings,
          keep: keep,
          name: name,
          refused: refused && "#{refused}.rows",
          rows: looked.rows
        )
      ensure
        write_refused(name, source, refused, workspace) if refused && File.file?("#{refused}.rows")
      end

      # What is said of some columns, and how all of them are read.
      def read_so(source, said, how)
        return said if how.empty?

        of = said.to_h { |each| [each["column"], each] }
        source.columns.map { |column| {"column" => column, **how, **of.fetch(column, {})} }
      end

      # Columns that are left out without anybody having said so.
      def left_out(looked, overrides)
        columns = looked.left_out - overrides["columns"].map { |each| each["column"] }
        return if columns.empty?

        Core::Messages["commands.import.columns_are_left_out", columns: columns.join(", ")]
      end

      def set_again(looked)
        columns = looked.columns_set_again
        return if columns.empty?

        Core::Messages["commands.import.columns_are_set_again", columns: columns.join(", ")]
      end

      def write_refused(name, source, refused, workspace)
        upload = UseCases::Imports::Uploads::Upload.new(path: refused, name: name)
        rows = "#{refused}.rows"
        FileUtils.mv(rows, upload.refused)
        File.open(refused, "wb") do |io|
          UseCases::Imports::CorrectedFile.write(
            upload,
            source,
            io,
            decimal_mark: workspace.project.conventions.decimal_mark
          )
        end
        FileUtils.rm_f(upload.refused)
      end

      def column_mapping(map, source, design)
        column, _, field = map.rpartition("=")
        unless source.columns.include?(column)
          Core::Invalid.because(
            Core::Messages[
              "commands.import.file_has_no_column",
              column: column,
              columns: source.columns.first(20).join(", ")
            ]
          )
        end
        return {"column" => column, "field" => nil} if field == "-"

        found = design.fields.find { |each| each.key == field || each.label.casecmp?(field) } or
          Core::Invalid.because(Core::Messages["commands.import.has_no_field", design: design.label, field: field])
        {"column" => column, "field" => found.key}
      end

      def tell(result, keep)
        report = result.report
        answer(report.clean? ? 0 : 1, told(result)) do
          @out.puts "#{report.looked_at} rows: #{result.made} new, #{result.changed} changed, " \
                      "#{report.unchanged} unchanged, #{report.refused_count} refused"
          told(result)[:refused].each { |each| @out.puts "row #{each[:row]}: #{each[:messages].join(" ")}" }
          @out.puts "and #{report.refused_count - SHOWN} more" if report.refused_count > SHOWN
          nothing = keep == "none" || (keep == "all" && !report.clean?)
          @out.puts Core::Messages["commands.import.nothing_was_saved"] if nothing
        end
      end

      def told(result)
        report = result.report
        refused = report.refused.first(SHOWN)
        {
          rows: report.looked_at,
          new: result.made,
          changed: result.changed,
          unchanged: report.unchanged,
          refused_count: report.refused_count,
          refused: refused.map { |each| {row: each.place, messages: each.refusals.map { _1[:message] }} }
        }
      end
    end
  end
end
