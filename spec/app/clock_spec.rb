# frozen_string_literal: true

require "store_helper"

RSpec.describe UpTack::Clock, :no_database do
  def stopped(text) = described_class.stopped("Europe/Dublin", text)

  it "reads day and hour at the firm, summer time and all" do
    expect(stopped("2026-11-23T09:30").now).to eq(Time.utc(2026, 11, 23, 9, 30))
    expect(stopped("2026-07-01T00:30").now).to eq(Time.utc(2026, 6, 30, 23, 30))
    expect(stopped("2026-07-01T00:30").today).to eq(Date.new(2026, 7, 1))
    expect(stopped("2026-07-01").local(Time.utc(2026, 7, 1, 12)).strftime("%H:%M")).to eq("13:00")
  end

  it "takes the hour after the one that the spring skips, and the first of the two in autumn" do
    expect(stopped("2026-03-29T01:30").local(stopped("2026-03-29T01:30").now).strftime("%H:%M")).to eq("02:30")
    expect(stopped("2026-10-25T01:30").now).to eq(Time.utc(2026, 10, 25, 0, 30))
  end

  it "knows no hour that there is not" do
    ["2026-02-30T10:00", "2026-01-01T24:00", "soon", "", nil, "2026-13-01"].each do |text|
      expect(stopped(text)).to be_nil
    end
  end

  it "goes by the machine otherwise" do
    expect(described_class.new("Europe/Dublin").now).to be_within(5).of(Time.now)
    expect(described_class.new("Europe/Dublin")).not_to be_pretend
  end
end
