# frozen_string_literal: true

# Run by Store::QueryProcess: asks a database a question that comes in, and answers with whole
# numbers of eight bytes each, or with rows as JSON.

require "json"
require "sqlite3"
require_relative "../../core/lib/up_tack/core/unicode"

path, shape = ARGV
sql = $stdin.read.force_encoding(Encoding::UTF_8)
database = SQLite3::Database.new(path, readonly: true)
database.busy_timeout = 5_000
database.create_function(
  "UP_TACK_FOLDED",
  1,
  SQLite3::Constants::TextRep::UTF8 | SQLite3::Constants::TextRep::DETERMINISTIC
) { |function, text| function.result = text.nil? ? nil : UpTack::Core::Unicode.folded(text.to_s) }
$stdout.binmode
if shape == "numbers"
  # As one text: a million rows by themselves take longer to hand over than to sort.
  all = database.get_first_value("SELECT group_concat(id) FROM (#{sql})").to_s
  $stdout.write(all.split(",").map!(&:to_i).pack("q<*"))
else
  $stdout.write(JSON.generate(database.execute(sql)))
end
