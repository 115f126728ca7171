# frozen_string_literal: true

require "csv"

module UpTack
  module Store
    module LogCheck
      # What another file tells of this log: the lines that are written each day, an export of the log as CSV or
      # JSON, or a backup. Whatever it has of seals must be in the log here as well.
      class Against
        # Numbers and seals by table.
        def initialize(seals)
          @seals = seals
          @met = Hash.new { |met, table| met[table] = {} }
        end

        # @param path [String]
        # @return [Against]
        # @raise [Unchecked] for a file that tells nothing of a log
        def self.read(path)
          seals =
            if File.binread(path, 16).to_s.start_with?("SQLite format 3")
              backup(path)
            else
              text(File.read(path, encoding: "bom|utf-8"))
            end
          if seals.values.all?(&:empty?)
            raise Unchecked,
              Core::Messages["store.against.tells_nothing_of_log", file: File.basename(path)]
          end

          new(seals)
        rescue SystemCallError,
          ArgumentError,
          SQLite3::Exception,
          JSON::ParserError,
          CSV::MalformedCSVError,
          EncodingError => e
          raise Unchecked,
            Core::Messages[
              "store.against.cant_be_read",
              file: File.basename(path),
              reason: e.message.lines.first.strip
            ]
        end

        def self.backup(path)
          file = SQLite3::Database.new(path, readonly: true)
          %w[up_tack_entries up_tack_events].to_h do |table|
            [table, file.execute("SELECT id, seal FROM #{table}").to_h]
          end
        ensure
          file&.close
        end

        def self.text(text)
          return csv(text) unless text.match?(/\A\s*[\[{]/)

          entries = text.lstrip.start_with?("[") ? JSON.parse(text) : text.lines.map { |line| JSON.parse(line) }
          gathered(entries.flat_map { |line| member(line) })
        end

        # @param line [Hash] a day's end, an entry of an export, or the end of one
        def self.member(line)
          return ends(line) if line.key?("event_seal")

          line["head"] ? ends(line["head"]) : [["up_tack_entries", line["id"], line["seal"]]]
        end

        def self.csv(text)
          lines = CSV.parse(text, headers: true)
          gathered(
            lines.flat_map do |line|
              if line["Entry"].to_s.match?(/\A\d+\z/)
                [["up_tack_entries", line["Entry"].to_i, line["Seal"]]]
              else
                signed(line["Seal"])
              end
            end
          )
        end

        def self.signed(text) = text.to_s.start_with?("{") ? ends(JSON.parse(text)) : []

        def self.ends(line) =
          [["up_tack_entries", line["entry"], line["seal"]], ["up_tack_events", line["event"], line["event_seal"]]]

        def self.gathered(found)
          found.each_with_object({"up_tack_entries" => {}, "up_tack_events" => {}}) do |(table, id, seal), seals|
            seals[table][id] = seal if id.to_i.positive? && seal
          end
        end

        # @return [void]
        def met(table, id, seal) = @seals.fetch(table).key?(id) && @met[table][id] = seal

        # @param cut [Array<Array(String, Integer, Integer)>] which numbers restores skipped: those between two
        # @return [Array<Array(String, Integer)>] what is wrong, and in which entry
        def faults(cut)
          @seals.flat_map do |table, seals|
            what = Chains::WHAT.fetch(table)
            skipped = cut.select { |of, _, _| of == table }.map { |_, after, before| (after + 1)...before }
            seals
              .reject { |id, seal| @met[table][id] == seal || skipped.any? { |range| range.cover?(id) } }
              .sort
              .first(MOST)
              .map do |id, _|
                there = @met[table].key?(id)
                [
                  if there
                    Core::Messages["store.against.is_another_one_than_file_tells", thing: what, id: id]
                  else
                    Core::Messages["store.against.of_which_file_tells_is_missing", thing: what, id: id]
                  end,
                  (id if table == "up_tack_entries")
                ]
              end
          end
        end
      end
    end
  end
end
