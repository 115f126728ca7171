# frozen_string_literal: true

# How long it takes to look at a decision table as a whole: 6 inputs and 500 rows, of
# two kinds: one that is in good order, and one of rows made up by chance.

require_relative "../../core/lib/up_tack/core"

ROWS = 500
CHOICES = %w[Bisque Glaze Lustre Raku Salt].freeze
fields =
  [
    %w[firing choice],
    %w[family choice],
    %w[fragile yes_no],
    %w[size number],
    %w[weight number],
    %w[due date],
    %w[kiln text]
  ].map do |key, type|
    {"id" => "f_#{key}", "key" => key, "label" => key.capitalize, "type" => type}.merge(
      (type == "choice") ? {"choices" => CHOICES} : {}
    ).merge((type == "number") ? {"decimals" => 0} : {})
  end

def timed
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  result = yield
  [result, Process.clock_gettime(Process::CLOCK_MONOTONIC) - started]
end

def design(fields, rows)
  rule = {
    "id" => "r1",
    "kind" => "decision",
    "field" => "kiln",
    "inputs" => %w[firing family fragile size weight due],
    "outputs" => ["kiln"],
    "rows" => rows
  }
  UpTack::Core::Design::Project
    .from(
      "name" => "Bench",
      "last_id" => 9,
      "tables" => [{"id" => "t1", "key" => "pieces", "label" => "Pieces", "fields" => fields, "rules" => [rule]}]
    )
    .tables
    .first
end

# Every combination of two choices and a yes or no, each cut into ten sizes.
orderly =
  CHOICES
    .product(CHOICES, %w[yes no], (0..9).to_a)
    .each_with_index
    .map do |(firing, family, fragile, band), index|
      [
        firing,
        family,
        fragile,
        "#{band * 100}..<#{(band + 1) * 100}",
        (band.even? ? "" : "> 50"),
        "",
        "Kiln #{index % 7}"
      ]
    end

random = Random.new(1)
made_up =
  Array.new(ROWS) do |index|
    low, day = random.rand(0..90) * 10, random.rand(1..20)
    [
      ["", CHOICES.sample(2, random: random).join("; "), "<> #{CHOICES.sample(random: random)}"].sample(
        random: random
      ),
      ["", CHOICES.sample(random: random)].sample(random: random),
      ["", "yes", "no"].sample(random: random),
      ["", "#{low}..#{low + random.rand(50..300)}", "> #{low}"].sample(random: random),
      ["", "< #{low * 3}", ">= #{low}"].sample(random: random),
      ["", ">= 2026-11-#{day.to_s.rjust(2, "0")}"].sample(random: random),
      "Kiln #{index % 7}"
    ]
  end

{"in good order" => orderly, "made up by chance" => made_up}.each do |name, rows|
  table, built = timed { design(fields, rows) }
  report, taken = timed { Core::Decisions::CompletenessCheck.new(table.rules.first, table).report }
  puts format(
    "%s, 6 inputs, %d rows: read in %.2f s, looked at in %.2f s (%d regions): %d gaps, %d " \
      "never reached, %d contradictions%s",
    name,
    rows.length,
    built,
    taken,
    report.steps,
    report.gaps.length,
    report.unreached.length,
    report.contradictions.length,
    report.stopped ? "; stopped short" : ""
  )
end
