# frozen_string_literal: true

require "core_helper"

# A form that asks at every step, and the save at its end, must come to the same.
RSpec.describe "A live form and its save" do
  # What is typed first and what a rule gives later meet in each of these differently.
  def self.designs
    common = ->(otherwise) do
      ["narrow", "helper", {formula: "helper.title = maker.title or helper.title is blank", otherwise: otherwise}]
    end
    fill = [
      "fill",
      "whose",
      {sets: [{"field" => "whose", "to" => "maker.name & \" \" & weight"}], event: "changed"}
    ]
    {
      "a copy and a cleared choice" => [
        ["copy", "whose", {formula: "maker.name"}],
        common.call("clear"),
        ["calculation", "share", {formula: "weight / 4", keeping: "always"}]
      ],
      "a kept choice" => [
        ["copy", "whose", {formula: "maker.name"}],
        common.call("keep"),
        ["calculation", "share", {formula: "weight / 4", keeping: "always"}]
      ],
      "a refused choice" => [common.call("refuse"), fill],
      "a field worked out once and filled" => [
        ["calculation", "share", {formula: "weight * 2", keeping: "once"}],
        ["fill", "share", {sets: [{"field" => "share", "to" => "if stage is blank then blank else 7"}]}],
        common.call("keep"),
        fill
      ],
      "two fills of one field, and two that fill each other" => [
        fill,
        ["fill", "whose", {sets: [{"field" => "whose", "to" => "upper(stage)"}], watch: ["stage"]}],
        ["fill", "share", {sets: [{"field" => "share", "to" => "weight * 2"}]}],
        ["fill", "weight", {sets: [{"field" => "weight", "to" => "share / 2"}]}]
      ]
    }
  end

  designs.each do |name, rules|
    describe name do
      let(:design) do
        studio(
          "pieces" => [
            rule("mask", "tag", mask: "\"PC-\" 3DIGIT", half: "clear"),
            rule("tidy", "whose", steps: [{"do" => "trim"}, {"do" => "upper"}], mode: "save"),
            rule("default", "stage", value: "Drying"),
            *rules.map { |kind, field, parts| rule(kind, field, **parts) }
          ]
        ).table("pieces")
      end
      let(:plan) { Core::Save::Plan.new(design, Core::Conventions.from({})) }
      let(:members) do
        {
          4 => {"name" => "Ansa Velt", "title" => 1},
          5 => {"name" => "Maro Tinsley", "title" => nil},
          6 => {"name" => "Wilmet Farrow", "title" => 2}
        }
      end
      let(:records) { Core::Ports::HeldRecords.new({"members" => members}, titles: {"members" => "name"}) }

      inputs = {
        "tag" => ["17", "pc-017", "PC-01", ""],
        "maker" => [4, 5, 6, "Maro Tinsley", ""],
        "helper" => [4, 5, 6, ""],
        "whose" => ["  me ", ""],
        "weight" => ["12", "many", ""],
        "stage" => ["collected", "drying", ""],
        "share" => ["3", ""]
      }

      def run(typed, live:, stored: nil)
        Core::Save.call(
          plan,
          Core::Save::Draft.new(typed: typed, stored: stored, id: stored && 1, live: live),
          context(records: records)
        )
      end

      # Types as a form does: what was typed last stands last, and what a rule overtook is forgotten.
      def type_through(steps, stored)
        steps.reduce({}) do |typed, (field, text)|
          typed = typed.except(field).merge(field => text)
          typed.except(*run(typed, live: true, stored: stored).overtaken)
        end
      end

      [
        nil,
        {
          "tag" => "PC-001",
          "maker" => 4,
          "helper" => 4,
          "whose" => "Ansa Velt",
          "weight" => BigDecimal("1"),
          "stage" => "Drying",
          "share" => BigDecimal("0.25")
        }
      ].each do |stored|
        it "come to the same values and messages, whatever is typed in whatever " \
          "order: #{stored ? "an edit" : "a new record"}" do
          random = Random.new(RSpec.configuration.seed)
          300.times do
            steps =
              Array.new(random.rand(1..7)) do
                inputs.to_a.sample(random: random).then { |field, texts| [field, texts.sample(random: random)] }
              end
            typed = type_through(steps, stored)
            live = run(typed, live: true, stored: stored)
            saved = run(typed, live: false, stored: stored)
            expect([steps, saved.values, saved.refusals.map(&:message)]).to eq(
              [steps, live.values, live.refusals.map(&:message)]
            )
          end
        end

        next unless name == "a copy and a cleared choice"

        it "keep what was typed last: #{stored ? "an edit" : "a new record"}" do
          random = Random.new(RSpec.configuration.seed)
          100.times do
            maker = [4, 5, 6].sample(random: random)
            outcome = run(type_through([["maker", maker], ["whose", "by hand"]], stored), live: false, stored: stored)
            expect(outcome.values["whose"]).to eq("BY HAND")
          end
        end
      end
    end
  end
end
