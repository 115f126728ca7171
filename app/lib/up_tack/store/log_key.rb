# frozen_string_literal: true

module UpTack
  module Store
    # The key by which the log is sealed. It is never in the database, so that whoever has only that file
    # can't seal anything: it comes from UP_TACK_KEY, or lies in a file of its own beside the database
    # (up_tack.key, for nobody else to read), which is made with it. A line each; the last is the one in use,
    # the others are those of earlier times.
    module LogKey
      FILE = "up_tack.key"
      # Characters that a key from the environment has at least.
      SHORTEST = 32

      # id:: tells keys apart, and tells nothing of them; bytes:: 32 of them
      Key = Struct.new(:id, :bytes)

      # A key that can't be one.
      class Unfit < StandardError; end

      @rings = {}

      class << self
        # @return [Key, nil] the one in use; nil where there is none
        def current = ring.last

        # @param id [String]
        # @return [Key, nil]
        def find(id) = ring.find { |key| key.id == id }

        # @return [Array<Key>] those of the database that is open
        def ring = @rings[Database.path] ||= read(Database.path)

        # Makes one where none is.
        # @return [void]
        # @raise [Unfit]
        def prepare
          path = file(Database.path)
          return if ring.any?

          File.open(path, File::WRONLY | File::CREAT | File::EXCL, 0o600) { |file| file.puts SecureRandom.hex(32) }
        rescue Errno::EEXIST
          nil # Another process made one in the meantime.
        ensure
          forget
        end

        # @return [void]
        def forget = @rings.clear

        # @param database [String]
        # @return [String] where its key lies; that of a backup beside the database that it is of
        def file(database)
          folder = File.dirname(database)
          beside = File.join(folder, FILE)
          above = File.join(File.dirname(folder), FILE)
          (File.basename(folder) == "backups" && !File.file?(beside) && File.file?(above)) ? above : beside
        end

        # @param text [String] of a line or of the environment
        # @return [Key]
        # @raise [Unfit]
        def parse(text)
          if text.length < SHORTEST
            raise Unfit,
              Core::Messages["store.log_key.key_has_at_least_characters", least: SHORTEST]
          end

          bytes = text.match?(/\A\h{64}\z/) ? [text].pack("H*") : Digest::SHA256.digest("up_tack key #{text}")
          Key.new(Digest::SHA256.hexdigest("up_tack id #{bytes}")[0, 16], bytes)
        end

        private

        def read(database)
          given = ENV["UP_TACK_KEY"].to_s
          lines =
            if File.file?(file(database))
              File
                .readlines(file(database), chomp: true)
                .map(&:strip)
                .reject { |line| line.empty? || line.start_with?("#") }
            else
              []
            end
          [*lines, *(given unless given.empty?)].map { |line| parse(line) }
        end
      end
    end
  end
end
