# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Files that were brought in and wait for what becomes of them, in a folder beside
      # the database. Whoever brought one sees it, and nobody else.
      class Uploads
        # Bytes of one file, and seconds for which it is kept.
        LARGEST = 1 << 30
        KEPT = 24 * 60 * 60
        BLOCK = 1 << 20
        # Bytes of all files that one person has waiting.
        QUOTA = 2 << 30

        # A file that is larger than LARGEST, or more than is left of the QUOTA.
        class TooLarge < StandardError; end

        # Where the files of everybody wait.
        def self.folder = File.join(File.dirname(Store::Database.path), "imports")

        # Deletes what has waited for too long, whoever brought it.
        def self.forget_old
          Dir[File.join(folder, "p*", "*")].each { |path| FileUtils.rm_rf(path) if File.mtime(path) < Time.now - KEPT }
        end

        # One of them. path:: of the file; name:: under which people know it
        Upload = Struct.new(:id, :path, :name, keyword_init: true) do
          # @return [Interchange::Source]
          # @raise [Interchange::Unreadable]
          def source(options = {}) = Interchange::Source.open(path, name: name, options: options)

          # @param part [Integer, nil] of a file with several tables
          # @return [String] where the rows that are refused are kept
          def refused(part = nil) = "#{path}.refused#{"-#{part}" if part}"

          # Keeps what its rows have shown, for whoever asks again.
          # @param seen [LookAtRows::Seen]
          # @param how [Hash{String=>String}, Integer] options by which it was read, or one of several tables
          def keep(seen, how = {}) = Interchange::KeptResult.write(seen_path(how), seen)

          # @return [LookAtRows::Seen, nil]
          def seen(how = {}) = Interchange::KeptResult.read(seen_path(how))

          # Keeps to which fields of a table its columns belong, which was made of them.
          # @param table [Core::Design::Table]
          # @param fields [Hash{String=>Core::Design::Field}] by the column's name
          def remember(table, fields)
            File.write("#{path}.fields", JSON.generate({table.id => fields.transform_values(&:id)}))
          end

          # @param table [Core::Design::Table]
          # @return [Hash{String=>String}] keys of fields by columns that are known to belong to them
          def fields(table)
            return {} unless File.file?("#{path}.fields")

            ids = JSON.parse(File.read("#{path}.fields")).fetch(table.id, {})
            keys = table.fields.to_h { |field| [field.id, field.key] }
            ids.transform_values { |id| keys[id] }.compact
          end

          private

          def seen_path(how)
            how = how.reject { |_, value| value.to_s.empty? }.sort if how.is_a?(Hash)
            "#{path}.seen-#{Digest::SHA256.hexdigest(JSON.generate(how))[0, 16]}"
          end
        end

        def initialize(person)
          @folder = File.join(Uploads.folder, "p#{person.id}")
        end

        # @param io [#read]
        # @param name [String]
        # @return [Upload]
        # @raise [TooLarge]
        def add(io, name)
          Uploads.forget_old
          FileUtils.mkdir_p(@folder)
          upload =
            Upload.new(
              id: SecureRandom.hex(12),
              name:
                name.to_s.scrub.gsub(/[\p{Cntrl}\/\\]/, " ").strip[-120..] ||
                  name.to_s.scrub.gsub(/[\p{Cntrl}\/\\]/, " ").strip
            )
          upload.path = File.join(@folder, upload.id)
          File.open(upload.path, "wb") { |file| copy(io, file) }
          File.write("#{upload.path}.name", upload.name)
          upload
        rescue TooLarge
          FileUtils.rm_f(upload.path)
          raise
        end

        # @return [Upload]
        # @raise [Store::NotFound]
        def find(id)
          path = id.to_s.match?(/\A\h{24}\z/) && File.join(@folder, id)
          unless path && File.file?(path)
            raise Store::NotFound,
              Core::Messages["imports.uploads.file_is_no_longer_here"]
          end

          Upload.new(id: id, path: path, name: File.read("#{path}.name"))
        end

        private

        def copy(io, file)
          left = [LARGEST, QUOTA - waiting].min
          while (block = io.read(BLOCK))
            file << block
            raise TooLarge if file.pos > left
          end
        end

        # Bytes of the files that wait already, and of what was made of them.
        def waiting = Dir[File.join(@folder, "**", "*")].sum { |path| File.file?(path) ? File.size(path) : 0 }
      end
    end
  end
end
