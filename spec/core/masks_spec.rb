# frozen_string_literal: true

require "core_helper"

RSpec.describe "Masks" do
  {
    "2UPPER \"-\" 3DIGIT" => [%w[KD-017 ÄÖ-000], ["kd-017", "KD017", "KD-01", "KD-0170", "KDX017", ""]],
    "1*2DIGIT \"/\" 4DIGIT" => [%w[1/2026 12/2026], %w[/2026 123/2026 1/202]],
    "\"0\" 4DIGIT [ \" x\" 1*4DIGIT ]" => [["01234", "01234 x5", "01234 x5678"], ["1234", "01234 x", "01234 x56789"]],
    "1*ALPHA" => [%w[kiln Ofen 窯], ["kiln1", "", "a b"]],
    "[ 1*3ALNUM ] [ 1*3ALNUM ] \"!\"" => [["!", "a!", "abc1!", "abc123!"], ["abc1234!", "abc"]],
    "ANY \"-\" LOWER" => [["é-a", "👨‍👩‍👧-a"], ["é-A", "-a"]],
    "*DIGIT" => [["", "1234567890"], ["1a"]],
    "2ANY" => [["a\nb"[0, 1] + "c"], ["a"]]
  }.each do |text, (fitting, others)|
    it text do
      mask = Core::Masks.read(text)
      expect(fitting.reject { |each| mask.fits?(each) }).to eq([])
      expect(others.select { |each| mask.fits?(each) }).to eq([])
    end
  end

  {
    "" => "at least one part",
    "3DIGT" => "no kind of character `DIGT`",
    "\"-" => "no closing",
    "[ DIGIT" => "no matching",
    "\"\"" => "at least one character",
    "DIGIT ]" => "has no matching",
    "3" => "Expected a kind of character",
    "4*2DIGIT" => "the smaller number first",
    "999DIGIT" => "can be up to 200",
    "#{"[" * 20}DIGIT#{"]" * 20}" => "8 levels deep",
    "0DIGIT" => "can be up to",
    "§" => "Expected a kind of character",
    "DIGIT" * 200 => "up to 500"
  }.each do |text, message|
    it("tells what is wrong with #{text[0, 30].inspect}") do
      expect { Core::Masks.read(text) }.to raise_error(Core::Masks::Invalid, /#{Regexp.escape(message)}/)
    end
  end

  it "takes no time over a mask with a thousand ways to read a text" do
    mask = Core::Masks.read("[ 1*9ALNUM ] " * 30 + "\"!\"")
    expect(mask.fits?("a" * 1_000)).to be(false)
  end
end
