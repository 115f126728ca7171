# frozen_string_literal: true

module UpTack
  module Interchange
    module Writers
      # A plain workbook of one sheet after ISO/IEC 26300, in which refused rows go back to
      # whoever brought one.
      class Ods
        NAMES = 'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" ' \
          'xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" ' \
          'xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"'
        TYPE = "application/vnd.oasis.opendocument.spreadsheet"

        def initialize(io, columns, name: "Records", **)
          @io = io
          @rows = +""
          @name = name
          self << columns
        end

        def <<(cells)
          @rows << "<table:table-row>" << cells.map { |cell| element(cell) }.join << "</table:table-row>"
          self
        end

        def finish
          content =
            %(<?xml version="1.0" encoding="UTF-8"?><office:document-content #{NAMES} office:version="1.2">) +
            %(<office:body><office:spreadsheet><table:table table:name="#{escape(@name)}">#{@rows}</table:table>) +
            %(</office:spreadsheet></office:body></office:document-content>)
          manifest =
            %(<?xml version="1.0" encoding="UTF-8"?>) +
            %(<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" ) +
            %(manifest:version="1.2"><manifest:file-entry manifest:full-path="/" manifest:media-type="#{TYPE}"/>) +
            %(<manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/>) +
            %(</manifest:manifest>)
          packed =
            Zip::OutputStream.write_buffer do |zip|
              zip.put_next_entry("mimetype", nil, nil, Zip::Entry::STORED)
              zip << TYPE
              {"content.xml" => content, "META-INF/manifest.xml" => manifest}.each do |file, text|
                zip.put_next_entry(file) && zip << text
              end
            end
          @io << packed.string
          self
        end

        private

        def element(cell)
          case cell
          when nil
            "<table:table-cell/>"
          when BigDecimal
            typed("float", "value", Core::Numbers.digits(cell))
          when Date
            typed("date", "date-value", cell.iso8601)
          when true, false
            typed("boolean", "boolean-value", cell)
          else
            text(cell.is_a?(Time) ? cell.getutc.iso8601 : Writers.harmless(cell.to_s))
          end
        end

        def typed(type, attribute, value)
          attributes = %(office:value-type="#{type}" office:#{attribute}="#{value}")
          "<table:table-cell #{attributes}><text:p>#{value}</text:p></table:table-cell>"
        end

        def text(cell)
          lines = cell.split("\n", -1).map { |line| "<text:p>#{escape(line)}</text:p>" }
          %(<table:table-cell office:value-type="string">#{lines.join}</table:table-cell>)
        end

        # Spaces at the ends of a line, and those after another, would be none (ISO/IEC 26300-3, 6.1.2).
        def escape(text) =
          text.encode(xml: :text).gsub(/\A +| +\z|(?<= ) +|\t/) do |run|
            (run == "\t") ? "<text:tab/>" : "<text:s text:c=\"#{run.length}\"/>"
          end
      end
    end
  end
end
