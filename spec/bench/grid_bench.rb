# frozen_string_literal: true

# The grid over a million records of fourteen fields: the first page, a jump to the middle,
# a sort on each column and filters, asked of the application over HTTP and answered in
# full, beside the same query in the sqlite3 shell. Then how long a page takes that is
# scrolled to, at any place of a sorted list.

require "open3"
require "rack/mock"
require_relative "support/studio"
require_relative "support/million"

COUNT = Integer(ENV.fetch("RECORDS", "1000000"))
PAGE = 60
ROUNDS = 5

def sign_in
  _session, token = UpTack::Store::Session.begin(UpTack::Store::Person.first)
  "#{UpTack::Web::Guard::Cookies::NAME}=#{Rack::Utils.escape(UpTack::Web::Guard::Cookies.seal(token))}"
end

def ask(query, cookie = @cookie)
  answer =
    Rack::MockRequest.new(UpTack::Web::Application).get(
      "/api/tables/pieces/#{query}",
      "HTTP_COOKIE" => cookie,
      "HTTP_HOST" => "localhost"
    )
  abort(answer.body) unless answer.status == 200
  answer.body
end

def best = Array.new(ROUNDS) { seconds { yield } }.min

# With the shell's own start, which takes a few milliseconds.
def shell(path, sql) = best { Open3.capture2("sqlite3", path, sql).last.success? || abort(sql) }

def report(name, path, query, sql)
  ours = Array.new(ROUNDS) do
    UpTack::Services::Selection::KNOWN.clear
    seconds { ask("records?limit=#{PAGE}&#{query}") }.tap { UpTack::Services::Selection::KNOWN.wait }
  end.min
  theirs = shell(path, sql)
  puts format("%-34s %8.1f ms  shell %8.1f ms  ratio %.2f", name, ours * 1000, theirs * 1000, ours / theirs)
end

Dir.mktmpdir do |folder|
  open_studio(folder, "grid.sqlite3")
  puts format("%d records written in %.1f s", COUNT, seconds { fill_pieces(COUNT) })
  UpTack::Store::Database.connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
  @cookie = sign_in
  path = UpTack::Store::Database.path
  columns = %w[id tag piece maker clay tare wet firing peak received collect_by made_by changed_on edits note].join(
    ", "
  )
  report("first page", path, "", "SELECT #{columns} FROM pieces ORDER BY id LIMIT #{PAGE}")
  report(
    "jump to the middle",
    path,
    "at=#{COUNT / 2}",
    "SELECT #{columns} FROM pieces ORDER BY id LIMIT #{PAGE} OFFSET #{COUNT / 2}"
  )
  FIELDS.each do |field|
    key = field["key"]
    text = %w[text choice].include?(field["type"])
    report(
      "sort by #{key}",
      path,
      "sort=#{key}",
      "SELECT #{columns} FROM pieces ORDER BY #{key} IS NULL, #{text ? "lower(#{key})" : key}, " \
        "id LIMIT #{PAGE}"
    )
  end
  report(
    "sort by three",
    path,
    "sort=-firing,piece,-wet",
    "SELECT #{columns} FROM pieces ORDER BY firing IS NULL, lower(firing) DESC, piece IS " \
      "NULL, lower(piece), wet IS NULL, wet DESC, id LIMIT #{PAGE}"
  )
  report(
    "filter by number and choice",
    path,
    "filter=#{Rack::Utils.escape('peak > 1290 and firing = "Raku"')}",
    "SELECT #{columns} FROM pieces WHERE peak > 1290 AND lower(firing) = 'raku' ORDER BY id " \
      "LIMIT #{PAGE}"
  )
  report(
    "filter by a part of a text, sorted",
    path,
    "filter=#{Rack::Utils.escape('piece contains "999"')}&sort=-wet",
    "SELECT #{columns} FROM pieces WHERE instr(lower(piece), '999') > 0 ORDER BY wet IS NULL, " \
      "wet DESC, id LIMIT #{PAGE}"
  )
  totals = best { ask("totals?filter=#{Rack::Utils.escape('firing = "Raku"')}&fields=wet,received") }
  count =
    shell(path, "SELECT count(*), sum(wet), min(received), max(received) FROM pieces WHERE lower(firing) = 'raku'")
  puts format(
    "%-34s %8.1f ms  shell %8.1f ms  ratio %.2f",
    "totals of a filter",
    totals * 1000,
    count * 1000,
    totals / count
  )
  UpTack::Services::Selection::KNOWN.clear
  ask("records?limit=#{PAGE}&sort=piece")
  near = seconds { ask("records?limit=#{PAGE}&sort=piece&at=1000") }
  first = seconds { ask("records?limit=#{PAGE}&sort=piece&at=#{COUNT / 2}") }
  places = Array.new(60) { |index| (index * 16_661 * 7) % (COUNT - PAGE) }
  pages = places.map { |place| seconds { ask("records?limit=#{PAGE}&sort=piece&at=#{place}") } * 1000 }.sort
  puts format("scrolling a sorted list: right after the sort a page nearby %.0f ms, one far below %.0f " \
    "ms; then median %.1f ms, longest %.1f ms", near * 1000, first * 1000, pages[pages.length / 2], pages.last)
end
