# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      class Csv
        # The text of a file as CSV's own reader takes it: line ends of any kind as one kind, bytes that are no text
        # as LOST, and no spaces between a cell's quotes and what separates it from the next.
        class Lines
          # @param io [IO]
          # @param spaced [String, nil] what separates cells, where spaces stand around their quotes
          def initialize(io, spaced: nil)
            @io = io
            @held = +""
            @closer = spaced && QuoteSpaces.new(spaced)
          end

          def gets(separator = "\n", limit = nil, chomp: false)
            fill until @held.include?("\n") || @over
            return if @held.empty?

            length = (@held.index("\n") || (@held.length - 1)) + 1
            line = @held.slice!(0, limit ? [limit, length].min : length)
            chomp ? line.chomp(separator) : line
          end

          def read(length = nil)
            fill until @over || (length && @held.length >= length)
            @held.empty? ? nil : @held.slice!(0, length || @held.length)
          end

          def eof?
            fill until @over || !@held.empty?
            @held.empty?
          end

          private

          def fill
            block = @io.gets("\n", SAMPLE) or return @over = true
            block << @io.getc.to_s if block.end_with?("\r")
            block = block.scrub(LOST).gsub(/\r\n?/, "\n")
            @held << (@closer ? @closer.call(block) : block)
          end
        end

        # Leaves out the spaces in `"x" , "y"`, but for those within quotes.
        class QuoteSpaces
          # @param delimiter [String]
          def initialize(delimiter)
            @before = /(\A|#{Regexp.escape(delimiter)})[ \t]+\z/
            @after = /\A[ \t]+(?=#{Regexp.escape(delimiter)}|\n|\z)/
            @quoted = false
          end

          # @param line [String] which come one after the other
          # @return [String]
          def call(line)
            parts = line.split("\"", -1)
            parts.each_with_index.map { |part, index|
              # Every quote changes sides; two of them within a cell do so twice.
              within = @quoted ^ index.odd?
              next part if within

              part = part.sub(@after, "") if index.positive?
              (index < parts.length - 1) ? part.sub(@before, '\1') : part
            }.join("\"").tap { @quoted ^= parts.length.even? }
          end
        end
      end
    end
  end
end
