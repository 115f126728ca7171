# frozen_string_literal: true

require "core_helper"

RSpec.describe "Formulas from pieces" do
  def pieces(text) = Core::Expression::StructuredForm.parse(text)
  def write(given) = Core::Expression::StructuredForm.write(given)

  [
    "title.text & \" \" & name", "name", "\"A \"\"B\"\"\" & tag",
    "(if title is blank then \"\" else title.text & \" \") & name",
    "if title is blank then name else title.text & \" \" & name",
    "if stage = \"Drying\" and weight > 3 then \"wait\" else tag & \"!\"",
    "stage in (\"Drying\", \"Collected\") or received < today()",
    "received >= date(\"2026-11-23\") and fragile = yes and weight <> -2.5",
    "tag starts with \"PC-\" and note is not blank and not stage in (\"a\")",
    "weight > tare and maker.name = user.name"
  ].each do |text|
    it "shows #{text} and writes it again" do
      expect(Core::Expression::Printer.new.print(Core::Expression.parse(write(pieces(text))))).to eq(
        Core::Expression::Printer.new.print(Core::Expression.parse(write(pieces(write(pieces(text))))))
      )
      expect(meaning(write(pieces(text)))).to eq(meaning(text))
    end
  end

  # What can be compared: the shortest text of it, whether or not a guard names the link or its field.
  def meaning(text) =
    Core::Expression::Printer.new.print(Core::Expression.parse(text)).gsub("title.text is blank", "title is blank")

  [
    "weight * 2",
    "a & b + 1",
    "if a = 1 then b else if c = 2 then d else e",
    "not (a = b or c = d)",
    "(a = 1 or b = 2) and c = 3",
    "old.stage & \"x\"",
    "count(pieces)",
    "1 +",
    "upper(tag)"
  ].each { |text| it("says that it can't show #{text}") { expect(pieces(text)).to be_nil } }

  {
    {"shape" => "text", "parts" => [{"field" => ""}]} => "Choose a field.",
    {"shape" => "condition", "match" => "all", "tests" => []} => "A condition needs at least one test.",
    {"shape" => "condition", "tests" => [{"field" => "a", "relation" => "=", "value" => nil}]} =>
      "Enter a value to compare with.",
    {"shape" => "condition", "tests" => [{"field" => "a", "relation" => ">", "value" => {"number" => "x"}}]} =>
      "“x” is not a number.",
    {
      "shape" => "condition",
      "tests" => [{"field" => "a) or (b", "relation" => "=", "value" => {"text" => "x"}}]
    } =>
      "Choose a field.",
    {
      "shape" => "condition",
      "tests" => [{"field" => "a", "relation" => "== 1 or", "value" => {"text" => "x"}}]
    } =>
      "There is no such comparison.",
    {"shape" => "text", "parts" => "no list"} => "The blocks are incomplete.",
    {"shape" => "song"} => "There is no such result type for blocks."
  }.each do |given, message|
    it("refuses incomplete pieces: #{message}") do
      expect { write(given) }.to raise_error(Core::Expression::Invalid, message)
    end
  end

  it "keeps every text a text" do
    odd = "\" & name & \" -- ’"
    expect(
      pieces(
        write(
          {"shape" => "text", "parts" => [{"text" => odd}, {"field" => "tag", "before" => odd, "after" => ""}]}
        )
      )
    ).to eq(
      {"shape" => "text", "parts" => [{"text" => odd}, {"field" => "tag", "before" => odd, "after" => ""}]}
    )
  end
end
