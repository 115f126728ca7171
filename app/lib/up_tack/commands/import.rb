# frozen_string_literal: true

module UpTack
  module Commands
    # Brings the records of a file into a table, through its rules:
    #
    #   uptack import clays clays.csv --dry-run
    #   12 rows: 10 new, 0 changed, 0 as they are, 2 refused
    #   row 4: Limit: “abc” is not a number.
    #   …
    #
    # --dry-run writes nothing. --map "Column=field" says to which field a column belongs,
    # "Column=-" leaves it out. --match FIELD changes the records that are found by it.
    # --passing saves what passes where something is refused; otherwise it is all or nothing.
    # --keep-blank keeps blank what the file leaves blank. --refused FILE takes the refused rows.
    # The exit status is 0 when all was saved or would be, 1 when rows were refused, 2 when
    # the file or what was asked can't be understood.
    class Import
      USAGE = "TABLE FILE [--dry-run] [--passing] [--map COLUMN=FIELD …] [--match FIELD] [--keep-blank] " \
        "[--refused FILE] [--database FILE]"
      SHOWN = 20

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        database = Database.path(arguments)
        flags = %w[--dry-run --passing --keep-blank].to_h { |flag| [flag, !arguments.delete(flag).nil?] }
        maps, match, refused =
          values(arguments, "--map"),
          values(arguments, "--match").last,
          values(arguments, "--refused").last
        table, path = arguments
        unless arguments.length == 2 && File.file?(path)
          return fail_with("Name a table and a file: uptack import #{USAGE}")
        end

        Database.open(database) do |workspace|
          if workspace
            bring_in(workspace, table, path, flags, maps, match, refused)
          else
            fail_with(Core::Messages["commands.import.there_is_no_project_in_yet", database: database])
          end
        end
      rescue Interchange::Unreadable, Core::Invalid, Store::NotFound, Services::NotAllowed => e
        fail_with(e.message)
      end

      private

      def fail_with(message)
        @err.puts message
        2
      end

      def values(arguments, flag)
        found = []
        while (at = arguments.index(flag))
          found << arguments.slice!(at, 2).last
        end
        found
      end

      def bring_in(workspace, table, path, flags, maps, match, refused)
        design = workspace.table(table)
        source = Interchange::Source.open(path)
        looked = UseCases::Imports::FileAnalysis.new(workspace).call(source, design)
        settings =
          UseCases::Imports::SettingsOverride.over(
            looked.settings,
            "columns" => maps.map { |map| column_mapping(map, source, design) },
            "match" => match,
            "blanks" => flags["--keep-blank"] ? "kept" : nil
          )
        looked.notes.each { |note| @err.puts note }
        keep =
          if flags["--dry-run"]
            "none"
          else
            flags["--passing"] ? "passing" : "all"
          end
        tell(
          UseCases::Imports::Run.new(workspace).call(
            source: source,
            table: table,
            settings: settings,
            keep: keep,
            name: File.basename(path),
            refused: refused && "#{refused}.rows",
            rows: looked.rows
          ),
          keep
        )
      ensure
        hand_out(path, source, refused, workspace) if refused && source && File.file?("#{refused}.rows")
      end

      def hand_out(path, source, refused, workspace)
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
        @out.puts "#{report.looked_at} rows: #{result.made} new, #{result.changed} " \
                    "changed, #{report.unchanged} as they are, #{report.refused_count} refused"
        report
          .refused
          .first(SHOWN)
          .each do |each|
            @out.puts "row #{each.place}: #{each.refusals.map { |refusal| refusal[:message] }.join(" ")}"
          end
        @out.puts "and #{report.refused_count - SHOWN} more" if report.refused_count > SHOWN
        nothing = keep == "none" || (keep == "all" && !report.clean?)
        @out.puts Core::Messages["commands.import.nothing_was_saved"] if nothing
        report.clean? ? 0 : 1
      end
    end
  end
end
