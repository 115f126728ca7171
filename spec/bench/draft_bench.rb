# frozen_string_literal: true

# How long a live form of 40 fields, 60 rules and a decision table of 200 rows waits
# for the answer to a draft: from the request's arrival in the Rack application to
# the end of the response's body. Each round asks as somebody who is signed in.

require "json"
require "rack/mock"
require "tmpdir"
require_relative "../../web/lib/up_tack/web"

FIELDS = 40
TABLE_ROWS = 200
ROUNDS = 600
WARM_UP = 100

types = %w[text number date choice yes_no]
fields =
  (1..FIELDS).map do |index|
    type = types[index % types.length]
    {"id" => "f#{index}", "key" => "f#{index}", "label" => "Field #{index}", "type" => type}.merge(
      (type == "choice") ? {"choices" => %w[Bisque Glaze Lustre Raku]} : {}
    )
  end
by_type = fields.group_by { |field| field["type"] }.transform_values { |group| group.map { |field| field["key"] } }
numbers, dates = by_type.values_at("number", "date")
rules =
  dates.each_cons(2).map { |first, second| {"kind" => "default", "field" => second, "formula" => "#{first} + 14"} }
rules << {"kind" => "default", "field" => dates.first, "formula" => "today()"}
rules +=
  by_type["text"].map do |key|
    {"kind" => "default", "field" => key, "formula" => "upper(left(user.name, 3)) & \"-\" & \"#{key}\""}
  end
rules +=
  numbers
    .each_cons(3)
    .map { |a, b, c| {"kind" => "check", "field" => c, "formula" => "#{a} + #{b} <= #{c} * 10 or #{a} is blank"} }
rules += numbers.map { |key| {"kind" => "check", "field" => key, "formula" => "#{key} between 0 and 100000"} }
rules += by_type["choice"].map { |key| {"kind" => "required", "field" => key} }
rules += by_type["text"].map { |key| {"kind" => "length", "field" => key, "most" => 200} }
texts, choices, flags = by_type.values_at("text", "choice", "yes_no")
rules +=
  flags.each_with_index.map do |flag, index|
    {
      "kind" => "state",
      "field" => numbers[index],
      "state" => "required",
      "when" => "#{flag} and #{choices[index]} = \"Raku\""
    }
  end
rules +=
  flags
    .each_cons(2)
    .map do |one, other|
      {
        "kind" => "fill",
        "field" => other,
        "event" => "changed",
        "watch" => [one],
        "when" => "#{choices.first} <> \"Raku\"",
        "sets" => [{"field" => other, "to" => "not #{one}"}]
      }
    end
rules << {
  "kind" => "decision",
  "field" => texts[5],
  "name" => "Programme",
  "inputs" => [choices[0], choices[1], numbers[0]],
  "outputs" => [texts[5], texts[6]],
  "rows" =>
    Array.new(TABLE_ROWS) do |row|
      [
        %w[Bisque Glaze Lustre Raku][row % 4],
        ["", "Bisque; Glaze", "<> Raku"][row % 3],
        "#{row * 50}..<#{(row + 1) * 50}",
        "Row #{row}",
        "T#{row}"
      ]
    end
}
rules.each_with_index { |rule, index| rule["id"] = "r#{index + 1}" }
design = {
  "name" => "Bench",
  "last_id" => 1_000,
  "tables" => [{"id" => "t1", "key" => "wide", "label" => "Wide", "fields" => fields, "rules" => rules}]
}

Dir.mktmpdir do |folder|
  UpTack::Store::Database.open(File.join(folder, "bench.sqlite3"))
  UpTack::Services::StartProject.new.call(design: design,
    people: [{"name" => "Odile Marsh", "role" => "builder"}])
  request = Rack::MockRequest.new(UpTack::Web::Application)
  _session, token = UpTack::Store::Session.begin(UpTack::Store::Person.first)
  cookie = "#{UpTack::Web::Guard::Cookies::NAME}=#{Rack::Utils.escape(UpTack::Web::Guard::Cookies.seal(token))}"
  random = Random.new(1)
  times =
    Array
      .new(WARM_UP + ROUNDS) do
        typed =
          fields
            .sample(20, random: random)
            .to_h do |field|
              value = {
                "number" => random.rand(1..9_999).to_s,
                "date" => "#{random.rand(1..28)} nov 2026",
                "choice" => "glaze",
                "yes_no" => "yes"
              }.fetch(field["type"], "Some text as it is typed")
              [field["key"], value]
            end
        body = JSON.generate(typed: typed, form: "all")
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        response =
          request.post(
            "/api/tables/wide/draft",
            :input => body,
            "CONTENT_TYPE" => "application/json",
            "HTTP_HOST" => "localhost",
            "HTTP_COOKIE" => cookie,
            "HTTP_X_WRITE_KEY" => UpTack::Web::Guard::Cookies.write_key(token)
          )
        taken = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
        abort response.body unless response.status == 200
        taken * 1000
      end
      .drop(WARM_UP)
      .sort
  puts format(
    "draft, %d fields, %d rules, %d requests: median %.1f ms, 95th percentile %.1f ms",
    FIELDS,
    rules.length,
    ROUNDS,
    times[ROUNDS / 2],
    times[(ROUNDS * 0.95).floor]
  )
  UpTack::Store::Database.close
end
