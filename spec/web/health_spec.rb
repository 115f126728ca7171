# frozen_string_literal: true

require "web_helper"

RSpec.describe "What watches over the program" do
  include WebHelp

  def asked(path)
    get path
    [last_response.status, JSON.parse(last_response.body)]
  end

  it "hears that it is alive and can work, without signing in" do
    expect(asked("/health")).to eq([200, {"alive" => true}])
    checks = {"database" => true, "disk" => true, "schedule" => true, "backup" => true}
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

  it "hears that no backup was made for long" do
    UpTack::UseCases::Maintenance::Backups.new(workspace.clock).change("every" => "hour")
    allow(UpTack::Store::Revision).to receive(:minimum).and_return(Time.now.utc - (4 * 3_600))
    expect(asked("/ready")).to match([503, include("checks" => include("backup" => false))])
    UpTack::Store::Backups.new.make("schedule")
    expect(asked("/ready").first).to eq(200)
  end

  describe "gets figures" do
    def figures
      get "/metrics"
      last_response.body
    end

    it "of what is asked and how things stand, at this machine" do
      UpTack::Web::Metrics.start
      sign_in_as("Bram Tolley")
      3.times { ask(:post, "/api/tables/pieces/draft", {typed: {"piece" => "Mug"}}) }
      ask(:post, "/api/tables/clays/records", {typed: {"name" => "Figures"}})
      expect(figures).to include(%(up_tack_requests_total{kind="draft",status="200"} 3.0))
        .and include(%(up_tack_requests_total{kind="save",status="201"} 1.0))
        .and match(/^up_tack_request_seconds_bucket\{kind="draft",le="\+Inf"\} 3/)
        .and match(/^up_tack_write_wait_seconds_count [1-9]/)
        .and include("up_tack_log_position #{UpTack::Store::ChangeLog.latest}\n")
      expect(figures).not_to include("Figures")
      expect(last_response.media_type).to eq("text/plain")
    end

    it "with the token alone, where there is one, and from elsewhere not at all" do
      get "/metrics", {}, {"REMOTE_ADDR" => "192.0.2.7"}
      expect(status).to eq(404)
      stub_const("ENV", ENV.to_h.merge("UP_TACK_METRICS" => "a-token-for-figures"))
      get "/metrics"
      expect(status).to eq(404)
      get "/metrics", {}, {"HTTP_AUTHORIZATION" => "Bearer a-token-for-figures", "REMOTE_ADDR" => "192.0.2.7"}
      expect(status).to eq(200)
    end
  end
end
