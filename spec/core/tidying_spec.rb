# frozen_string_literal: true

require "core_helper"

RSpec.describe "Tidying" do
  {
    [{"do" => "trim"}] => {"  a b " => "a b", "\u00a0a\t" => "a", " a \n b " => "a\nb"},
    [{"do" => "collapse"}] => {"a   b\t c" => "a b c", "a\n  b" => "a\n  b"},
    [{"do" => "remove_spaces"}] => {" K D\u00a0017 " => "KD017"},
    [{"do" => "upper"}] => {"kd-ß" => "KD-SS", "é" => "É"},
    [{"do" => "lower"}] => {"KD" => "kd"},
    [{"do" => "first"}] => {"soup bowl" => "Soup bowl", "“soup”" => "“Soup”", "12 cups" => "12 Cups"},
    [{"do" => "capitals", "just_so" => %w[van der McKay UK O'Neil], "prefixes" => ["D'"]}] => {
      "ANSA VAN DER velt" => "Ansa van der Velt",
      "mckay" => "McKay",
      "o'neil uk" => "O'Neil UK",
      "anne-marie d'arcy" => "Anne-Marie D'Arcy",
      "vanessa" => "Vanessa",
      "it's" => "It's",
      "O’NEIL" => "O’neil"
    },
    [{"do" => "remove", "kinds" => %w[punctuation symbols]}] => {"01-555/01+42" => "015550142"},
    [{"do" => "remove", "kinds" => [], "also" => "-]^\\"}] => {"a-b]c^d\\e" => "abcde"},
    [{"do" => "keep", "kinds" => %w[digits], "also" => "+"}] => {"Tel. +01 55" => "+0155", "none" => nil},
    [{"do" => "replace", "from" => "Str.", "to" => "Street"}] => {
      "Kiln Str." => "Kiln Street",
      "Kiln Strx" => "Kiln Strx"
    },
    [{"do" => "quotes"}] => {"it’s “fine”" => "it's \"fine\""},
    [{"do" => "nfc"}] => {"Zoe\u0308" => "Zoë"},
    [{"do" => "trim"}, {"do" => "collapse"}, {"do" => "lower"}, {"do" => "first"}] => {
      "  SOUP   Bowl" => "Soup bowl"
    },
    [{"do" => "first"}, {"do" => "lower"}] => {"Soup" => "soup"}
  }.each do |steps, texts|
    it Core::Tidying.words(steps) do
      expect(texts.keys.to_h { |text| [text, Core::Tidying.run(text, steps)] }).to eq(texts)
    end
  end

  it "changes nothing more when it is done twice" do
    Core::Tidying::Steps.all.each_value do |step|
      given = {"do" => step.key, "kinds" => %w[digits], "from" => "a", "to" => "b"}.slice("do", *step.settings.keys)
      once = Core::Tidying.run(step.example, [given])
      expect(once && Core::Tidying.run(once, [given])).to eq(once), step.key
    end
  end

  it "tells what is wrong with its steps" do
    {
      [] => "at least one step",
      [{"do" => "polish"}] => "no clean-up step “polish”",
      [{"do" => "replace", "to" => "x"}] => "needs the text to find",
      [{"do" => "remove", "kinds" => []}] => "at least one kind",
      [{"do" => "remove", "kinds" => ["runes"]}] => "no kind of character “runes”",
      [{"do" => "trim", "hard" => "yes"}] => "no setting “hard”",
      [{"do" => "capitals", "just_so" => "van"}] => "a list of texts"
    }.each { |steps, message| expect(Core::Tidying.problem(steps)).to include(message) }
  end

  it "acts on save where a text became another one, and only then" do
    design =
      table(
        field("name"),
        field("note"),
        rules: [
          rule("tidy", "name", steps: [{"do" => "trim"}, {"do" => "first"}], mode: "save"),
          rule("tidy", "note", steps: [{"do" => "trim"}], mode: "suggest")
        ]
      )
    expect(save(design, {"name" => " ansa", "note" => " x"}).values).to eq("name" => "Ansa", "note" => " x")
    expect(save(design, {"note" => "y"}, stored: {"name" => " old", "note" => nil}).values).to eq(
      "name" => " old",
      "note" => "y"
    )
    told =
      save(design, {"name" => " ansa"}, trace: true).steps.map do |step|
        [step.stage, step.field, step.result, step.how]
      end
    expect(told).to include(%w[tidy Name set tidied], ["tidy", "Note", "skipped", "Note is blank"])
    expect(save(design, {"name" => " ansa"}).origins["name"]).to have_attributes(source: "typed", words: "tidied")
  end
end
