# frozen_string_literal: true

require "core_helper"

RSpec.describe "Forms in the core" do
  let(:fields) do
    [
      field("town"),
      field("state"),
      field("country"),
      field("postcode"),
      field("note"),
      field("sum", "number"),
      field("kind", "choice", choices: %w[Home Work])
    ]
  end
  let(:rules) do
    [
      rule("calculation", "sum", formula: "len(town)"),
      rule("fill", "country", sets: [{"field" => "country", "to" => '"Ireland"'}], watch: ["state"]),
      rule("state", "note", state: "enabled", when: 'kind = "Work"')
    ]
  end

  def made(**form)
    attributes = project_attributes(*fields, rules: rules)
    items = %w[town state country postcode note sum kind].map { |key| {"field" => key} }
    attributes["tables"].first["forms"] = [
      {"id" => "m1", "name" => "Desk", "sections" => [{"items" => items}]}.merge(form.transform_keys(&:to_s))
    ]
    Core::Design::Project.from(attributes).tables.first
  end

  def cursor(typed, stored: nil, **form)
    design = made(**form)
    plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
    outcome =
      Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: stored, id: stored && 1, live: true), context)
    ready = Core::Forms::CompiledForm.new(design.forms.first, design)
    Core::Forms::FocusOrder.new(
      ready,
      outcome,
      Core::Save::FieldStates.new(plan, outcome, context.person, ready.states).all
    )
  end

  # Where the cursor goes from a field: what is typed, the form, the field => the next one.
  {
    [{}, {}, "town"] => "state",
    [{}, {}, "postcode"] => "kind",
    [{"kind" => "Work"}, {}, "postcode"] => "note",
    [{}, {}, "kind"] => nil,
    [{"state" => "Cork"}, {skip_filled: true}, "state"] => "postcode",
    [{"town" => "Cobh"}, {skip_filled: true}, "kind"] => nil,
    # Only what a rule filled is skipped: what was typed is a stop.
    [{"state" => "Cork", "country" => "Eire"}, {skip_filled: true}, "state"] => "country",
    [{}, {order: %w[kind town]}, "kind"] => "town", [{}, {order: %w[kind town]}, "town"] => "state",
    # After leaving town, go to postcode if state and country are filled.
    [
      {"state" => "Cork"},
      {jumps: [{"after" => "town", "when" => "state is not blank and country is not blank", "to" => "postcode"}]},
      "town"
    ] =>
      "postcode",
    [
      {},
      {jumps: [{"after" => "town", "when" => "state is not blank and country is not blank", "to" => "postcode"}]},
      "town"
    ] =>
      "state",
    # The first that holds; one that comes to blank does not.
    [
      {},
      {
        jumps: [{"after" => "town", "when" => "sum > 3", "to" => "kind"}, {"after" => "town", "to" => "postcode"}]
      },
      "town"
    ] =>
      "postcode",
    [{"town" => "Cobh"}, {jumps: [{"after" => "kind", "to" => "first_blank"}]}, "kind"] => "state",
    [{}, {jumps: [{"after" => "town", "to" => "end"}]}, "town"] => nil,
    # To a field that is closed, hidden or worked out: on from there.
    [{}, {jumps: [{"after" => "town", "to" => "note"}]}, "town"] => "kind",
    [{"kind" => "Work"}, {jumps: [{"after" => "town", "to" => "note"}]}, "town"] => "note",
    [{}, {jumps: [{"after" => "town", "to" => "sum"}]}, "town"] => "kind"
  }.each do |(typed, form, from), expected|
    it "goes from #{from} to #{expected || "the end"} with #{typed} and #{form}" do
      expect(cursor(typed, **form).all[from]).to eq(expected)
    end
  end

  it "begins at the first field that can be typed in, and never stops at one that can't" do
    expect(cursor({}).first).to eq("town")
    expect(cursor({"town" => "Cobh", "state" => "Cork"}, skip_filled: true).first).to eq("town")
    expect(
      cursor(
        {},
        sections: [
          {
            "items" => [
              {"field" => "sum"},
              {"field" => "town", "states" => [{"state" => "shown", "when" => "kind is not blank"}]},
              {"field" => "kind"}
            ]
          }
        ]
      ).first
    ).to eq("kind")
    random = Random.new(RSpec.configuration.seed)
    60.times do
      keys = %w[town state country postcode note sum kind]
      jumps =
        Array.new(3) do
          keys
            .sample(2, random: random)
            .then { |after, to| {"after" => after, "to" => [to, "first_blank", "end"].sample(random: random)} }
        end
      seen =
        cursor({"kind" => %w[Work Home].sample(random: random)}, jumps: jumps, skip_filled: random.rand(2).zero?)
      expect(seen.all.values.compact.reject { |key| seen.open?(key) }).to eq([])
    end
  end

  it "goes through a record that is edited, whatever is filled there" do
    stored = {
      "town" => "Cobh",
      "state" => "Cork",
      "country" => "Ireland",
      "postcode" => nil,
      "note" => nil,
      "sum" => number("4"),
      "kind" => "Home"
    }
    expect(cursor({}, stored: stored, skip_filled: true).all["town"]).to eq("state")
  end

  it "are kept as they are written, and every table has one with all of its fields" do
    design = made(note: "For letters.", order: %w[kind], skip_filled: true, buttons: ["copy"])
    expect(Core::Design::Form.from(design.forms.first.attributes).attributes).to eq(design.attributes["forms"].first)
    expect(design.form("all").field_keys).to eq(fields.map { |each| each["key"] })
    expect(design.form("all").attributes["sections"].first["columns"]).to eq(2)
    expect(design.form("m9")).to be_nil
  end

  it "begin a field in their own way, without touching the table's" do
    design = made(sections: [{"items" => [{"field" => "town", "default" => '"Youghal"'}]}])
    values = [design, design.on(design.forms.first)].map { |each| save(each, {}).values["town"] }
    expect(values).to eq([nil, "Youghal"])
    expect(save(design.on(design.forms.first), {"town" => ""}).values["town"]).to be_nil
  end

  it "are told apart in the design's history, part by part" do
    one, other =
      [nil, %w[kind]].map { |order| made(**{order: order, jumps: [{"after" => "town", "to" => "end"}]}.compact) }
    projects =
      [one, other].map do |table|
        Core::Design::Project.from("name" => "Trial", "last_id" => 200, "tables" => [table.attributes])
      end
    found = Core::Design::ProjectDiff.new(*projects).differences
    expect(found.map { |each| [each.what, each.place] }).to eq([["form", "Form Desk of Pieces"]])
    expect(found.first.after).to include("order: kind").and include("jumps: after town, to end")
  end
end
