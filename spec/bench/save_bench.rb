# frozen_string_literal: true

# A save through all stages with twelve rules and the log, beside a hand-written
# Active Record model with the same validations, callbacks and a paper_trail log,
# both on SQLite files with the same settings, in one run; the same records saved
# as one batch; eight writers on one series; and how long the history of a table
# with a million entries takes to open.

require "rack/mock"
require_relative "support/studio"

ROUNDS = Integer(ENV.fetch("ROUNDS", "1500"))
WARM_UP = 300
def each_save(count)
  save = UpTack::UseCases::Records::SaveRecord.new(workspace)
  count.times { |index| save.call(table: "pieces", typed: piece(index)).state == :saved || abort("refused") }
end

def compare(folder)
  ByHand.open(folder)
  each_save(WARM_UP)
  WARM_UP.times { |index| ByHand::Piece.create!(piece(index)) }
  # By turns, so that a slow moment of the machine falls on all.
  ours = theirs = batch = 0.0
  10.times do
    ours += seconds { each_save(ROUNDS / 10) }
    theirs += seconds { (ROUNDS / 10).times { |index| ByHand::Piece.create!(piece(index)) } }
    batch +=
      seconds do
        UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(
          table: "pieces",
          drafts: Array.new(ROUNDS) { |index| {typed: piece(index)} },
          summary: "Batch"
        )
      end / 10
  end
  single, hand, many = [ours, theirs, batch].map { |time| time * 1000 / ROUNDS }
  puts format("save, %d rules and the log, %d rounds: %.2f ms each; Active Record with paper_trail %.2f " \
    "ms; ratio %.2f", RULES.length, ROUNDS, single, hand, single / hand)
  puts format("the same in one batch: %.3f ms each; ratio %.3f", many, many / hand)
end

def parallel
  before = UpTack::Store::RecordTable.new(workspace.table("pieces")).count
  taken = seconds { Array.new(8) { Thread.new { each_save(50) } }.each(&:join) }
  tags = UpTack::Store::Database.connection.select_values("SELECT tag FROM pieces ORDER BY id")
  numbers = tags.map { |tag| tag.delete_prefix("PC-").to_i }
  puts format(
    "8 writers, 400 saves: %.1f s; lost %d, repeated %d, gaps %d",
    taken,
    before + 400 - tags.length,
    tags.length - tags.uniq.length,
    numbers.max - numbers.uniq.length
  )
end

MILLION = 1_000_000

# Entries written straight, as the log would have them after a million saves by
# three people over four years; their seals do not matter here.
def fill_log
  UpTack::Store::Database.connection.execute(<<~SQL)
    WITH RECURSIVE counting(n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM counting WHERE n < #{MILLION})
    INSERT INTO up_tack_entries (id, made_at, person_id, person_name, way, action, table_id, record_id, record_title,
      revision_id, differences, seal)
    SELECT (SELECT MAX(id) FROM up_tack_entries) + n, datetime('2022-11-24', '+' || (n * 126) || ' seconds'),
      1 + n % 3, 'Odile Marsh', 'form', 'update', 't1', 1 + n % 5000, 'PC-' || n, 1,
      '[["f2","Piece","text","Mug","Bowl",null],["f6","Wet","number","600","610",null]]', 'x' FROM counting
  SQL
  UpTack::Store::Database.connection.execute(
    "INSERT OR IGNORE INTO up_tack_changed (field_id, entry_id) SELECT 'f2', id FROM " \
      "up_tack_entries UNION ALL SELECT 'f6', id FROM up_tack_entries"
  )
end

# How long requests take that open the history, the best and the median of some.
def history
  fill_log
  _session, token = UpTack::Store::Session.begin(UpTack::Store::Person.first)
  cookie = "#{UpTack::Web::Guard::Cookies::NAME}=#{Rack::Utils.escape(UpTack::Web::Guard::Cookies.seal(token))}"
  request = Rack::MockRequest.new(UpTack::Web::Application)
  {
    "the table" => "",
    "one record" => "&record=17",
    "one field" => "&field=piece",
    "one person" => "&person=2",
    "a month" => "&from=2025-03-01&to=2025-03-31",
    "its picture" => nil
  }.each do |name, query|
    path = query ? "/api/history?table=pieces#{query}" : "/api/history/counts?table=pieces"
    times =
      Array
        .new(7) do
          seconds do
            request
              .get(path, "HTTP_COOKIE" => cookie, "HTTP_HOST" => "localhost")
              .then { |answer| abort answer.body unless answer.status == 200 }
          end * 1000
        end
        .drop(1)
        .sort
    puts format("history of a million entries, %s: %.0f ms (median of 6)", name, times[3])
  end
end

Dir.mktmpdir do |folder|
  open_studio(folder)
  compare(folder)
  parallel
  history
  UpTack::Store::Database.close
end
