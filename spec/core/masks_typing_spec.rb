# frozen_string_literal: true

require "core_helper"
require "json"
require "open3"
require "support/random_mask"

RSpec.describe "Typing by a mask" do
  # mask => {typed => [formatted text, what is missing or wrong]}
  cases = {
    '2UPPER "-" 3DIGIT' => {
      "kd017" => ["KD-017", nil],
      "KD 017" => ["KD-017", nil],
      "kd/017" => ["KD-017", nil],
      "KD--017" => ["KD-017", nil],
      "" => ["", "two more uppercase letters and three digits are missing"],
      "KD-01" => ["KD-01", "one more digit is missing"],
      "k" => ["K", "one more uppercase letter and three digits are missing"],
      "äö000" => ["ÄÖ-000", nil],
      "KDX17" => ["KDX17", "a digit is expected at position 4, not “X”"],
      "KD0171" => ["KD0171", "“1” is too much: it ends after “KD-017”"],
      "1" => ["1", "an uppercase letter is expected at position 1, not “1”"]
    },
    '"PC-" 5DIGIT' => {
      "42" => ["PC-42", "three more digits are missing"],
      "pc-00042" => ["PC-00042", nil],
      "PC00042" => ["PC-00042", nil]
    },
    '1*2DIGIT "/" 4DIGIT' => {
      "1.2026" => ["1/2026", nil],
      "122026" => ["12/2026", nil],
      "1" => ["1", "four more digits are missing"]
    },
    '4DIGIT [ " x" 1*4DIGIT ]' => {
      "1234" => ["1234", nil],
      "1234x5" => ["1234 x5", nil],
      "12345" => ["1234 x5", nil],
      "12" => ["12", "two more digits are missing"]
    },
    '[ "+" 2DIGIT " " ] 4DIGIT' => {
      "+12 3456" => ["+12 3456", nil],
      "1234" => ["1234", nil],
      "123456" => ["+12 3456", nil],
      "+1" => ["+1", "five more digits are missing"]
    },
    '2DIGIT "%"' => {"12" => ["12%", nil], "12%" => ["12%", nil], "1" => ["1", "one more digit is missing"]},
    '"0" 1*2DIGIT " " 3DIGIT " " 4DIGIT' => {
      "1 555 0142" => ["01 555 0142", nil],
      "01-555-0142" => ["01 555 0142", nil],
      "0155501422" => ["015 550 1422", nil]
    },
    '2LOWER ":" 2ALPHA' => {"AB:Cd" => ["ab:Cd", nil], "ab:c" => ["ab:c", "one more letter is missing"]},
    "3ANY" => {"a-b" => ["a-b", nil], "ab" => ["ab", "one more character is missing"]},
    '1*3DIGIT " x " 1*3DIGIT' => {
      "30x40" => ["30 x 40", nil],
      "30 40" => ["30 x 40", nil],
      "300400" => ["300 x 400", nil]
    }
  }

  cases.each do |mask, texts|
    it "formats what arrives: #{mask}" do
      found = texts.keys.to_h { |text| [text, Core::Masks.read(mask).fit(text).then { |fit| [fit.text, fit.message] }] }
      expect(found).to eq(texts)
    end

    it "says complete of just what fits: #{mask}" do
      read = Core::Masks.read(mask)
      expect(texts.keys.map { |text| read.fit(text) }.select(&:complete)).to all(satisfy { |fit| read.fits?(fit.text) })
      expect(texts.keys.select { |text| read.fits?(text) }).to all(satisfy { |text| read.fit(text).text == text })
    end
  end

  # What the browser's side makes of masks and texts, beside the server's.
  def both(pairs)
    asked = pairs.map { |mask, text| {mask: Core::Masks::ClientMask.compiled(Core::Masks.read(mask)), text: text} }
    script = File.expand_path("../../ui/scripts/mask-cases.mjs", __dir__)
    out, errors, status = Open3.capture3("node", script, stdin_data: JSON.generate(asked))
    raise errors unless status.success?

    JSON.parse(out).zip(pairs).map do |browser, (mask, text)|
      server = Core::Masks.read(mask).fit(text)
      {browser: [mask, text, browser["text"], browser["complete"]], server: [mask, text, server.text, server.complete]}
    end
  end

  it "is the same in the browser's mask library, case by case" do
    found = both(cases.flat_map { |mask, texts| texts.keys.map { |text| [mask, text] } })
    expect(found.map { |each| each[:browser] }).to eq(found.map { |each| each[:server] })
  end

  it "is the same there for made-up masks and texts" do
    random = RandomMask.new(RSpec.configuration.seed)
    pairs = Array.new(400) { random.mask.then { |mask| [mask, random.text(mask)] } }
    differing = both(pairs).reject { |each| each[:browser] == each[:server] }
    expect(differing).to eq([])
  end

  it "changes nothing more when what it made is typed again, and takes what fits as it is" do
    random = RandomMask.new(RSpec.configuration.seed)
    300.times do
      mask = random.mask
      read = Core::Masks.read(mask)
      once = read.fit(random.text(mask))
      expect([mask, read.fit(once.text).text]).to eq([mask, once.text])
      sample = Core::Masks::Examples.sample(read)
      expect([mask, read.fit(sample).to_h.slice(:text, :complete)]).to eq([mask, {text: sample, complete: true}])
    end
  end

  it "fits just the texts that are found by following every way of reading it" do
    random = RandomMask.new(RSpec.configuration.seed)
    found = Array.new(400) do
      mask = random.mask
      read = Core::Masks.read(mask)
      text = random.text(mask)
      [mask, text, read.fits?(text), read.send(:followed?, text)]
    end
    expect(found.reject { |*, one, other| one == other }).to eq([])
    expect(found.count { |*, one, _| one }).to be > 40
  end

  it "puts separators back that were left out, for every mask that allows it" do
    random = RandomMask.new(RSpec.configuration.seed)
    masks =
      Array
        .new(200) { random.mask }
        .select { |mask| Core::Masks::ClientMask.problem(Core::Masks.read(mask), bare: true).nil? }
    masks.each do |mask|
      read = Core::Masks.read(mask)
      sample = Core::Masks::Examples.sample(read)
      expect([mask, read.dressed(read.bare(sample))]).to eq([mask, sample])
    end
    expect(masks.length).to be > 20
  end

  {
    "1*3DIGIT 2DIGIT" => "Nothing shows where",
    '1*3ALNUM "x"' => "Nothing shows where",
    '"PC"' => "needs at least one place",
    "[ 1*2DIGIT ] 3DIGIT" => "Nothing shows whether",
    '1*4ALNUM [ " " ] "kg"' => "Nothing shows where",
    "1*2UPPER LOWER DIGIT" => "Nothing shows where",
    '0*ALPHA [ "." ] "KD"' => "Nothing shows where",
    '[ "a" DIGIT ] [ "b" DIGIT ] [ "c" DIGIT ] [ "d" DIGIT ] [ "e" DIGIT ] "-"' => "up to 4 optional"
  }.each do |mask, message|
    it("is refused by #{mask}") do
      expect(Core::Masks::ClientMask.problem(Core::Masks.read(mask))).to include(message)
    end
  end

  it "leaves separators out only where they can be put back" do
    expect(Core::Masks::ClientMask.problem(Core::Masks.read('1*2DIGIT "/" 1*2DIGIT'), bare: true)).to include(
      "can't be told apart"
    )
    expect(Core::Masks::ClientMask.problem(Core::Masks.read('3ANY "-" DIGIT'), bare: true)).to include(
      "may contain them too"
    )
    mask = Core::Masks.read('2UPPER "-" 3DIGIT')
    expect(Core::Masks::ClientMask.problem(mask, bare: true)).to be_nil
    expect([mask.bare("KD-017"), mask.dressed("KD017"), mask.bare("odd-one"), mask.dressed("odd-one")]).to eq(
      %w[KD017 KD-017 odd-one odd-one]
    )
  end

  it "is found by example, and each reading fits the example" do
    expect(Core::Masks::Examples.readings("KD-017")).to eq(
      ['2UPPER "-" 3DIGIT', '"KD-" 3DIGIT', '1*2UPPER "-" 1*3DIGIT', '2ALPHA "-" 3DIGIT']
    )
    ["01 555 0142", "Ab3", "x", "12:30", "30 x 40", "Ä-1"].each do |text|
      readings = Core::Masks::Examples.readings(text).map { |mask| Core::Masks.read(mask) }
      expect(readings.map { |mask| mask.fits?(text) }.uniq).to eq([true]), text
    end
    expect(Core::Masks::Examples.readings("--")).to eq([])
  end

  it "goes from text to pieces and back" do
    (cases.keys + Core::Masks::ReadyMade::ALL.map { |each| each[:mask] }).each do |text|
      mask = Core::Masks.read(text)
      expect(Core::Masks::Writer.from_pieces(Core::Masks::Writer.pieces(mask.parts)).delete(" ")).to eq(
        text.delete(" ")
      )
      expect(mask.fits?(Core::Masks::Examples.sample(mask))).to be(true), text
    end
    [[{"text" => ""}], [{"class" => "DIGIT"}], [{"optional" => []}], ["x"], [{"text" => "\""}]].each do |pieces|
      expect { Core::Masks::Writer.from_pieces(pieces) }.to raise_error(Core::Masks::Invalid)
    end
  end

  it "has the server take a megabyte as quickly as a letter" do
    expect(Core::Masks.read("3DIGIT").fit("1" * 1_000_000)).to have_attributes(
      complete: false,
      message: a_string_including("1,000,000 characters")
    )
  end
end
