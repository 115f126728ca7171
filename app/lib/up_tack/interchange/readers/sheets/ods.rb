# frozen_string_literal: true

require "nokogiri"
require "zip"

module UpTack
  module Interchange
    module Readers
      module Sheets
        # Sheets of an ODS (ISO/IEC 26300), read as a stream.
        class Ods
          # @param path [String]
          def initialize(path)
            @zip = Zip::File.open(path)
          end

          # @return [Array<String>]
          def names
            @names ||= [].tap { |all| walk(OdsRows.new { |sheet, number, _| all << sheet if number.zero? }) }
          end

          # @param sheet [String]
          # @yield [Integer, Array<Object>] number of a row and its cells; rows without any are left out
          def each_row(sheet)
            found = false
            catch(:over) do
              walk(
                OdsRows.new do |name, number, cells|
                  throw :over if found && name != sheet
                  found ||= name == sheet
                  yield number, cells if found && number.positive?
                end
              )
            end
          end

          # @return [Integer] number of its last row
          def count(sheet)
            last = 0
            each_row(sheet) { |number, _| last = number }
            last
          end

          # @return [Boolean] whether cells are shown as one
          def merged?(sheet) = OdsRows.new { nil }.tap { |rows| walk(rows) }.merged.include?(sheet)

          def close = @zip.close

          private

          def walk(rows)
            Nokogiri::XML::SAX::Parser.new(rows).parse(@zip.find_entry("content.xml").get_input_stream)
          end
        end
      end
    end
  end
end
