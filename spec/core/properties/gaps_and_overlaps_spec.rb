# frozen_string_literal: true

require "core_helper"

# Gaps, overlaps and rules that never act, held against brute force: every record that there can be
# is tried. Fields have few values each, in their own steps: whole numbers, tenths, days, choices.
RSpec.describe "Gaps and overlaps" do
  count = ->(wrong) {
    "#{wrong.count { |kind, *| kind.end_with?("false") }} told " \
      "falsely, #{wrong.count { |kind, *| !kind.end_with?("false") }} missed"
  }
  days = (Date.new(2026, 12, 29)..Date.new(2027, 1, 2)).to_a
  domains = {
    "n" => (0..4).map { |value| BigDecimal(value) },
    "m" => (0..3).map { |value| BigDecimal(value) },
    "f" => (0..5).map { |tenth| BigDecimal(tenth) / 10 },
    "d" => days,
    "c" => %w[Red Green Blue],
    "b" => [true, false]
  }

  define_method(:fields) do
    [
      field("n", "number", decimals: 0),
      field("m", "number", decimals: 0),
      field("f", "number", decimals: 1),
      field("d", "date"),
      field("c", "choice", choices: %w[Red Green Blue]),
      field("b", "yes_no"),
      field("out"),
      field("twice", "number")
    ]
  end

  define_method(:limits) do
    [
      rule("limits", "n", low: "0", high: "4"),
      rule("limits", "m", low: "0", high: "3"),
      rule("limits", "f", low: "0", high: "0.5"),
      rule("limits", "d", low: 'date("2026-12-29")', high: 'date("2027-01-02")'),
      rule("calculation", "twice", formula: "n * 2")
    ]
  end

  atoms =
    lambda do |random, keys|
      pick = ->(list) { list.sample(random: random) }
      sign = -> { pick.call(%w[= <> < <= > >=]) }
      whole = -> { random.rand(-1..5) }
      day = -> { "date(\"#{pick.call(days).iso8601}\")" }
      kinds = {
        "n" => [
          -> { "n #{sign.call} #{whole.call}" },
          -> { "n + 1 #{sign.call} #{whole.call}" },
          -> { "n between #{whole.call} and #{random.rand(2..5)}" },
          -> { "n in (#{whole.call}, #{whole.call})" },
          -> { "mod(n, 2) = 0" },
          -> { "twice #{sign.call} #{whole.call}" }
        ],
        "m" => [
          -> { "m #{sign.call} #{whole.call}" },
          -> { "n - m #{sign.call} #{random.rand(-3..3)}" },
          -> { "n #{sign.call} m" },
          -> { "abs(m - 2) #{sign.call} #{whole.call}" }
        ],
        "f" => [
          -> { "f #{sign.call} 0.#{random.rand(0..5)}" },
          -> { "f * 10 #{sign.call} #{whole.call}" },
          -> { "round(f) = 0" }
        ],
        "d" => [
          -> { "d #{sign.call} #{day.call}" },
          -> { "year(d) #{sign.call} #{random.rand(2026..2027)}" },
          -> { "month(d) = #{pick.call([1, 12])}" },
          -> { "d + 1 #{sign.call} #{day.call}" },
          -> { "weekday(d, 2) #{sign.call} #{random.rand(1..7)}" }
        ],
        "c" => [
          -> { "c #{pick.call(%w[= <>])} \"#{pick.call(%w[Red green Blue])}\"" },
          -> { "c in (\"Red\", \"Blue\")" },
          -> { "upper(c) = \"RED\"" }
        ],
        "b" => [-> { "b" }, -> { "b = no" }]
      }
      key = pick.call(keys)
      pick.call([*kinds.fetch(key), *kinds.fetch(key), -> { "#{key} is #{pick.call(["", "not "])}blank" }]).call
    end

  condition =
    lambda do |random, keys|
      parts = Array.new(random.rand(1..3)) { "#{"not " if random.rand < 0.2}(#{atoms.call(random, keys)})" }
      parts.reduce { |left, right| "(#{left} #{%w[and or].sample(random: random)} #{right})" }
    end

  # @return [Array<Array(Hash, Array<Integer>)>] every record with the indices of the rules that speak there
  define_method(:brute) do |table, conditions, required|
    lists = domains.to_h { |key, values| [key, required.include?(key) ? values : [*values, nil]] }
    formulas = conditions.map { |text| Core::Expression.compile(text, table.scope) }
    named = formulas.flat_map(&:reads).flat_map { |key| (key == "twice") ? ["n"] : [key] }.uniq
    wanted = lists.slice(*named)
    return [[{}, []]] if wanted.empty?

    wanted.values.first.product(*wanted.values.drop(1)).map do |values|
      record = wanted.keys.zip(values).to_h
      evaluation = Core::Expression::Evaluation.new(values: record, context: context)
      [record, formulas.each_index.select { |index| formulas[index].call(evaluation) == true }]
    end
  end

  it "are those that there are, none more and none less" do
    random = Random.new(RSpec.configuration.seed)
    wrong = []
    Thorough.rounds(600).times do
      keys = domains.keys.sample(random.rand(1..2), random: random)
      keys |= ["n"] if keys.include?("m")
      required = keys.select { random.rand < 0.5 }
      conditions = Array.new(random.rand(2..4)) { condition.call(random, keys) }
      rules =
        conditions.each_with_index.map do |text, index|
          rule(
            "fill",
            "out",
            event: "changed",
            watch: keys,
            when: text,
            sets: [{"field" => "out", "to" => "\"#{index}\""}]
          )
        end
      design = table(*fields, rules: [*limits, *required.map { |key| rule("required", key) }, *rules])
      fills = design.rules.select { |each| each.kind == "fill" }
      all = brute(design, conditions, required)
      found =
        Core::Conditions::OverlapAnalysis.new(
          design,
          fills.map do |each|
            Core::Conditions::OverlapAnalysis::Clause.new(each, Core::Expression.parse(each.attributes["when"]))
          end
        )

      speaking = ->(values) { all.find { |record, _| record == values }&.last }
      shown = ->(example) do
        all.first.first.keys.to_h do |key|
          [key, example.values[key].nil? ? nil : design.field(key).values.load(example.values[key])]
        end
      end
      gaps = found.gaps
      wrong << [:gap_missed, conditions, required] if gaps.empty? && all.any? { |_, rules_there| rules_there.empty? }
      gaps.each do |example|
        unless speaking.call(shown.call(example)) == []
          wrong << [:gap_false, conditions, required, example.values, example.words]
        end
      end

      pairs = ->(list) { list.flat_map { |group| group.sort.combination(2).to_a }.uniq.sort }
      told = found.overlaps
      told.each do |example|
        unless speaking.call(shown.call(example)) == example.speaking.map { |each| fills.index(each) }
          wrong << [:overlap_false, conditions, example.values]
        end
      end
      missed =
        pairs.call(all.map(&:last)) -
        pairs.call(told.map { |example| example.speaking.map { |each| fills.index(each) } })
      wrong << [:overlap_missed, conditions, required, missed] if missed.any?

      never = fills.each_index.reject { |index| all.any? { |_, there| there.include?(index) } }
      silent = found.silent.map { |each| fills.index(each) }
      wrong << [:never_false, conditions, silent - never] if (silent - never).any?
      open = conditions.each_index.select { |index| conditions[index].include?("upper") }
      wrong << [:never_missed, conditions, never - silent] if (never - silent - open).any?
    end
    puts "\n1400 sets of conditions against brute force: #{count.call(wrong)}"
    expect(wrong.first(5)).to eq([]), "#{wrong.length} wrong, such as #{wrong.first(3).map(&:inspect).join("\n")}"
  end

  it "are told in words that hold of every record that they speak of" do
    design =
      table(
        *fields,
        rules: [
          *limits,
          rule("required", "n"),
          rule("required", "m"),
          *["n < 2", "n > 2"].map do |text|
            rule(
              "fill",
              "out",
              event: "changed",
              watch: ["n"],
              when: text,
              sets: [{"field" => "out", "to" => "\"x\""}]
            )
          end
        ]
      )
    expect(design.neighbours.notices(design).all.map(&:message)).to eq(["No rule sets Out where N is 2."])
    design =
      table(
        *fields,
        rules: [
          *limits,
          rule("required", "n"),
          *["n <= 2", "n >= 3"].map do |text|
            rule(
              "fill",
              "out",
              event: "changed",
              watch: ["n"],
              when: text,
              sets: [{"field" => "out", "to" => "\"x\""}]
            )
          end
        ]
      )
    expect(design.neighbours.notices(design).all).to eq([])
  end

  # Fields without limits, of which not every value can be tried.
  {
    ["n < 2", "n > 2"] => ["N is 2"],
    ["n + 1 < 3", "n >= 2"] => [],
    ["n * 3 <= 10", "n > 3"] => [],
    ["n - m < 0", "n > m"] => ["N − M is 0"],
    ["year(d) <= 2026", "d > date(\"2027-01-01\")"] => ["Year"],
    ["f < 0.35", "f >= 0.4"] => [],
    ["n * n < 49", "abs(n) > 7"] => ["N × N is 49"],
    ["month(d) <= 6", "month(d) > 7"] => ["Month"]
  }.each do |conditions, told|
    it "are found without limits too: #{conditions.join(" beside ")}" do
      rules =
        conditions.map do |text|
          rule(
            "fill",
            "out",
            event: "changed",
            watch: %w[n m f d],
            when: text,
            sets: [{"field" => "out", "to" => "\"x\""}]
          )
        end
      design =
        table(
          *fields,
          rules: [
            *%w[n m f d].map { |key| rule("required", key) },
            rule("calculation", "twice", formula: "n * 2"),
            *rules
          ]
        )
      found = design.neighbours.notices(design).all.select { |notice| notice.code == "gap" }.map(&:message)
      expect(found.length).to eq(told.length), found.inspect
      told.each { |words| expect(found.join.downcase).to include(words.downcase) }
    end
  end

  # A cell of a decision table for an input, over the values that it can have.
  cell =
    lambda do |random, input|
      number = -> { random.rand(-1..5) }
      kinds = {
        "c" => ["", "Red", "Green; Blue", "<> Blue", "blank"],
        "b" => ["", "yes", "no"],
        "n" => ["", number.call.to_s, "> #{number.call}", "<= #{number.call}", "1..3", "2..<4", "blank; 2"],
        "n + 1" => ["", number.call.to_s, ">= #{number.call}"],
        "n - m" => ["", "0", "< #{number.call}", "> 0"],
        "m" => ["", number.call.to_s, "<= 1"],
        "year(d)" => ["", "2026", "> 2026"],
        "d" => ["", "2026-12-31", "< 2027-01-01"],
        "f" => ["", "0.3", "> 0.1"],
        "twice" => ["", "4", "> 5"]
      }
      kinds.fetch(input).sample(random: random)
    end

  it "of decision tables are those that there are, and rows contradict each other only where they decide" do
    random = Random.new(RSpec.configuration.seed)
    sources = {"n + 1" => %w[n], "n - m" => %w[n m], "year(d)" => %w[d], "twice" => %w[n]}
    wrong = []
    Thorough.rounds(400).times do
      inputs = ["c", "b", "n", "n + 1", "n - m", "m", "year(d)", "d", "f", "twice"].sample(
        random.rand(1..3),
        random: random
      )
      keys = inputs.flat_map { |input| sources.fetch(input, [input]) }.uniq
      required = keys.select { random.rand < 0.6 }
      rows =
        Array.new(random.rand(1..5)) { [*inputs.map { |input| cell.call(random, input) }, random.rand(0..2).to_s] }
      design =
        table(
          *fields,
          rules: [
            *limits,
            *required.map { |key| rule("required", key) },
            rule("decision", "out", name: "Table", inputs: inputs, outputs: ["out"], rows: rows)
          ]
        )
      decision = design.rules.last
      compiled = decision.compile(design)
      lists = keys.to_h { |key| [key, required.include?(key) ? domains[key] : [*domains[key], nil]] }
      all =
        lists
          .values
          .first
          .product(*lists.values.drop(1))
          .map do |values|
            seen = compiled.values(Core::Expression::Evaluation.new(values: keys.zip(values).to_h, context: context))
            [
              seen,
              compiled.rows.each_index.select do |index|
                compiled.rows[index].cells.zip(seen).all? { |each, value| each.fits?(value) }
              end
            ]
          end
      there = all.to_h
      report = Core::Decisions::CompletenessCheck.new(decision, design).report
      wrong << [:gap_missed, inputs, rows, required] if report.gaps.empty? && there.value?([])
      report.gaps.each do |gap|
        wrong << [:gap_false, inputs, rows, required, gap.values] unless there[gap.values] == []
      end
      never = rows.each_index.reject { |index| there.any? { |_, fitting| fitting.first == index } }
      wrong << [:unreached, inputs, rows, never, report.unreached] if report.unreached.map(&:first).sort != never
      covers = ->(wide, narrow) do
        there.values.all? { |fitting| !fitting.include?(narrow) || fitting.include?(wide) }
      end
      pairs =
        there
          .values
          .filter_map { |fitting| fitting.first(2) if fitting.length > 1 }
          .uniq
          .reject do |one, other|
            compiled.rows[one].outputs == compiled.rows[other].outputs || covers.call(one, other) ||
              covers.call(other, one)
          end
      told = report.contradictions.map { |first, other, _| [first, other] }
      wrong << [:contradictions, inputs, rows, required, told - pairs, pairs - told] if told.sort != pairs.sort
      report.contradictions.each do |first, other, example|
        unless there[example.values]&.first(2) == [first, other]
          wrong << [:contradiction_false, inputs, rows, example.values]
        end
      end
    end
    puts "\n600 decision tables against brute force: #{count.call(wrong)}"
    expect(wrong.first(5)).to eq([]), "#{wrong.length} wrong, such as #{wrong.first(3).map(&:inspect).join("\n")}"
  end
end
