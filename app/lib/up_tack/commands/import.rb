# frozen_string_literal: true

module UpTack
  module Commands
    # Imports the records of a file into a table, through its rules:
    #
    #   uptack import clays clays.csv --dry-run
    #   12 rows: 10 new, 0 changed, 0 unchanged, 2 refused
    #   row 4: Limit: “abc” is not a number.
    class Import < Command
      SHOWN = 20

      # @param table [String] key
      # @param map [Array<String>] "Column=field"; "Column=-" ignores a column
      # @param match [String, nil] key of the field by which records are found
      # @param refused [String, nil] file for the refused rows
      # @return [Integer] 1 if rows were refused
      def call(
        table:, file:,
        database: nil, dry_run: false, passing: false, keep_blank: false, map: [], match: nil, refused: nil
      )
        existing(file)
        keep = passing ? "passing" : "all"
        keep = "none" if dry_run
        Database.open(database) do |workspace|
          design = workspace.table(table)
          source = Interchange::Source.open(file)
          overrides = {
            "columns" => map.map { |each| column_mapping(each, source, design) },
            "match" => match,
            "blanks" => keep_blank ? "kept" : nil
          }
          tell(import(workspace, design, source, overrides, keep, file, refused), keep)
        end
      end

      private

      def import(workspace, design, source, overrides, keep, file, refused)
        looked = UseCases::Imports::FileAnalysis.new(workspace).call(source, design)
        looked.settings = UseCases::Imports::SettingsOverride.over(looked.settings, overrides)
        [*looked.notes, left_out(looked, overrides)].compact.each { |note| @err.puts note }
        UseCases::Imports::Run.new(workspace, progress: progress).call(
          source: source,
          table: design.key,
          settings: looked.settings,
          keep: keep,
          name: File.basename(file),
          refused: refused && "#{refused}.rows",
          rows: looked.rows
        )
      ensure
        write_refused(file, source, refused, workspace) if refused && File.file?("#{refused}.rows")
      end

      # Columns that are left out without anybody having said so.
      def left_out(looked, overrides)
        columns = looked.left_out - overrides["columns"].map { |each| each["column"] }
        return if columns.empty?

        Core::Messages["commands.import.columns_are_left_out", columns: columns.join(", ")]
      end

      def write_refused(path, source, refused, workspace)
        upload = UseCases::Imports::Uploads::Upload.new(path: refused, name: File.basename(path))
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
