# frozen_string_literal: true

require "json"
require "stringio"
require "store_helper"

RSpec.describe "bin/uptack eval", :no_database do
  def run(*arguments)
    out = StringIO.new
    err = StringIO.new
    status = UpTack::Commands.run(["eval", *arguments], out: out, err: err)
    [status, *[out, err].map { |stream| stream.string.empty? ? nil : JSON.parse(stream.string) }]
  end

  it "prints type and value as one line of JSON" do
    {
      ["0.1 + 0.2"] => ["number", "0.3"],
      ["\"a\" & 1.50"] => ["text", "a1.5"],
      ["1 = 1"] => ["yes/no", true],
      ["blank"] => ["blank", nil],
      ["1 / 0"] => ["blank", nil],
      ["today() + 14", "--today", "2026-11-23"] => ["date", "2026-12-07"],
      ["now()", "--today=2026-11-23"] => ["moment", "2026-11-23T12:00:00Z"],
      ["-2 ^ 2"] => ["number", "-4"],
      ["a + 2.2", "--values", "{\"a\":1.10}"] => ["number", "3.3"],
      ["value(a) * 3", "--values", "{\"a\":\"1.10\"}"] => ["number", "3.3"],
      ["--values", "{\"A\":null,\"ok\":true}", "a is blank and ok"] => ["yes/no", true],
      ["a", "--values", "{\"a\":0.30000000000000}"] => %w[number 0.3]
    }.each do |arguments, (type, value)|
      expect([arguments, run(*arguments)]).to eq([arguments, [0, {"type" => type, "value" => value}, nil]])
    end
  end

  it "tells a mistake with its place and exits with 1" do
    expect(run("1 + x")).to eq(
      [1, nil, {"message" => "There is no field `x`. Put text in quotes: \"x\".", "from" => 4, "to" => 5}]
    )
    expect(run("10 ^ 20")).to eq(
      [1, nil, {"message" => "The result has more than 15 digits.", "from" => 0, "to" => 7}]
    )
    expect(run("\xff\xfe").first(2)).to eq([1, nil])
    [
      [],
      %w[1 2],
      %w[a --values {],
      ["a", "--values", "[1]"],
      ["a", "--values", "{\"a\":[1]}"],
      ["a", "--values", "{\"a\":#{"9" * 40}}"],
      ["1", "--today", "31 Feb"],
      %w[1 --today]
    ].each do |arguments|
      status, out, err = run(*arguments)
      expect([status, out, err&.keys]).to eq([1, nil, %w[message from to]]), arguments.inspect
    end
  end

  it "runs from any folder" do
    out = IO.popen([UpTack::Installation.path("bin", "uptack"), "eval", "1 + 1"], chdir: "/tmp", &:read)
    expect(JSON.parse(out)).to eq("type" => "number", "value" => "2")
  end
end
