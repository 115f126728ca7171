# frozen_string_literal: true

require "core_helper"

RSpec.describe "Allowed combinations" do
  let(:kinds) { [field("kind", "choice", choices: %w[Cup Bowl]), field("size", "choice", choices: %w[S M L])] }

  def sizes(otherwise = nil) =
    rule("narrow", "size", by: "kind", map: {"Cup" => %w[S M], "Bowl" => %w[L]}, otherwise: otherwise)

  def tried(design, typed, stored: nil, live: false, records: Core::Ports::NoRecords)
    plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
    Core::Save.call(
      plan,
      Core::Save::Draft.new(typed: typed, stored: stored, id: stored && 1, live: live),
      context(records: records)
    )
  end

  it "clears, keeps or refuses a choice that no longer belongs when its parent changes" do
    stored = {"kind" => "Cup", "size" => "M"}
    found =
      [nil, "keep", "refuse"].map do |way|
        tried(table(*kinds, rules: [sizes(way)]), {"kind" => "Bowl"}, stored: stored).then do |each|
          [each.values["size"], each.saved?]
        end
      end
    expect(found).to eq([[nil, true], ["M", true], ["M", false]])
    expect(tried(table(*kinds, rules: [sizes]), {"kind" => "cup"}, stored: stored).values["size"]).to eq("M")
  end

  it "refuses one that somebody gives along, and never takes it away unseen" do
    design = table(*kinds, rules: [sizes])
    expect(tried(design, {"size" => "M", "kind" => "Bowl"}).refusals).to match(
      [
        have_attributes(
          field: "size",
          fields: %w[size kind],
          message: "“M” is not available for this Kind. Choose another, or change Kind."
        )
      ]
    )
    expect(tried(design, {"size" => "L", "kind" => "Bowl"})).to be_saved
    expect(tried(design, {"size" => "L", "kind" => ""})).to be_saved
  end

  it "overtakes in a live form what was typed before its parent, and not what was typed after" do
    design = table(*kinds, rules: [sizes])
    before = tried(design, {"size" => "M", "kind" => "Bowl"}, live: true)
    expect([before.values["size"], before.overtaken, before.origins["size"].source]).to eq([nil, ["size"], "rule"])
    expect(tried(design, {"kind" => "Bowl", "size" => "M"}, live: true)).not_to be_saved
  end

  it "leaves a record alone in which neither changed" do
    expect(
      tried(
        table(*kinds, field("note"), rules: [sizes]),
        {"note" => "x"},
        stored: {"kind" => "Bowl", "size" => "M", "note" => nil}
      ).values[
        "size"
      ]
    ).to eq("M")
  end

  it "narrows links by a condition along the link" do
    design =
      studio("pieces" => [rule("narrow", "helper", formula: "helper.title = maker.title", otherwise: "clear")]).table(
        "pieces"
      )
    expect(tried(design, {"maker" => 4, "helper" => 4}, records: studio_records)).to be_saved
    members = {4 => {"name" => "Ansa Velt", "title" => 1}, 6 => {"name" => "Wilmet Farrow", "title" => 2}}
    records = Core::Ports::HeldRecords.new({"members" => members}, titles: {"members" => "name"})
    expect(tried(design, {"maker" => 4, "helper" => 6}, records: records).refusals.map(&:field)).to eq(["helper"])
    expect(
      tried(design, {"maker" => 6}, stored: {"maker" => 4, "helper" => 4}, records: records).values["helper"]
    ).to be_nil
  end

  it "refuses two that wait for each other, and lists that name what is not there" do
    both = [sizes, rule("narrow", "kind", by: "size", map: {})]
    expect { table(*kinds, rules: both) }.to raise_error(Core::Invalid, /Circular/)
    expect { table(*kinds, rules: [rule("narrow", "size", by: "kind", map: {"Cup" => ["XL"]})]) }.to raise_error(
      Core::Invalid,
      /“XL” is not a choice/
    )
    expect { table(*kinds, rules: [rule("narrow", "size", formula: "kind = \"Cup\"")]) }.to raise_error(
      Core::Invalid,
      /must use Size/
    )
  end

  describe "a copied detail" do
    let(:design) { studio("pieces" => [rule("copy", "whose", formula: "maker.name")]).table("pieces") }

    {
      "comes with the link" => [{"maker" => 4}, nil, "Ansa Velt"],
      "gives way to the hand" => [{"maker" => 4, "whose" => "me"}, nil, "me"],
      "follows another link" => [{"maker" => 5}, {"maker" => 4, "whose" => "Ansa Velt"}, "Maro Tinsley"],
      "goes with the link" => [{"maker" => ""}, {"maker" => 4, "whose" => "Ansa Velt"}, nil],
      "stays when the link does" => [{"tag" => "x"}, {"maker" => 4, "whose" => "by hand"}, "by hand"]
    }.each do |name, (typed, stored, wanted)|
      it(name) { expect(tried(design, typed, stored: stored, records: studio_records).values["whose"]).to eq(wanted) }
    end

    it "overtakes in a live form only what was typed before the link" do
      expect(
        tried(design, {"whose" => "me", "maker" => 4}, live: true, records: studio_records)
      ).to have_attributes(overtaken: ["whose"])
      expect(
        tried(design, {"maker" => 4, "whose" => "me"}, live: true, records: studio_records).values["whose"]
      ).to eq("me")
    end
  end

  it "keeps a retired choice where it is, and gives it to no other record" do
    design = table(field("firing", "choice", choices: %w[Raku Salt], retired: %w[Salt]))
    expect(tried(design, {"firing" => "salt"}).refusals.map(&:message)).to eq(
      ["“Salt” is retired and can't be used for new entries. Choose Raku."]
    )
    expect(tried(design, {"firing" => "Salt"}, stored: {"firing" => "Salt"})).to be_saved
  end

  it "follows a parent that is calculated" do
    fields = [
      field("n", "number", decimals: 0),
      field("size", "choice", choices: %w[Big Small]),
      field("kiln", "choice", choices: %w[Hall Shed])
    ]
    rules = [
      rule("calculation", "size", formula: 'if n > 5 then "Big" else "Small"'),
      rule("narrow", "kiln", by: "size", map: {"Big" => ["Hall"], "Small" => ["Shed"]})
    ]
    design = table(*fields, rules: rules)
    stored = {"n" => number("9"), "size" => "Big", "kiln" => "Hall"}
    expect(save(design, {"n" => "9", "kiln" => "Shed"}).refusals.map(&:field)).to eq(["kiln"])
    expect(save(design, {"n" => "9", "kiln" => "hall"}).values["kiln"]).to eq("Hall")
    expect(save(design, {"n" => "2"}, stored: stored).values["kiln"]).to be_nil
    expect(save(design, {"n" => "7"}, stored: stored).values["kiln"]).to eq("Hall")
  end

  it "tells letters alike that are written in more than one way" do
    one, other = "\u0390\u0399", "\u03b9\u0308\u0301\u03b9"
    expect(Core::Unicode.folded(one)).to eq(Core::Unicode.folded(other.unicode_normalize(:nfd)))
    expect(value_of("a = b", {"a" => "\u1fb3", "b" => "\u03b1\u0399"})).to be(true)
    (0x370..0x3ff).each do |code|
      [code].pack("U")
        .then do |letter|
          expect(Core::Unicode.folded(letter)).to eq(
            Core::Unicode.folded(letter.unicode_normalize(:nfd))
          )
        end
    end
  end
end
