# frozen_string_literal: true

# Twenty readers who ask the dearest questions that they may, without a pause, while a clerk fills in pieces
# under the demo's rules: how long the clerk's drafts and saves take, what the server answered all the
# others, and how much memory it took. The server is one of its own, as bin/start runs it.

require "net/http"
require "tmpdir"
require_relative "../../web/lib/up_tack/web"
require_relative "support/server"

READERS = Integer(ENV.fetch("READERS", "20"))
PIECES = Integer(ENV.fetch("PIECES", "20000"))
SECONDS = Integer(ENV.fetch("SECONDS", "40"))
PORT = Integer(ENV.fetch("PORT", "4591"))

# A path with a filter.
FILTERED = ->(path, filter) { "/api/tables/pieces/#{path}filter=#{URI.encode_www_form_component(filter)}" }

# Questions without an answer that is known already: each asks for another number.
DEAR = [
  ->(n) do
    long = 'len(substitute(rept(piece, 2000), "u", "uu")) + find(rept("a", 9000) & "b", rept("a", 50000))'
    FILTERED.call("records?", "#{long} = #{n}")
  end,
  ->(n) do
    FILTERED.call("records?sort=maker&", "len(maker.name & piece) > #{n % 90}")
  end,
  ->(n) { "/api/tables/pieces/records?search=#{(n % 900) + 100}" },
  ->(n) { FILTERED.call("export.csv?", "clay_weight > #{n % 700}") },
  ->(_) { "/api/history?table=pieces" },
  ->(n) do
    FILTERED.call("totals?fields=clay_weight&", "len(rept(piece, 500)) > #{n}")
  end
].freeze

def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

def piece(index) =
  {
    "piece" => %w[Mug Bowl Vase Plate][index % 4],
    "maker" => 2,
    "clay_weight" => (600 + (index % 90)).to_s,
    "wet_weight" => (655 + (index % 90)).to_s
  }

# @return [Array(String, Array<String>)] the clerk's token and those of the readers
def prepare(folder)
  UpTack::Store::Database.open(File.join(folder, "up_tack.sqlite3"))
  UpTack::UseCases::Design::InstallDemo.new.call
  clerk = UpTack::Store::Person.find_by(role: "clerk")
  drafts = Array.new(PIECES) { |index| {typed: piece(index)} }
  drafts.each_slice(2_000) do |some|
    UpTack::UseCases::Bulk::Write.new(UpTack::Workspace.new(person: clerk), channel: "import").call(
      table: "pieces",
      drafts: some,
      summary: "Pieces"
    )
  end
  readers =
    Array.new(READERS) do |index|
      UpTack::UseCases::People::ChangePerson.new.add(
        {"name" => "Reader #{index}", "role" => "reader", "sign_in" => "reader-#{index}"}
      )
    end
  [clerk, *readers].map { |person| UpTack::Store::Token.make(person, name: "Siege", role: person.role, days: 1).last }
    .then { |first, *others| [first, others] }
ensure
  UpTack::Store::Database.close
end

# @return [Array(String, Float)] the status and how long it took, in seconds
def ask(token, path, body = nil)
  request =
    (body ? Net::HTTP::Post : Net::HTTP::Get).new(
      path,
      "Authorization" => "Bearer #{token}",
      "Content-Type" => "application/json"
    )
  request.body = JSON.generate(body) if body
  started = clock
  answer = Net::HTTP.start("127.0.0.1", PORT, read_timeout: 120) { |http| http.request(request) }
  [answer.code, clock - started]
end

def siege(clerk, readers, process)
  over = clock + SECONDS
  answers = Queue.new
  others = readers.each_with_index.map do |token, reader|
    Thread.new do
      (0..).each do |round|
        break if clock > over

        answers << [(kind = (reader + round) % DEAR.length), *ask(token, DEAR[kind].call((reader * 1_000) + round))]
      end
    end
  end
  drafts, saves, most, count = [], [], 0, 0
  while clock < over
    drafts << ask(clerk, "/api/tables/pieces/draft", {typed: piece(count)})
    saves << ask(clerk, "/api/tables/pieces/records", {typed: piece(count)})
    most = [most, Server.memory(process)].max
    count += 1
  end
  others.each(&:join)
  [drafts, saves, most, Array.new(answers.length) { answers.pop }]
end

def told(name, times)
  sorted = times.map { |_, taken| taken * 1000 }.sort
  puts format(
    "%s: %d, median %.0f ms, 95th percentile %.0f ms, longest %.0f ms; %s",
    name,
    sorted.length,
    sorted[sorted.length / 2],
    sorted[(sorted.length * 0.95).floor],
    sorted.last,
    times.map(&:first).tally.map { |code, count| "#{count} times #{code}" }.join(", ")
  )
end

Dir.mktmpdir do |folder|
  clerk, readers = prepare(folder)
  Server.run(folder, PORT) do |process|
    calm = Array.new(30) { |index| ask(clerk, "/api/tables/pieces/records", {typed: piece(index)}) }
    told("a clerk alone, saves", calm)
    drafts, saves, most, answers = siege(clerk, readers, process)
    told("beside #{READERS} readers, drafts", drafts)
    told("beside #{READERS} readers, saves", saves)
    answers
      .group_by(&:first)
      .sort
      .each do |kind, some|
        told(
          "  #{DEAR[kind].call(1).split("?").first.delete_prefix("/api/")} (#{kind + 1})",
          some.map { |each| each.drop(1) }
        )
      end
    puts format("memory at most %d MB; answers 500: %d", most, answers.count { |_, code, _| code == "500" })
  end
end
