# frozen_string_literal: true

# Run by Interchange::Readers::Apart: opens a workbook and answers, line by line of what comes in, with its
# head, its size or its rows. Ends with its input.

require_relative "../../app/lib/up_tack/app"

path, name, options = ARGV
$stdout.binmode
say = lambda do |kind, told|
  bytes = Marshal.dump([kind, told])
  $stdout.write([bytes.bytesize].pack("N"), bytes)
end

begin
  book =
    UpTack::Interchange::Readers::Workbook.new(
      path,
      name,
      UpTack::Interchange::Readers::Workbook.format(path, name),
      JSON.parse(options)
    )
  $stdin.each_line(chomp: true) do |what|
    case what
    when "head"
      say.call(
        "told",
        {
          "format" => book.format,
          "columns" => book.columns,
          "notes" => book.notes,
          "sheets" => book.sheets,
          "sheet" => book.sheet,
          "heading" => book.heading
        }
      )
    when "size"
      say.call("told", book.size)
    when "rows"
      book.each_row { |row, place| say.call("told", [row.number, row.cells, row.problem, place]) }
      say.call("told", [nil])
    end
    $stdout.flush
  end
rescue UpTack::Interchange::Unreadable => e
  say.call("unreadable", e.message)
rescue NoMemoryError
  exit!(2)
rescue Errno::EPIPE, SignalException
  exit(1)
end
