# frozen_string_literal: true

require "core_helper"

# Rules act after what they read, whatever they are and wherever they are listed. Designs are made
# at random; the reference knows no stages and works each value out from those that it names.
RSpec.describe "The order of rules" do
  keys = %w[a b c d e f g h]

  def self.field_attributes(key, type = "number")
    {"id" => "f_#{key}", "key" => key, "label" => key.upcase, "type" => type}
  end

  def design(rules, random = nil)
    rules = rules.shuffle(random: random) if random
    attributes = rules.each_with_index.map { |rule, index| {"id" => "r#{index + 1}"}.merge(rule) }
    fields =
      ("a".."h").map { |key| self.class.field_attributes(key) } +
      [
        self.class.field_attributes("log", "long_text"),
        self.class.field_attributes("done", "yes_no"),
        self.class.field_attributes("on", "date"),
        self.class.field_attributes("code", "text")
      ]
    Core::Design::Project.from(
      {
        "name" => "Studio",
        "last_id" => 99,
        "tables" => [{"id" => "t1", "key" => "pieces", "label" => "Pieces", "fields" => fields, "rules" => attributes}]
      }
    ).table("pieces")
  end

  def plan(table) = Core::Save::Plan.new(table, Core::Conventions.from({}))

  def save(table, typed, stored: nil) =
    Core::Save.call(plan(table), Core::Save::Draft.new(typed: typed, stored: stored, id: stored && 1), context)

  # @return [Hash] a rule that gives a field a value made of others
  def giving(kind, field, reads)
    formula = (["1"] + reads.map { |key| "coalesce(#{key}, 0) * 2" }).join(" + ")
    {
      "default" => {"kind" => "default", "formula" => formula},
      "fill" => {"kind" => "fill", "event" => "made", "sets" => [{"field" => field, "to" => formula}]},
      "once" => {"kind" => "calculation", "keeping" => "once", "formula" => formula},
      "always" => {"kind" => "calculation", "formula" => formula},
      "shown" => {"kind" => "calculation", "keeping" => "shown", "formula" => formula},
      "number" => {"kind" => "number", "formula" => "counter(1)"},
      "tally" => {"kind" => "tally", "watch" => []}
    }.fetch(kind).merge("field" => field)
  end

  # What a new record comes to: rules by field, [kind, reads].
  def reference(rules, typed, key, seen = {})
    seen[key] ||= begin
      kind, reads = rules[key]
      return BigDecimal(typed[key]) if typed.key?(key)

      case kind
      when nil then BigDecimal(0)
      when "number" then BigDecimal(1)
      when "tally" then BigDecimal(0)
      else 1 + reads.sum { |read| reference(rules, typed, read, seen) * 2 }
      end
    end
  end

  it "is that of what they read, whatever stage they are written for" do
    random = Random.new(RSpec.configuration.seed)
    400.times do
      order = keys.shuffle(random: random)
      rules = order.each_with_index.to_h do |key, index|
        kind = %w[default fill once always shown number tally].sample(random: random)
        [key, [kind, order.first(index).sample(random.rand(0..2), random: random)]]
      end
      # A default looks at what is typed; it waits for nothing but numbers, stamps and tallies.
      rules =
        rules.to_h do |key, (kind, reads)|
          [key, [kind, (kind == "default") ? reads.reject { |read| leads_to_fill?(rules, read) } : reads]]
        end
      table = design(rules.map { |key, (kind, reads)| giving(kind, key, reads) }, random)
      loose = keys.select { |key| %w[default fill once].include?(rules[key].first) }
      typed = loose.sample(random.rand(0..2), random: random).to_h { |key| [key, random.rand(5..9).to_s] }
      outcome = save(table, typed)
      expect(outcome.refusals).to be_empty
      shown = ->(key) { outcome.values.fetch(key) { table.scope[key].computed.call(outcome.evaluation) } }
      expect(keys.to_h { |key| [key, shown.call(key).to_i] }).to eq(
        keys.to_h { |key| [key, reference(rules, typed, key).to_i] }
      ),
        [rules, typed].inspect
    end
  end

  def leads_to_fill?(rules, key)
    kind, reads = rules[key]
    %w[fill once].include?(kind) || reads.any? { |read| leads_to_fill?(rules, read) }
  end

  it "leaves no rule out: a design has a place for each, or is refused by its circle" do
    random = Random.new(RSpec.configuration.seed)
    kinds = %w[default fill once always number tally stamp line required limits check state clearing long]
    refused = 0
    600.times do
      rules =
        Array
          .new(random.rand(2..7)) { any_rule(kinds.sample(random: random), keys, random) }
          .uniq { |rule| [rule["kind"], rule["field"]] }
      table = design(rules, random)
      acting = plan(table).rules_by_stage.values.flatten.map { |rule| rule.rule.id }
      expect(acting.uniq).to match_array(table.rules.map(&:id))
    rescue Core::Invalid => e
      refused += 1
      expect(e.message).not_to be_empty
    end
    expect(refused).to be < 500
  end

  def any_rule(kind, keys, random)
    field, *reads = keys.sample(3, random: random)
    condition = "coalesce(#{reads.first}, 0) > 0"
    case kind
    when "stamp"
      {"kind" => "stamp", "field" => "on", "event" => "reached", "when" => condition}
    when "line"
      {
        "kind" => "line",
        "field" => "log",
        "event" => "changed",
        "watch" => [reads.last],
        "formula" => "#{reads.first} & log"
      }
    when "required"
      {"kind" => "required", "field" => field, "when" => condition}
    when "limits"
      {"kind" => "limits", "field" => field, "low" => reads.first}
    when "check"
      {"kind" => "check", "field" => field, "formula" => "#{field} >= #{reads.first}"}
    when "state"
      {"kind" => "state", "field" => field, "state" => "enabled", "when" => condition, "enforced" => true}
    when "clearing"
      {"kind" => "state", "field" => field, "state" => "enabled", "when" => condition, "otherwise" => "clear"}
    when "long"
      {"kind" => "check", "field" => "done", "formula" => "done is blank or len(log) > 0"}
    else
      giving(kind, field, reads)
    end
  end

  stamp = {"kind" => "stamp", "field" => "on", "event" => "made"}
  tally = {"kind" => "tally", "field" => "c", "watch" => ["a"]}
  stored = {"a" => BigDecimal(1), "c" => BigDecimal(2), "on" => Date.new(2026, 1, 1)}

  # Rules that look at what is only written when the record is logged: rules, what is typed, the
  # record before => whether it is saved, and what comes out of some fields.
  {
    "required, of a stamp" => [
      [stamp, {"kind" => "required", "field" => "on"}],
      {},
      nil,
      true,
      {"on" => CoreHelp::TODAY}
    ],
    "limits of a tally that it keeps" => [
      [tally, {"kind" => "limits", "field" => "c", "high" => "3"}],
      {"a" => "5"},
      stored,
      true,
      {"c" => 3}
    ],
    "limits of a tally that it breaks" => [
      [tally, {"kind" => "limits", "field" => "c", "high" => "2"}],
      {"a" => "5"},
      stored,
      false,
      {}
    ],
    "a check of what is worked out from a tally" => [
      [
        tally,
        {"kind" => "calculation", "field" => "d", "formula" => "c * 10"},
        {"kind" => "check", "field" => "d", "formula" => "d <= 20"}
      ],
      {"a" => "5"},
      stored,
      false,
      {}
    ],
    "a default from a number" => [
      [
        {"kind" => "number", "field" => "b", "formula" => "counter(1)"},
        {"kind" => "default", "field" => "a", "formula" => "b * 7"}
      ],
      {},
      nil,
      true,
      {"a" => 7}
    ],
    "a fill from a tally" => [
      [
        tally,
        {"kind" => "fill", "field" => "e", "event" => "changed", "sets" => [{"field" => "e", "to" => "c + 100"}]}
      ],
      {"a" => "5"},
      stored,
      true,
      {"e" => 103}
    ],
    "a number in series of a stamp" => [
      [
        stamp,
        {"kind" => "number", "field" => "code", "formula" => "year(on) & counter(2)", "series" => "year(on)"}
      ],
      {},
      nil,
      true,
      {"code" => "202601"}
    ]
  }.each do |name, (rules, typed, before, saved, values)|
    it "puts #{name} after it" do
      outcome = save(design(rules), typed, stored: before)
      expect([outcome.saved?, outcome.refusals.map(&:message)]).to eq(
        [saved, saved ? [] : outcome.refusals.map(&:message)]
      )
      expect(outcome.values.slice(*values.keys)).to eq(values)
    end
  end

  it "names a circle through a log line, and lets one in a design of an earlier version rest" do
    rules = [
      {"kind" => "line", "field" => "log", "event" => "changed", "watch" => ["a"], "formula" => "\"\" & b"},
      {"kind" => "calculation", "field" => "b", "formula" => "len(log)"}
    ]
    expect { design(rules) }.to raise_error(Core::Invalid, /Circular reference: (LOG → B → LOG|B → LOG → B).*`old\./)
    attributes = {
      "name" => "Studio",
      "last_id" => 9,
      "tables" => [
        {
          "id" => "t1",
          "key" => "pieces",
          "label" => "Pieces",
          "rules" => rules.each_with_index.map { |rule, index| rule.merge("id" => "r#{index}") },
          "fields" => [
            self.class.field_attributes("a"),
            self.class.field_attributes("b"),
            self.class.field_attributes("log", "long_text")
          ]
        }
      ]
    }
    project = Core::Design::Project.reopen(attributes)
    expect(project.tolerated.flat_map(&:stuck)).to match_array(%w[r0 r1])
    expect(project.table("pieces").notices.all.map(&:message)).to all(
      include("This rule is off because it can't run: Circular reference")
    )
    expect(plan(project.table("pieces")).rules_by_stage.values.flatten).to be_empty
    expect(
      Core::Design::Changes::AddField
        .new(table: "pieces", parts: {"label" => "C", "type" => "text"})
        .apply(project)
        .tolerated
        .length
    ).to eq(1)
  end

  it "opens a design with everything that only earlier versions let be, in any mixture, and " \
    "writes it to a file that opens" do
    old = {
      r1: {"kind" => "line", "field" => "log", "event" => "changed", "watch" => ["a"], "formula" => "\"\" & b"},
      r2: {"kind" => "calculation", "field" => "b", "formula" => "len(log)"},
      r3: {"kind" => "calculation", "field" => "shown", "formula" => "text(a, \"0.00;(0.00)\")"},
      r4: {"kind" => "mask", "field" => "code", "mask" => "[ 1*2DIGIT ] 3DIGIT"}
    }
    fields =
      %w[a b].map { |key| self.class.field_attributes(key) } +
      [
        self.class.field_attributes("log", "long_text"),
        self.class.field_attributes("shown", "text"),
        self.class.field_attributes("code", "text")
      ]
    (0..4)
      .flat_map { |count| old.keys.combination(count).to_a }
      .each do |ids|
        rules = ids.map { |id| old[id].merge("id" => id.to_s) }
        project =
          Core::Design::Project.reopen(
            {
              "name" => "Studio",
              "last_id" => 9,
              "tables" => [
                {"id" => "t1", "key" => "pieces", "label" => "Pieces", "rules" => rules, "fields" => fields}
              ]
            }
          )
        expect(project.tolerated.length).to eq((ids & %i[r3 r4]).length + (((ids & %i[r1 r2]).length == 2) ? 1 : 0))
        text = Core::Design::ProjectFile.write(project)
        expect(Core::Design::ProjectFile.write(Core::Design::ProjectFile.read(text).project)).to eq(text)
        turns = plan(project.table("pieces")).rules_by_stage.values.flatten.map { |act| act.rule.id.to_sym }
        expect(turns).to match_array(((ids & %i[r1 r2]).length == 2) ? ids - %i[r1 r2] : ids)
      end
  end

  it "lets two fields fill each other, each moved by what somebody changed and not by the other" do
    pounds = {"kind" => "fill", "field" => "b", "sets" => [{"field" => "b", "to" => "round(a * 2.2, 1)"}]}
    kilos = {"kind" => "fill", "field" => "a", "sets" => [{"field" => "a", "to" => "round(b / 2.2, 1)"}]}
    [[pounds, kilos], [kilos, pounds]].each do |rules|
      table = design(rules)
      expect(save(table, {"a" => "10"}).values.values_at("a", "b")).to eq([10, 22])
      expect(save(table, {"b" => "10"}).values.values_at("a", "b")).to eq([BigDecimal("4.5"), 10])
      expect(
        save(table, {"b" => "10"}, stored: {"a" => BigDecimal(3), "b" => BigDecimal("6.6")}).values.values_at(
          "a",
          "b"
        )
      ).to eq([BigDecimal("4.5"), 10])
      expect(save(table, {"a" => "10", "b" => "1"}).values.values_at("a", "b")).to eq([10, 1])
    end
    project =
      Core::Design::Project.from(
        {"name" => "Studio", "last_id" => 9, "tables" => [design([pounds, kilos]).attributes]}
      )
    edges = Core::Analysis::RuleGraph.new(project).edges.map { |edge| [edge.from, edge.to, edge.how] }
    expect(edges).to include(
      [%w[pieces a], "r1", "reads"],
      ["r1", %w[pieces b], "writes"],
      [%w[pieces b], "r2", "reads"],
      ["r2", %w[pieces a], "writes"]
    )
    chain = {"kind" => "fill", "field" => "c", "sets" => [{"field" => "c", "to" => "b * 100"}]}
    expect(save(design([chain, kilos, pounds]), {"a" => "10"}).values["c"]).to eq(2200)
  end
end
