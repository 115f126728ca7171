# frozen_string_literal: true

# How many times a second one compiled formula of middling size is worked out,
# beside the dentaku gem on the same formula and beside a lambda written by hand.

require "benchmark/ips"
require "dentaku"
require_relative "../../core/lib/up_tack/core"

CORE = UpTack::Core
FORMULA =
  'if firing = "Raku" and peak > 1000 then round((clay_weight + tare) * 1.05, 1) else ' \
    "round((wet_weight - fired_weight) / wet_weight * 100, 1) + shelves * 2"
DENTAKU =
  'IF(firing = "raku" AND peak > 1000, ROUND((clay_weight + tare) * 1.05, 1), ' \
    "ROUND((wet_weight - fired_weight) / wet_weight * 100, 1) + shelves * 2)"
VALUES = {
  "firing" => "Glaze",
  "peak" => BigDecimal("1222"),
  "clay_weight" => BigDecimal("640.5"),
  "tare" => BigDecimal("55"),
  "wet_weight" => BigDecimal("695.5"),
  "fired_weight" => BigDecimal("601.25"),
  "shelves" => BigDecimal("3")
}.freeze
LIMIT = BigDecimal("1000")
FACTOR = BigDecimal("1.05")
HUNDRED = BigDecimal("100")
TWO = BigDecimal("2")
BY_HAND =
  lambda do |values|
    if values["firing"].downcase == "raku" && values["peak"] > LIMIT
      ((values["clay_weight"] + values["tare"]) * FACTOR).round(1, BigDecimal::ROUND_HALF_UP)
    else
      ((values["wet_weight"] - values["fired_weight"]) / values["wet_weight"] * HUNDRED).round(
        1,
        BigDecimal::ROUND_HALF_UP
      ) + values["shelves"] * TWO
    end
  end

compiled = CORE::Expression.compile(FORMULA, CORE::Expression::Scope.of_values(VALUES))
context =
  CORE::Context.new(
    clock: CORE::Ports::StoppedClock.new(now: Time.utc(2026, 11, 23), today: Date.new(2026, 11, 23)),
    person: nil
  )
ours = -> { compiled.call(CORE::Expression::Evaluation.new(values: VALUES, context: context)) }
calculator = Dentaku::Calculator.new
theirs = -> { calculator.evaluate!(DENTAKU, VALUES) }
calculator.evaluate!(DENTAKU, VALUES)
Dentaku.enable_ast_cache!
results =
  [ours.call, theirs.call, BY_HAND.call(VALUES)].map do |value|
    CORE::Numbers.digits(CORE::Numbers.normalize(BigDecimal(value.to_s)))
  end
abort "The three do not agree: #{results.inspect}" unless results.uniq.one?

report =
  Benchmark.ips(quiet: true) do |bench|
    bench.config(time: 3, warmup: 1)
    bench.report("compiled") { ours.call }
    bench.report("dentaku") { theirs.call }
    bench.report("by hand") { BY_HAND.call(VALUES) }
  end
a_second = report.entries.to_h { |entry| [entry.label, entry.ips] }
puts format(
  "compiled formula: %d a second, %.1f times dentaku (%d a second), %.2f times slower than " \
    "by hand (%d a second)",
  a_second["compiled"],
  a_second["compiled"] / a_second["dentaku"],
  a_second["dentaku"],
  a_second["by hand"] / a_second["compiled"],
  a_second["by hand"]
)
