# frozen_string_literal: true

require "core_helper"

RSpec.describe "States of fields" do
  let(:fields) do
    [
      field("phone"),
      field("second"),
      field("stage", "choice", choices: %w[Open Issued]),
      field("total", "number"),
      field("sum", "number")
    ]
  end

  def made(**parts) =
    table(
      *fields,
      rules: [
        rule("state", "second", when: "phone is not blank", **parts),
        rule("calculation", "sum", formula: "total + 1"),
        rule("required", "stage", when: "total > 5"),
        rule("lock", "total", when: 'stage = "Issued"', except_role: "builder")
      ]
    )

  def states(design, typed, stored: nil, person: Core::Ports::Person.new(role: "clerk"))
    plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
    outcome =
      Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: stored, id: stored && 1, live: true), context)
    Core::Save::FieldStates.new(plan, outcome, person).all
  end

  # One statement, both directions, right on an empty record too.
  {"shown" => :shown, "enabled" => :enabled, "required" => :required, "read_only" => :read_only}.each do |state, part|
    it "#{state} holds while its condition does, and not otherwise" do
      found = [{}, {"phone" => "1"}, {"phone" => ""}].map { |typed| states(made(state: state), typed)["second"][part] }
      expect(found).to eq([false, true, false])
    end
  end

  it "are told of what required, what is locked and what only rules give, too" do
    expect(states(made(state: "shown"), {"total" => "6"})["stage"].required).to be(true)
    expect(states(made(state: "shown"), {})["sum"].read_only).to be(true)
    stored = {"stage" => "Issued", "total" => number("3")}
    expect(states(made(state: "shown"), {}, stored: stored)["total"].read_only).to be(true)
    expect(
      states(made(state: "shown"), {}, stored: stored, person: Core::Ports::Person.new(role: "builder"))[
        "total"
      ].read_only
    ).to be(false)
  end

  # What a save makes of it: rule, stored, typed => refused fields or the value.
  {
    [{state: "required"}, {}, {"phone" => "1"}] => nil,
    [{state: "required", enforced: true}, {}, {"phone" => "1"}] => ["second"],
    [{state: "required", enforced: true}, {}, {"phone" => "1", "second" => "2"}] => "2",
    [{state: "read_only"}, {"phone" => "1", "second" => "2"}, {"second" => "3"}] => "3",
    [{state: "read_only", enforced: true}, {"phone" => "1", "second" => "2"}, {"second" => "3"}] => ["second"],
    [{state: "read_only", enforced: true}, {"phone" => "1", "second" => "2"}, {"second" => "2", "total" => "1"}] => "2",
    [{state: "enabled", otherwise: "keep"}, {"phone" => "1", "second" => "2"}, {"phone" => ""}] => "2",
    [{state: "enabled", otherwise: "clear"}, {"phone" => "1", "second" => "2"}, {"phone" => ""}] => nil,
    [{state: "shown", otherwise: "clear"}, {"phone" => "1", "second" => "2"}, {"phone" => ""}] => nil,
    [{state: "enabled", otherwise: "clear"}, {"second" => "2"}, {"total" => "1"}] => "2",
    [{state: "enabled", otherwise: "clear"}, {}, {"second" => "2"}] => ["second"],
    [{state: "enabled", enforced: true}, {}, {"second" => "2"}] => ["second"],
    [{state: "enabled", otherwise: "clear"}, {}, {"second" => "2", "phone" => "1"}] => "2"
  }.each do |(parts, stored, typed), expected|
    it "#{parts} makes #{expected.inspect} of #{typed} over #{stored}" do
      outcome =
        save(
          made(**parts),
          typed,
          stored: {"phone" => nil, "second" => nil, "stage" => nil, "total" => nil, "sum" => nil}.merge(stored)
        )
      expect(outcome.saved? ? outcome.values["second"] : outcome.refusals.map(&:field)).to eq(expected)
    end
  end

  it "say their own message where there is one, and act in two columns of the board where they clear" do
    design = made(state: "enabled", otherwise: "clear", message: "First the first.")
    expect(save(design, {"second" => "2"}).refusals.map(&:message)).to eq(["First the first."])
    expect(design.rules.first.stages).to eq(%w[fill validate])
    expect(design.rules.first.sentence(design)).to eq(
      "Second is editable only when Phone is not blank; otherwise it is cleared."
    )
  end

  {
    {state: "gone"} => "A field can be `shown`",
    {state: "enabled", when: " "} => "Enter the condition under which the field is editable.",
    {state: "required", otherwise: "clear"} => "Only a field that is not visible or not editable can be cleared.",
    {state: "shown", when: "phone"} => "yes or no"
  }.each do |parts, message|
    it "refuse #{parts}" do
      expect { made(**parts) }.to raise_error(Core::Invalid, /#{Regexp.escape(message)}/)
    end
  end

  it "leave a field alone that a rule gives, but for showing it" do
    expect {
      table(
        *fields,
        rules: [rule("calculation", "sum", formula: "total"), rule("state", "sum", state: "required", when: "yes")]
      )
    }.to raise_error(Core::Invalid, /set by a rule, so it can't be edited/)
    expect(
      table(
        *fields,
        rules: [rule("calculation", "sum", formula: "total"), rule("state", "sum", state: "shown", when: "total > 1")]
      )
    ).to be_a(Core::Design::Table)
  end
end
