# frozen_string_literal: true

require "zip"

# Writes one table as XLSX and as ODS, each after its standard and with nothing of the product's own writers.
# Cells are nil or one of
#
#   [:text, "…"], [:rich, ["…", "…"]], [:number, "1E+20"], [:days, "5"], [:percent, "0.05"], [:date, Date],
#   [:moment, Time], [:clock, seconds], [:elapsed, seconds], [:yes, true], [:error, "#N/A"]
#
# and those in `merged` as [first row, last row, first column, last column], from 1 and from 0.
module Twins
  FORMATS = {
    date: "yyyy\\-mm\\-dd", moment: "yyyy\\-mm\\-dd\\ hh:mm:ss", clock: "hh:mm:ss", elapsed: "[h]:mm:ss",
    percent: "0.00%", days: "0\" days\""
  }.freeze
  FIRST = Date.new(1899, 12, 30)

  module_function

  # @return [Array<Object>] what a reader has to give for the cells
  def shown(cell)
    kind, value = cell
    case kind
    when nil then nil
    when :text, :error then value.empty? ? nil : value
    when :rich then value.join
    when :number, :days, :percent then BigDecimal(value)
    when :moment then (value.hour + value.min + value.sec).zero? ? value.to_date : value
    when :clock, :elapsed then clock(value)
    else value
    end
  end

  def clock(seconds)
    text = format("%02d:%02d", seconds / 3600, seconds / 60 % 60)
    (seconds % 60).zero? ? text : "#{text}:#{format("%02d", seconds % 60)}"
  end

  def pack(path, files)
    FileUtils.rm_f(path)
    Zip::OutputStream.open(path) { |zip| files.each { |name, text| zip.put_next_entry(name) && zip << text } }
    path
  end

  def xlsx(path, rows, merged: [])
    strings = []
    body =
      rows.each_with_index.map do |cells, row|
        all = cells.each_with_index.map { |cell, column| xlsx_cell(cell, "#{letters(column)}#{row + 1}", strings) }
        cells.compact.all?(&:empty?) ? "" : "<row r=\"#{row + 1}\">#{all.join}</row>"
      end
    areas = merged.map { |a, b, c, d| "<mergeCell ref=\"#{letters(c)}#{a}:#{letters(d)}#{b}\"/>" }
    areas = areas.empty? ? "" : "<mergeCells count=\"#{areas.length}\">#{areas.join}</mergeCells>"
    formats = FORMATS.values.each_with_index.map { |code, index|
      "<numFmt numFmtId=\"#{170 + index}\" formatCode=\"#{escape(code)}\"/>"
    }
    styles = FORMATS.each_with_index.map { |_, index| "<xf numFmtId=\"#{170 + index}\" applyNumberFormat=\"1\"/>" }
    main = "xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\""
    relation = "http://schemas.openxmlformats.org/officeDocument/2006/relationships"
    pack(
      path,
      "[Content_Types].xml" => "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"/>",
      "xl/workbook.xml" => "<workbook #{main} xmlns:r=\"#{relation}\"><sheets>" \
        "<sheet name=\"One\" sheetId=\"1\" r:id=\"rId1\"/></sheets></workbook>",
      "xl/_rels/workbook.xml.rels" =>
        "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">" \
        "<Relationship Id=\"rId1\" Type=\"#{relation}/worksheet\" Target=\"worksheets/sheet1.xml\"/>" \
        "<Relationship Id=\"rId2\" Type=\"#{relation}/styles\" Target=\"styles.xml\"/>" \
        "<Relationship Id=\"rId3\" Type=\"#{relation}/sharedStrings\" Target=\"sharedStrings.xml\"/></Relationships>",
      "xl/worksheets/sheet1.xml" => "<worksheet #{main}><sheetData>#{body.join}</sheetData>#{areas}</worksheet>",
      "xl/styles.xml" => "<styleSheet #{main}><numFmts>#{formats.join}</numFmts>" \
        "<cellXfs><xf numFmtId=\"0\"/>#{styles.join}</cellXfs></styleSheet>",
      "xl/sharedStrings.xml" => "<sst #{main}>#{strings.join}</sst>"
    )
  end

  def xlsx_cell(cell, place, strings)
    kind, value = cell
    numeric = ->(number) { "<c r=\"#{place}\" s=\"#{(FORMATS.keys.index(kind) || -1) + 1}\"><v>#{number}</v></c>" }
    case kind
    when nil then ""
    when :text
      strings << "<si><t xml:space=\"preserve\">#{escape(value)}</t></si>"
      "<c r=\"#{place}\" t=\"s\"><v>#{strings.length - 1}</v></c>"
    when :rich
      runs = value.map { |run| "<r><rPr><b/></rPr><t xml:space=\"preserve\">#{escape(run)}</t></r>" }
      strings << "<si>#{runs.join}</si>"
      "<c r=\"#{place}\" t=\"s\"><v>#{strings.length - 1}</v></c>"
    when :yes then "<c r=\"#{place}\" t=\"b\"><v>#{value ? 1 : 0}</v></c>"
    when :error then "<c r=\"#{place}\" t=\"e\"><v>#{value}</v></c>"
    when :date then numeric[(value - FIRST).to_i]
    when :moment
      numeric[(value.to_date - FIRST).to_i + (((value.hour * 3600) + (value.min * 60) + value.sec) / 86_400.0)]
    when :clock, :elapsed then numeric[value / 86_400.0]
    else numeric[value]
    end
  end

  def ods(path, rows, merged: [])
    body =
      rows.each_with_index.map do |cells, row|
        all = cells.each_with_index.map do |cell, column|
          area = merged.find { |a, b, c, d| row.between?(a - 1, b - 1) && column.between?(c, d) }
          ods_cell(cell, area, area && area[0] == row + 1 && area[2] == column)
        end
        "<table:table-row>\n  #{all.join("\n  ")}\n</table:table-row>"
      end
    names = %w[office table text].map { |name| "xmlns:#{name}=\"urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0\"" }
    names << "xmlns:calcext=\"urn:org:documentfoundation:names:experimental:calc:xmlns:calcext:1.0\""
    content = "<office:document-content #{names.join(" ")} office:version=\"1.3\"><office:body><office:spreadsheet>" \
      "<table:table table:name=\"One\">#{body.join}</table:table>" \
      "</office:spreadsheet></office:body></office:document-content>"
    pack(path, "mimetype" => "application/vnd.oasis.opendocument.spreadsheet", "content.xml" => content)
  end

  def ods_cell(cell, area, first)
    return "<table:covered-table-cell/>" if area && !first

    wide, high = area ? [area[3] - area[2] + 1, area[1] - area[0] + 1] : []
    span = area ? " table:number-columns-spanned=\"#{wide}\" table:number-rows-spanned=\"#{high}\"" : ""
    kind, value = cell
    typed = ->(type, name, told, text = told, more = "") do
      "<table:table-cell office:value-type=\"#{type}\" office:#{name}=\"#{told}\"#{more}#{span}>" \
        "<text:p>#{text}</text:p></table:table-cell>"
    end
    case kind
    when nil then "<table:table-cell#{span}/>"
    when :text, :rich
      runs = (kind == :rich) ? value.map { |run| "<text:span>#{spaced(run)}</text:span>" }.join : spaced(value)
      paragraphs = runs.split("\n", -1).map { |line| "<text:p>#{line}</text:p>" }
      "<table:table-cell office:value-type=\"string\"#{span}>#{paragraphs.join}</table:table-cell>"
    when :yes then typed["boolean", "boolean-value", value, value ? "TRUE" : "FALSE"]
    when :error then typed["string", "string-value", "", value, " calcext:value-type=\"error\""]
    when :date then typed["date", "date-value", value.iso8601, "any"]
    when :moment then typed["date", "date-value", value.strftime("%Y-%m-%dT%H:%M:%S"), "any"]
    when :clock, :elapsed
      typed["time", "time-value", format("PT%02dH%02dM%02dS", value / 3600, value / 60 % 60, value % 60), "any"]
    when :percent then typed["percentage", "value", value, "any"]
    else typed["float", "value", value, "any"]
    end
  end

  def spaced(text) =
    escape(text).gsub(/^ +| +$|(?<= ) +|\t/) do |run|
      (run == "\t") ? "<text:tab/>" : "<text:s text:c=\"#{run.length}\"/>"
    end

  def letters(column) = (column < 26) ? ("A".ord + column).chr : letters((column / 26) - 1) + letters(column % 26)
  def escape(text) = text.encode(xml: :text).gsub("\"", "&quot;")
end
