# frozen_string_literal: true

# Run by Store::Elsewhere: asks a database for whole numbers, and answers with eight bytes each.

require "sqlite3"
require_relative "../../core/lib/up_tack/core/expression/text"

sql = $stdin.read.force_encoding(Encoding::UTF_8)
database = SQLite3::Database.new(ARGV.first, readonly: true)
database.busy_timeout = 5_000
database.create_function("UP_TACK_FOLDED", 1, SQLite3::Constants::TextRep::UTF8 | SQLite3::Constants::TextRep::DETERMINISTIC) do |function, text|
  function.result = text.nil? ? nil : UpTack::Core::Expression::Text.folded(text.to_s)
end
# As one text: a million rows by themselves take longer to hand over than to sort.
all = database.get_first_value("SELECT group_concat(id) FROM (#{sql})").to_s
$stdout.binmode
$stdout.write(all.split(",").map!(&:to_i).pack("q<*"))
