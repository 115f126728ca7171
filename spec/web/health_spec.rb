# frozen_string_literal: true

require "web_helper"

RSpec.describe "What watches over the program" do
  def asked(path)
    get path
    [last_response.status, JSON.parse(last_response.body)]
  end

  it "hears that it is alive and can work, without signing in" do
    expect(asked("/health")).to eq([200, {"alive" => true}])
    checks = {"database" => true, "disk" => true, "schedule" => true}
    expect(asked("/ready")).to eq([200, {"ready" => true, "checks" => checks}])
    expect(last_response.headers["Cache-Control"]).to eq("no-store")
  end

  it "hears which part can't work" do
    allow(File).to receive(:writable?).and_call_original
    allow(File).to receive(:writable?).with(UpTack::Store::Database.path).and_return(false)
    expect(asked("/ready")).to match([503, include("ready" => false, "checks" => include("database" => false))])
    allow(File).to receive(:writable?).and_call_original
    allow(UpTack::Schedule).to receive(:stalled?).and_return(true)
    expect(asked("/ready")).to match([503, include("checks" => include("database" => true, "schedule" => false))])
  end

  it "learns of a schedule that has stopped, and not of one that was never started" do
    schedule = UpTack::Schedule
    expect(schedule.stalled?).to be(false)
    UpTack::Store::Shared.write(schedule::LOOKED, schedule.now - schedule::STALLED - 1)
    expect(schedule.stalled?).to be(true)
    schedule.look
    expect(schedule.stalled?).to be(false)
  end
end
