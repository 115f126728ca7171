# frozen_string_literal: true

require "tmpdir"
require "zip"

module UpTack
  module Commands
    # Makes the tables of a file that has several, with their fields, links, rules and records:
    #
    #   uptack import-tables shop.sqlite --dry-run
    #   Potters: 12 records
    #   Bookings: 36 records, 1 refused
    class ImportTables < Command
      # @param file [String] path of a file, or of a folder with files
      # @param only [String, nil] names of tables in the file, separated by commas
      # @return [Integer] 1 if rows were refused
      def call(file:, database: nil, dry_run: false, passing: false, only: nil)
        keep = passing ? "passing" : "all"
        keep = "none" if dry_run
        Database.open(database) do |workspace|
          Dir.mktmpdir("up_tack_tables") do |folder|
            upload = UseCases::Imports::Uploads::Upload.new(
              path: File.join(folder, "file"), name: File.basename(File.expand_path(file))
            )
            put(file, upload.path)
            bring_in(workspace, upload, keep, only&.split(",")&.map(&:strip))
          end
        end
      end

      private

      # A folder is taken as an archive of its files.
      def put(file, path)
        return FileUtils.cp(existing(file), path) unless File.directory?(file)

        Zip::OutputStream.open(path) do |zip|
          Dir[File.join(file, "**", "*")].sort.select { |each| File.file?(each) }.each do |each|
            zip.put_next_entry(each.delete_prefix("#{file.chomp("/")}/"))
            File.open(each, "rb") { |io| IO.copy_stream(io, zip) }
          end
        end
      end

      def bring_in(workspace, upload, keep, only)
        found, proposed = UseCases::Imports::Collections.new(workspace, progress: progress).call(upload)
        proposed = chosen(proposed, only) if only
        told = found.notes + proposed.flat_map { |table| [*table.notes, *table.problem].map { "#{table.name}: #{_1}" } }
        told.each { |note| @err.puts note }
        tables = proposed.select { |table| table.problem.nil? && table.fields.any? }.map(&:wish)
        result = UseCases::Imports::ImportCollection.new(workspace, progress: progress).call(
          upload: upload, tables: tables, keep: keep
        )
        tell(result, keep)
      end

      def chosen(proposed, only)
        missing = only - proposed.map(&:name)
        return proposed.select { |table| only.include?(table.name) } if missing.empty?

        raise Failure, Core::Messages["commands.import_tables.file_has_no_table", table: missing.first,
          tables: proposed.map(&:name).first(20).join(", ")]
      end

      def tell(result, keep)
        answer(result.clean? ? 0 : 1, {saved: !result.batch.nil?, tables: result.tables.map { |table| told(table) }}) do
          result.tables.each do |table|
            refused = table.report.refused_count
            @out.puts "#{table.label}: #{table.made} records#{", #{refused} refused" if refused.positive?}"
            told(table)[:refused].each { |each| @out.puts "  row #{each[:row]}: #{each[:messages].join(" ")}" }
            table.notes.each { |note| @out.puts "  #{note}" }
          end
          @out.puts Core::Messages["commands.import.nothing_was_saved"] if keep == "none" || result.batch.nil?
        end
      end

      def told(table)
        refused = table.report.refused.first(Import::SHOWN)
        {key: table.key, label: table.label, new: table.made, refused_count: table.report.refused_count,
         refused: refused.map { |each| {row: each.place, messages: each.refusals.map { _1[:message] }} }}
      end
    end
  end
end
