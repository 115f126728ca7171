# frozen_string_literal: true

require "nokogiri"

module UpTack
  module Interchange
    module Readers
      module Sheets
        # Goes through the content of an ODS and gives its rows one by one (ISO/IEC 26300-3, 9.1 and 19.384 to
        # 19.388).
        class OdsRows < Nokogiri::XML::SAX::Document
          # What a cell says of itself.
          Cell = Struct.new(:attributes, :repeated, :covered, :paragraphs)
          DURATION = /\A(-)?P(?:(\d+)D)?T?(?:(\d+)H)?(?:(\d+)M)?(?:(\d+(?:[.,]\d+)?)S)?\z/
          # What stands beside a cell's own text.
          ASIDE = %w[annotation].freeze

          # @return [Array<String>] sheets with cells that are shown as one
          attr_reader :merged

          # @yield [String, Integer, Array<Object>] sheet, number of the row and its cells; once with 0 when a
          #   sheet begins
          def initialize(&row)
            super()
            @row = row
            @merged = []
            @depth = @aside = 0
          end

          def start_element_namespace(name, attributes = [], _prefix = nil, _uri = nil, _spaces = [])
            return @aside += 1 if ASIDE.include?(name) || @aside.positive?
            return begin_table(attributes) if name == "table"
            return unless @depth == 1

            case name
            when "table-row" then begin_row(attributes)
            when "table-cell", "covered-table-cell" then begin_cell(name, attributes)
            when "p" then @cell&.paragraphs&.push(+"")
            when "s" then say(" " * [told(attributes, "c").to_i, 1].max)
            when "tab" then say("\t")
            when "line-break" then say("\n")
            end
          end

          def characters(text)
            return unless @aside.zero? && @cell&.paragraphs&.any?

            # Written with line ends and indents, which mean nothing (ISO/IEC 26300-3, 6.1.2).
            plain = text.gsub(/[ \t\r\n]+/, " ")
            own = @cell.paragraphs.last
            plain = plain.delete_prefix(" ") if own.empty? || (!@meant && own.end_with?(" "))
            own << plain
            @meant = false unless plain.empty?
          end

          def end_element_namespace(name, _prefix = nil, _uri = nil)
            return @aside -= 1 if @aside.positive?
            return @depth -= 1 if name == "table"
            return unless @depth == 1

            case name
            when "p" then @cell&.paragraphs&.last&.delete_suffix!(" ") unless @meant
            when "table-cell", "covered-table-cell" then end_cell
            when "table-row" then end_row
            end
          end

          private

          def begin_table(attributes)
            return if (@depth += 1) > 1

            @sheet = told(attributes, "name").to_s
            @number = 0
            @areas = Merged.new
            @row.call(@sheet, 0, [])
          end

          def begin_row(attributes)
            @times = [told(attributes, "number-rows-repeated").to_i, 1].max
            @cells = []
            @blank = 0
          end

          def begin_cell(name, attributes)
            @meant = false
            @cell = Cell.new(attributes, [told(attributes, "number-columns-repeated").to_i, 1].max,
              name == "covered-table-cell", [])
          end

          # Spaces and ends of lines that are told as such.
          def say(text)
            @meant = true
            @cell&.paragraphs&.last&.<<(text)
          end

          def end_cell
            value = @cell.covered ? nil : value(@cell)
            span
            if value.nil?
              @blank += @cell.repeated
            else
              @cells.concat(Array.new(@blank)).concat([value] * @cell.repeated)
              @blank = 0
            end
            @cell = nil
          end

          # Cells that stand behind this one, to its right or below.
          def span
            wide, high = %w[number-columns-spanned number-rows-spanned].map { |name| told(@cell.attributes, name).to_i }
            return unless wide > 1 || high > 1

            @merged |= [@sheet]
            column = @cells.length + @blank
            @areas.add((@number + 1)..(@number + [high, 1].max), column..(column + [wide, 1].max - 1))
          end

          def end_row
            @times.times do
              @number += 1
              cells = @areas.any? ? @areas.fill(@number, @cells.dup) : @cells
              break @number += @times - 1 if cells.empty? && @times > 1

              @row.call(@sheet, @number, cells) unless cells.empty?
            end
          end

          def value(cell)
            text = cell.paragraphs.join("\n")
            return text if told(cell.attributes, "value-type", prefix: "calcext") == "error"

            case told(cell.attributes, "value-type", prefix: "office")
            when "float", "percentage", "currency" then number(told(cell.attributes, "value"))
            when "boolean" then told(cell.attributes, "boolean-value") == "true"
            when "date" then date(told(cell.attributes, "date-value").to_s)
            when "time" then duration(told(cell.attributes, "time-value").to_s)
            else (told(cell.attributes, "string-value") || text).then { |found| found.empty? ? nil : found }
            end
          end

          def number(text)
            value = Float(text)
            text.match?(/\A-?\d+\z/) ? BigDecimal(text) : BigDecimal(value, Core::Numbers::KEPT_DIGITS)
          end

          def date(text)
            day, time = text.split("T")
            first = Core::Calendar.iso8601(day)
            hours, minutes, seconds = time.to_s.split(":")
            ShownTime.moment(first, (hours.to_i * 3_600) + (minutes.to_i * 60) + seconds.to_f.round)
          end

          def duration(text)
            sign, days, hours, minutes, seconds = text.match(DURATION)&.captures || (return text)
            all = (days.to_i * ShownTime::DAY) + (hours.to_i * 3_600) + (minutes.to_i * 60) +
              seconds.to_s.tr(",", ".").to_f.round
            ShownTime.clock(sign ? -all : all)
          end

          def told(attributes, name, prefix: nil) =
            attributes.find { |each| each.localname == name && (prefix.nil? || each.prefix == prefix) }&.value
        end
      end
    end
  end
end
