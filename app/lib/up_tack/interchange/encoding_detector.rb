# frozen_string_literal: true

module UpTack
  module Interchange
    # Tells in which encoding a text file is: by its byte order mark, by the noughts that
    # UTF-16 leaves between plain letters, by whether it is sound UTF-8, or else as
    # Windows-1252. A file of several encodings is told as such, with its lines.
    class EncodingDetector
      # name:: for Ruby; mark:: bytes of the byte order mark; mixed:: lines that are of another encoding
      Found = Struct.new(:name, :mark, :mixed, keyword_init: true)
      MARKS = {"\xEF\xBB\xBF".b => "UTF-8", "\xFF\xFE".b => "UTF-16LE", "\xFE\xFF".b => "UTF-16BE"}.freeze
      BLOCK = 1 << 20
      # Bytes that Windows-1252 leaves open.
      OPEN = /[\x81\x8D\x8F\x90\x9D]/n
      MOST_LINES = 20

      # @param path [String]
      # @return [Found]
      def self.call(path)
        head = File.binread(path, 4_096).to_s
        mark, name = MARKS.find { |bytes, _| head.start_with?(bytes) }
        return Found.new(name: name, mark: mark.bytesize, mixed: []) if mark && name != "UTF-8"

        wide = utf_16(head)
        return Found.new(name: wide, mark: 0, mixed: []) if wide

        new(path, mark ? mark.bytesize : 0).found
      end

      # @return [String, nil] where every other byte is mostly nought
      def self.utf_16(head)
        return if head.bytesize < 4

        even, odd = [0, 1].map { |side| head.bytes.each_slice(2).count { |pair| pair[side]&.zero? } }
        most = head.bytesize / 2 * 0.4
        return "UTF-16LE" if odd > most && odd > even

        "UTF-16BE" if even > most
      end

      def initialize(path, mark)
        @path = path
        @mark = mark
      end

      # @return [Found]
      def found
        broken = []
        wide = false
        open = false
        each_line do |line, number|
          next if line.ascii_only?

          if line.dup.force_encoding(Encoding::UTF_8).valid_encoding? then wide = true
          else
            broken << number
            open ||= line.match?(OPEN)
          end
        end
        return Found.new(name: "UTF-8", mark: @mark, mixed: []) if broken.empty?

        mixed = wide || open || @mark.positive?
        Found.new(name: mixed ? "UTF-8" : "Windows-1252", mark: @mark, mixed: mixed ? broken : [])
      end

      private

      # Lines of any length, cut where they are longer than memory should hold.
      def each_line
        File.open(@path, "rb") do |file|
          number = 0
          while (line = file.gets("\n", BLOCK))
            number += 1 if @ended != false
            @ended = line.end_with?("\n")
            yield line, number
          end
        end
      end
    end
  end
end
