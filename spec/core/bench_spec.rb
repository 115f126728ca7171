# frozen_string_literal: true

require "core_helper"

RSpec.describe "The bench" do
  # Pieces with a limit, a sum, a programme, a number, a stamp and a state; and their makers.
  let(:project) do
    studio(
      "members" => [
        rule("calculation", "total", formula: "count(pieces.maker where stage = \"Collected\")"),
        rule("required", "name")
      ],
      "pieces" => [
        rule("default", "stage", value: "Drying"),
        rule("limits", "weight", high: "5000", message: "Too heavy."),
        rule("copy", "whose", formula: "maker.name"),
        rule("number", "tag", formula: "\"PC-\" & counter(3)", by_hand: true),
        rule("required", "maker"),
        rule("unique", "tag"),
        rule("calculation", "share", formula: "if weight > 100 then weight / 2 else weight"),
        rule("state", "helper", state: "enabled", when: "maker is not blank")
      ]
    )
  end
  let(:pieces) { project.table("pieces") }
  let(:rules) { pieces.rules.to_h { |each| [each.kind, each.id] } }
  let(:run) { Core::Bench::Run.new(project) }

  def proof(acts, *expect, **more)
    attributes = {
      "id" => "p1",
      "name" => "A proof",
      "at" => "2026-11-23T09:30",
      "person" => {"name" => "Bram Tolley", "role" => "clerk"},
      "records" => {"members" => {"4" => {"name" => "Ansa Velt"}}},
      "acts" => acts,
      "expect" => expect
    }
    Core::Design::Proof.from(attributes.merge(more.transform_keys(&:to_s)))
  end

  def type(field, value) = {"do" => "type", "field" => field, "value" => value}
  def fill(values) = {"do" => "fill_in", "values" => values}

  def result_of(...) =
    run
      .call(pieces, proof(...))
      .then { |result| [result.state, result.differences.map { |each| "#{each.expected}: #{each.actual}" }] }

  save, copy, delete, back, another = %w[save copy delete put_back new].map { |act| {"do" => act} }
  whole = {"maker" => 4, "weight" => "200"}

  it "plays what somebody does, in a world of its own" do
    acts = [type("maker", 4), type("weight", "5001"), save, type("weight", "5000"), save, copy, save, delete, back]
    trial = run.trial(pieces, proof(acts, {"what" => "saved"}))
    expect(trial.moments.map { |moment| [moment.state, moment.id] }).to eq(
      [
        ["typed", nil],
        ["typed", nil],
        ["refused", nil],
        ["typed", nil],
        ["saved", 1],
        ["done", nil],
        ["saved", 2],
        ["deleted", 2],
        ["back", 2]
      ]
    )
    expect(trial.last.outcome.values).to include("tag" => "PC-002", "whose" => "Ansa Velt", "share" => number(2500))
  end

  it "lets counts go on after the records of a proof, gives none twice, and none for a refusal" do
    had = {
      "members" => {"4" => {"name" => "Ansa Velt"}},
      "pieces" => {"7" => {"tag" => "PC-041", "maker" => 4}}
    }
    acts = [
      fill(whole),
      save,
      another,
      fill("weight" => "1"),
      save,
      fill(whole),
      save,
      another,
      fill(whole.merge("tag" => "PC-042")),
      save
    ]
    again = {"what" => "value", "field" => "tag", "is" => "PC-042", "act" => 2}
    expect(
      result_of(
        acts,
        again,
        {"what" => "value", "field" => "tag", "is" => "PC-043", "act" => 7},
        {"what" => "refused", "rule" => rules["number"]},
        records: had
      )
    ).to eq(["passed", []])
  end

  it "reckons what follows elsewhere, and what deleting would leave behind" do
    trial =
      Core::Bench::Trial.new(
        Core::Save::CompiledProject.new(project),
        "pieces",
        Core::Design::Script.from(
          "person" => {},
          "records" => {"members" => {"4" => {"name" => "Ansa Velt"}}},
          "acts" => [fill(whole.merge("stage" => "Collected")), save]
        ),
        clock: Core::Design::ScriptClock.at("2026-11-23T09:30", project.conventions)
      ).play
    expect(trial.world.complete("members", 4)["total"]).to eq(number(1))
    member =
      Core::Bench::Run.new(project).trial(
        project.table("members"),
        proof(
          [delete],
          {"what" => "deleted"},
          start: {"from" => "real", "record" => 4},
          records: {
            "members" => {"4" => {"name" => "Ansa Velt"}},
            "pieces" => {"1" => {"tag" => "PC-1", "maker" => 4}}
          }
        )
      )
    expect([member.last.state, member.last.message]).to eq(["refused", "PC-1 in Pieces uses it as Maker."])
  end

  it "types lines beneath a record: totals see them, and all are saved together or none" do
    lines = ->(*rows) { {"do" => "lines", "table" => "pieces", "link" => "maker", "rows" => rows} }
    acts = [
      fill("name" => "Maro Tinsley"),
      lines.call({"values" => {"weight" => "5", "stage" => "Collected"}}, {"values" => {"weight" => "9000"}}),
      save,
      lines.call(
        {"values" => {"weight" => "5", "stage" => "Collected"}},
        {"values" => {"weight" => "7", "stage" => "Collected"}}
      ),
      save,
      lines.call({"id" => 1, "gone" => true}, {"id" => 2, "values" => {"stage" => "Drying"}}),
      save
    ]
    trial = Core::Bench::Run.new(project).trial(project.table("members"), proof(acts, {"what" => "saved"}))
    expect(
      trial
        .moments
        .map { |moment| [moment.state, moment.message, moment.outcome&.values&.fetch("total", nil)&.to_i] }
        .values_at(2, 4, 6)
    ).to eq([["refused", "Too heavy.", 1], ["saved", nil, 2], ["saved", nil, 0]])
    expect(
      trial.world.present("pieces").map { |id, values| [id, values["weight"].to_i, values["maker"], values["tag"]] }
    ).to eq([[2, 7, 5, "PC-002"]])
    live =
      Core::Bench::Run.new(project).trial(
        project.table("members"),
        proof([fill("name" => "A"), lines.call({"values" => {"stage" => "Collected"}})], {"what" => "saved"})
      )
    expect(trial.lines).to eq([])
    expect(
      [live.live.values["total"].to_i, live.lines.flatten.first.values["whose"], live.world.present("pieces")]
    ).to eq([1, "A", []])
  end

  it "goes on by a clock that can be moved, as other people" do
    acts = [
      fill(whole),
      {"do" => "wait", "days" => 3, "hours" => 2},
      {"do" => "as", "person" => {"name" => "Hale Orrin", "role" => "reader"}},
      save
    ]
    trial = run.trial(pieces, proof(acts, {"what" => "saved"}))
    expect([trial.clock.to_s, trial.last.state, trial.last.message]).to eq(
      ["2026-11-26T11:30", "refused", "A reader can't change records of Pieces."]
    )
  end

  [
    [{"what" => "saved"}, nil],
    [{"what" => "refused", "rule" => "r5"}, "it is refused by “5000 or less”: it was saved"],
    [{"what" => "value", "field" => "share", "is" => "100"}, nil],
    [{"what" => "value", "field" => "share", "is" => "101"}, "Share is 101: Share is 100"],
    [{"what" => "value", "field" => "gone", "is" => "1"}, "gone is 1: there is no field `gone` any more"],
    [{"what" => "state", "field" => "helper", "is" => "open"}, nil],
    [{"what" => "state", "field" => "helper", "is" => "closed"}, "Helper is closed: Helper is open"],
    [{"what" => "logged", "field" => "weight", "before" => nil, "after" => "200"}, nil],
    [{"what" => "unlogged", "field" => "weight"}, "nothing is logged of Weight: blank → 200"],
    [{"what" => "number", "field" => "tag", "fits" => "\"PC-\" 3DIGIT"}, nil],
    [
      {"what" => "number", "field" => "tag", "fits" => "4DIGIT"},
      "Tag is numbered as four digits: the number is PC-001"
    ],
    [{"what" => "cursor", "after" => "tag", "to" => "maker"}, nil],
    [{"what" => "saved", "act" => 9}, "after action 9, it is saved: the script has no action 9"]
  ].each do |expectation, told|
    it "expects #{expectation.values.compact.join(" ")}#{", and says what came out instead" if told}" do
      expectation = expectation.merge("rule" => rules["limits"]) if expectation["rule"]
      expect(result_of([fill(whole), save], expectation, form: "all")).to eq(told ? ["broken", [told]] : ["passed", []])
    end
  end

  it "says that a proof can't run, and why" do
    expect(result_of([], {"what" => "saved"}, form: "m9")).to eq(
      ["unfit", ["it can be run: The form this proof uses was deleted."]]
    )
    expect(
      result_of([], {"what" => "saved"}, records: {"pieces" => {"1" => {"weight" => "heavy"}}}).last.first
    ).to include("no longer match")
  end

  it "covers what was really evaluated, side by side and branch by branch" do
    results =
      [
        [fill(whole), save],
        [fill(whole.merge("weight" => "100")), save],
        [fill(whole.merge("weight" => "5001")), save],
        [fill("weight" => "5000")]
      ].each_with_index.map do |acts, index|
        run.call(
          pieces,
          proof(
            acts,
            {"what" => (acts.length == 1 || acts.first["values"]["weight"] == "5001") ? "refused" : "saved"},
            id: "p#{index}"
          )
        )
      end
    coverage = Core::Bench::Coverage.of_results(project, results).all.to_h { |covered| [covered.rule.id, covered] }
    expect(results.map(&:state).uniq).to eq(["passed"])
    expect(coverage[rules["limits"]].state).to eq("proven")
    expect(coverage[rules["calculation"]].missing.map(&:words)).to eq(["the result is blank", "Weight is below 100"])
    expect(coverage[rules["unique"]].missing.map(&:words)).to eq(["it refuses"])
    expect(coverage[project.table("members").rules.last.id].state).to eq("untried")
  end

  it "tells why a field holds what it holds, or is blank" do
    trial = run.trial(pieces, proof([fill("weight" => "200")], {"what" => "refused"}))
    why = ->(key) { Core::Bench::ValueExplanation.explain(pieces, trial.last.outcome, pieces.field(key)) }
    expect(why.call("share").words).to eq(
      "Share comes from “if Weight > 100 then Weight ÷ 2, else Weight”: 200 > 100: yes, so 200 ÷ 2."
    )
    expect(why.call("whose").words).to eq(
      "Whose is blank because rule “copied from Name of Maker” was skipped: the link is not changed."
    )
    expect(why.call("helper").words).to eq("Helper was not entered, and no rule sets it.")
    expect(trial.last.outcome.steps[why.call("share").step].parts.first.parts.map(&:value)).to eq(%w[yes 100])
  end

  it "finds the first step that goes another way than in the last good run" do
    good = run.call(pieces, proof([fill(whole), save], {"what" => "saved"})).steps
    attributes =
      project.attributes.tap do |all|
        all["tables"].last["rules"].find { |each| each["kind"] == "calculation" }["formula"] = "weight"
      end
    now =
      Core::Bench::Run
        .new(Core::Design::Project.from(attributes))
        .call(Core::Design::Project.from(attributes).table("pieces"), proof([fill(whole), save], {"what" => "saved"}))
        .steps
    expect(Core::Bench::Divergence.between(good, now).to_h).to include(
      stage: "calculate",
      field: "share",
      was: "blank → 100",
      now: "blank → 200"
    )
    expect(Core::Bench::Divergence.between(good, good)).to be_nil
  end

  it "carries a proof through new names of fields and tables" do
    kept =
      Core::Design::Changes::SaveProof.new(
        table: "pieces",
        proofs: [
          proof(
            [type("weight", "1")],
            {"what" => "value", "field" => "weight", "is" => "1"},
            name: "Weights"
          ).attributes.except("id")
        ]
      ).apply(project)
    named =
      Core::Design::Changes::ChangeField.new(table: "pieces", field: "weight", parts: {"label" => "Mass"}).apply(
        kept
      )
    named = Core::Design::Changes::ChangeTable.new(table: "members", parts: {"label" => "People"}).apply(named)
    script = named.table("pieces").proofs.first.attributes
    expect([script["acts"].first["field"], script["expect"].first["field"], script["records"].keys]).to eq(
      ["mass", "mass", ["people"]]
    )
  end
end
