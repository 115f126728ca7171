# frozen_string_literal: true

module UpTack
  module Commands
    # Writes the records of a table, or of a view of it, to a file or to standard output:
    #
    #   uptack export pieces pieces.csv --filter 'peak > 900' --fields tag,peak
    class Export < Command
      # @param table [String] key
      # @param file [String, nil] path; PIPE or nil for standard output
      # @param format [String, nil] a key of Interchange::Writers::TYPES; that of the file's ending without it, or CSV
      # @param fields [String, nil] keys separated by commas
      # @param view [Hash{Symbol=>String}] filter:, sort: and search:, see Services::View
      # @return [Integer]
      # @raise [Failure, Core::Invalid]
      def call(table:, file: nil, database: nil, format: nil, fields: nil, **view)
        format = known(format || ending(file))
        Database.open(database) do |workspace|
          written(file) do |io|
            UseCases::Exports::Records.new(workspace, progress: progress).call(
              table: workspace.table(table).key,
              format: format,
              io: io,
              fields: fields&.split(/\s*,\s*/),
              **view
            )
          end
        end
        0
      end

      private

      def ending(file) = (file && file != PIPE) ? File.extname(file).delete_prefix(".").downcase : ""

      def known(format)
        return "csv" if format.empty?
        return format if Interchange::Writers::TYPES.key?(format)

        known = Interchange::Writers::TYPES.keys.join(", ")
        raise Failure, Core::Messages["commands.export.there_is_no_format", name: format, known: known]
      end

      # A file is whole or not there: what was there before stays if something goes wrong.
      def written(file, &write)
        return write.call(@out.binmode) if file.nil? || file == PIPE

        part = "#{file}.part"
        File.open(part, "wb", &write)
        File.rename(part, file)
      ensure
        FileUtils.rm_f(part) if part
      end
    end
  end
end
