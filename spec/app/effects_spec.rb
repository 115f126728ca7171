# frozen_string_literal: true

require "store_helper"

RSpec.describe "Effects of a rule" do
  def call_use_case(name, **parts) = UpTack::UseCases.const_get(name).new(workspace).call(**parts)

  def preview(table, attributes, **more, &block) =
    UpTack::UseCases::Effects::PreviewRule.new(workspace).call(
      table: table,
      attributes: attributes.transform_keys(&:to_s),
      all: true,
      **more,
      &block
    )

  it "come kind by kind, the worst first" do
    {
      {kind: "limits", field: "hold", high: "15"} => {"refused" => 13},
      {kind: "unique", field: "piece"} => {"refused" => 26},
      {kind: "length", field: "piece", most: 8} => {"refused" => 20},
      {kind: "mask", field: "received_by", mask: "1*20ALPHA \" \" 1*20ALPHA"} => {"same" => 28},
      {kind: "tidy", field: "piece", steps: [{"do" => "upper"}]} => {"changes" => 28},
      {kind: "lock", field: "stage", when: "stage = \"Collected\""} => {"locked" => 12},
      {kind: "copy", field: "received_by", formula: "maker.name"} => {"differs" => 28},
      {kind: "narrow", field: "stage", by: "firing", map: {"Bisque" => ["Drying"]}} => {"refused" => 11},
      {kind: "required", field: "shelf_code", when: "stage <> \"Collected\""} => {"passed" => 28},
      {kind: "exists", field: "received_by", target: "members", target_field: "name"} => {"refused" => 28},
      {kind: "fits", field: "tag", mask: "\"PC-\" 5DIGIT"} => {"passed" => 28}
    }.each do |attributes, wanted|
      found = preview("pieces", attributes)
      expect([attributes, found.problems.map(&:message), found.counts.slice(*wanted.keys)]).to eq(
        [attributes, [], wanted]
      )
      order = found.examples.map { |example| UpTack::UseCases::Effects::PreviewRule::ORDER.index(example[:verdict]) }
      expect(order).to eq(order.sort)
    end
  end

  it "can be shown for every rule of the demo" do
    workspace.project.tables.each do |table|
      table.rules.each do |rule|
        found = preview(table.key, rule.attributes)
        expect([rule.id, found.problems.map(&:message), found.looked_at]).to eq([rule.id, [], found.total])
      end
    end
  end

  # As the panel asks while somebody types.
  it "can be asked for while any part of a rule is blank or half typed" do
    rules = workspace.project.tables.flat_map { |table| table.rules.uniq(&:kind).map { |rule| [table, rule] } }
    failed =
      Thorough.some(rules, 30).flat_map do |table, rule|
        rule.class.parts.filter_map do |part|
          text = rule.attributes[part.key]
          next unless %i[formula text line].include?(part.type) || text.is_a?(String)

          ["", " ", text.to_s[0...(text.to_s.length / 2)]].filter_map do |typed|
            preview(table.key, rule.attributes.merge(part.key => typed))
            nil
          rescue => e
            "#{rule.kind} of #{rule.field}, #{part.key} #{typed.inspect}: #{e.class} #{e.message}"
          end
        end.flatten
      end
    expect(failed).to be_empty, failed.join("\n")
  end

  it "come portion by portion, and add up" do
    stub_const("UpTack::UseCases::Effects::PreviewRule::INTERIM", 0)
    stub_const("UpTack::Store::RecordTable::BATCH", 10)
    seen = []
    last =
      preview("pieces", {kind: "limits", field: "hold", high: "15"}) do |so_far|
        seen << [so_far.looked_at, so_far.counts.values.sum]
      end
    expect([seen, last.looked_at]).to eq([[[10, 10], [20, 20], [28, 28]], 28])
  end

  it "count existing records that are not checked, until somebody fixes them" do
    rule = workspace.table("pieces").rules.find { |each| each.name == "not above the clay’s limit" }
    expect(call_use_case("Effects::CountExempt", table: "pieces")).to eq(rule.id => 4)
    expect(save_piece({"maker_note" => "x"}, id: 13).state).to eq(:saved)
    expect(save_piece({"peak" => "1001"}, id: 13).outcome.refusals.map(&:message)).to eq(
      ["Peak is above what Brick red can take: 990."]
    )
    expect(save_piece({"peak" => "990"}, id: 13).state).to eq(:saved)
    expect(call_use_case("Effects::CountExempt", table: "pieces")).to eq(rule.id => 3)
  end
end
