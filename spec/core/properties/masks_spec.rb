# frozen_string_literal: true

require "core_helper"
require "json"
require "open3"

# Typing a text that fits a mask never changes it: not whole, not key by key, not in the browser, not
# by storing it without separators. Masks are of any shape that may be typed by; texts are made from
# the mask's parts alone.
RSpec.describe "Masks of any shape" do
  letters = {
    "DIGIT" => %w[0 5 9],
    "UPPER" => %w[A K Z É Ǆ],
    "LOWER" => %w[a k z ß ﬁ],
    "ALPHA" => %w[a K é 窯 ǅ],
    "ALNUM" => %w[a K 0 9],
    "ANY" => ["a", "K", "0", " ", "-", "👩‍🚀", "🏺", "e\u0301\u0302"]
  }
  signs = ["-", "/", " ", ".", "kg", "KD", " x ", "No. ", "5", "+", "%", "#", "€", "🏺"]
  counts = ["", "2", "3", "1*2", "0*2", "*3", "2*4"]

  random_part = lambda do |random, depth|
    case random.rand(10)
    when 0..4 then "#{counts.sample(random: random)}#{letters.keys.sample(random: random)}"
    when 5..7 then "\"#{signs.sample(random: random)}\""
    else (depth > 1) ? "DIGIT" : "[ #{Array.new(random.rand(1..2)) { random_part.call(random, depth + 1) }.join(" ")} ]"
    end
  end

  random_mask = lambda do |random, bare|
    loop do
      text = Array.new(random.rand(1..5)) { random_part.call(random, 0) }.join(" ")
      read = Core::Masks.read(text)
      return [text, read] unless Core::Masks::ClientMask.problem(read, bare: bare)
    rescue Core::Masks::Invalid
      next
    end
  end

  sample =
    lambda do |parts, random|
      parts
        .map do |part|
          case part
          when Core::Masks::Reader::Literal
            part.characters.join
          when Core::Masks::Reader::Optional
            (random.rand < 0.5) ? "" : sample.call(part.parts, random)
          else
            Array
              .new(random.rand(part.least..[part.most, part.least + 3].min)) do
                letters.fetch(part.name).sample(random: random)
              end
              .join
          end
        end
        .join
    end

  it "keep what fits them, whole and key by key, in the browser as on the server" do
    random = Random.new(RSpec.configuration.seed)
    cases =
      Array.new(5_000) do
        random_mask.call(random, false).then { |text, mask| [text, mask, sample.call(mask.parts, random)] }
      end
    cases.reject! { |*, text| text.strip.empty? }
    changed =
      cases.reject do |_, mask, text|
        mask.fits?(text) && mask.fit(text).to_h.slice(:text, :complete) == {text: text, complete: true}
      end
    expect(changed.map { |mask, _, text| [mask, text] }).to eq([])

    asked = cases.map { |_, mask, text| {mask: Core::Masks::ClientMask.compiled(mask), text: text} }
    out, errors, status =
      Open3.capture3(
        "node",
        File.expand_path("../../../ui/scripts/mask-cases.mjs", __dir__),
        stdin_data: JSON.generate(asked)
      )
    raise errors unless status.success?

    found = cases.zip(JSON.parse(out))
    expect(
      found
        .reject { |(*, text), browser| browser["text"] == text && browser["fits"] }
        .map { |(mask, _, text), browser| [mask, text, browser] }
    ).to eq([])
    expect(
      found
        .reject { |(*, text), browser| browser["typed"] == text }
        .map { |(mask, _, text), browser| [mask, text, browser["typed"]] }
    ).to eq([])
  end

  it "give back what was stored without their separators, optional ones included" do
    random = Random.new(RSpec.configuration.seed)
    lost = Array.new(1_500) do
      text, mask = random_mask.call(random, true)
      typed = sample.call(mask.parts, random)
      [text, typed, mask.dressed(mask.bare(typed))]
    end
    expect(lost.reject { |_, typed, back| typed == back || typed.strip.empty? }).to eq([])
    mask = Core::Masks.read('2DIGIT "-" 2DIGIT [ "." ]')
    expect([mask.bare("12-34."), mask.bare("12-34"), mask.dressed("1234")]).to eq(["12-34.", "1234", "12-34"])
  end

  it "are not offered where the example could be typed in two ways" do
    %w[KDab1 Ab12cd 12ab3 aB1 KD017x].each do |text|
      readings = Core::Masks::Examples.readings(text).map { |mask| Core::Masks.read(mask) }
      expect(readings.map { |mask| [Core::Masks::ClientMask.problem(mask), mask.fit(text).text] }.uniq).to eq(
        [[nil, text]]
      ),
        text
    end
  end
end
