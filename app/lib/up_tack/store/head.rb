# frozen_string_literal: true

module UpTack
  module Store
    # The ends of the change log and of the events, signed: whoever cuts something off can't sign the new end
    # without the key. It stands in the database, and so in every backup; it is told with every export, and
    # written once a day into a file beside the database.
    module Head
      SETTING = "head"
      FILE = "up_tack-heads.jsonl"
      WRITE = "INSERT OR REPLACE INTO up_tack_settings (name, value) VALUES ('#{SETTING}', ?)"
      PARTS = %w[entry seal event event_seal].freeze

      module_function

      # Within the transaction that added something.
      # @return [void]
      def write = Statements.run(WRITE, JSON.generate(now))

      # @return [Hash{String=>Object}] PARTS, "key" (its id) and "signature"
      def now
        parts = {
          **PARTS.first(2).zip(Statements.run(LogWriter::LATEST).first || [0, Seal::BEGINNING]).to_h,
          **PARTS.last(2).zip(Statements.run(Event::LATEST).first || [0, Seal::BEGINNING]).to_h
        }
        parts.merge("key" => LogKey.current.id, "signature" => signature(parts, LogKey.current))
      end

      # @return [Hash{String=>Object}, nil] the one that is kept
      def kept = Settings[SETTING]&.then { |text| JSON.parse(text) }

      def signature(parts, key) = Seal.over(["head", *parts.values_at(*PARTS)], key)

      # Adds today's line to the file, if it is not there yet.
      # @param clock [#now]
      # @return [void]
      def note(clock)
        path = file
        day = clock.now.getutc.strftime("%Y-%m-%d")
        if File.file?(path) && (last = File.foreach(path).reduce(nil) { |_, line| line }) &&
            last.include?("\"day\":\"#{day}\"")
          return
        end

        File.open(path, File::WRONLY | File::CREAT | File::APPEND, 0o600) do |file|
          file.puts(JSON.generate({"day" => day, **(kept || now)}))
        end
      end

      # @return [String]
      def file = File.join(File.dirname(Database.path), FILE)
    end
  end
end
