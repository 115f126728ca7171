# frozen_string_literal: true

module UpTack
  module Interchange
    module Collection
      # The files of an archive (ZIP), each a table; what a data package says of them is taken as declared.
      class FromArchive
        BLOCK = 1 << 20
        DESCRIPTION = "datapackage.json"

        # @param path [String]
        # @param name [String]
        # @param folder [String]
        def initialize(path, name, folder)
          @path = path
          @name = name
          @folder = folder
          @left = LARGEST
        end

        # @return [Found]
        # @raise [Unreadable]
        def call
          Zip::File.open(@path) do |zip|
            files = zip.entries.select { |entry| entry.file? && READ.key?(ending(entry.name)) && !hidden?(entry.name) }
            description = files.find { |entry| File.basename(entry.name) == DESCRIPTION }
            told = description ? package(zip, description) : {}
            files -= [description]
            Collection.check_number(files.length, @name)
            parts = files.each_with_index.map { |entry, index| part(zip, entry, index, told) }
            Found.new(kind: description ? "package" : "archive", parts: parts, notes: notes(zip, files, description))
          end
        rescue Zip::Error, Zlib::Error
          raise Unreadable, Core::Messages["interchange.collection.archive_is_not_sound", name: @name]
        end

        private

        def ending(name) = File.extname(name).delete_prefix(".").downcase
        def hidden?(name) = name.split("/").any? { |each| each.start_with?(".", "__MACOSX") }

        def part(zip, entry, index, told)
          path = File.join(@folder, "#{index}.#{ending(entry.name)}")
          File.open(path, "wb") { |file| copy(zip, entry, file) }
          said = told[entry.name]
          Part.new(name: said&.first || name_of(entry), label: said&.at(1), path: File.zero?(path) ? nil : path,
            file: File.basename(readable(entry.name)), declared: said&.last, notes: said&.last&.notes || [],
            options: said ? {"heading" => "1"} : {})
        end

        def copy(zip, entry, file)
          input = zip.get_input_stream(entry)
          while (block = input.read(BLOCK))
            @left -= block.bytesize
            raise Unreadable, Core::Messages["interchange.collection.archive_is_too_large", name: @name] if @left < 0

            file << block
          end
        end

        def name_of(entry) = File.basename(readable(entry.name), ".*")
        def readable(name) = name.dup.force_encoding(Encoding::UTF_8).scrub("_")

        # @return [Hash{String=>Array}] name, title and Sql::Table by the path of a file
        def package(zip, description)
          text = +""
          File.open(File.join(@folder, "description"), "w+b") do |file|
            copy(zip, description, file)
            file.rewind
            text = file.read(8 << 20).to_s.force_encoding(Encoding::UTF_8)
          end
          folder = File.dirname(description.name).then { |found| (found == ".") ? "" : "#{found}/" }
          resources = JSON.parse(text).fetch("resources")
          resources.select { |each| each["path"].is_a?(String) }.to_h do |each|
            table = TableSchema.read(each["name"].to_s, each["schema"])
            ["#{folder}#{each["path"]}", [each["name"].to_s, each["title"], table]]
          end
        rescue JSON::ParserError, KeyError, NoMethodError, TypeError
          raise Unreadable, Core::Messages["interchange.collection.description_is_not_sound", name: @name]
        end

        def notes(zip, files, description)
          others = zip.entries.select(&:file?) - files - [description]
          others = others.reject { |entry| hidden?(entry.name) }.map { |entry| readable(entry.name) }
          return [] if others.empty?

          [Core::Messages["interchange.collection.files_are_left_out", files: others.first(5).join(", "),
            count: others.length]]
        end
      end
    end
  end
end
