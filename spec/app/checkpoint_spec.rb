# frozen_string_literal: true

require "store_helper"

# What is written waits beside the file until somebody brings it there. Clerks must not be those.
RSpec.describe "What waits beside the file" do
  let(:checkpoint) { UpTack::Store::Checkpoint }
  let(:raw) { UpTack::Store::Database.connection.raw_connection }

  it "is counted as SQLite counts it, and nothing waits once it was brought there" do
    raw.execute("PRAGMA wal_autocheckpoint = 0")
    checkpoint.call
    expect(checkpoint.waiting).to eq(0)
    random = Random.new(RSpec.configuration.seed)
    3.times do
      random.rand(1..9).times { save_piece(good_piece) }
      waiting = checkpoint.waiting
      # Whether somebody was in the way, the pages of the log, and those that are in the file now.
      told = raw.execute("PRAGMA wal_checkpoint(PASSIVE)").first
      expect([told.respond_to?(:values) ? told.values : told, waiting]).to match([[0, waiting, waiting], be > 0])
      expect(checkpoint.waiting).to eq(0)
    end
  end

  it "is left to the schedule by those who answer, and brought there by it" do
    allow(UpTack::Schedule).to receive(:mine?).and_return(true)
    raw.execute("PRAGMA wal_autocheckpoint = 0")
    checkpoint.call
    before = checkpoint.waiting
    save_piece(good_piece) until checkpoint.waiting > 60
    asked = []
    allow(UpTack::Work).to receive(:call).and_wrap_original do |call, task, *rest, **more|
      (asked << task) && call.call(task, *rest, **more)
    end
    stub_const("UpTack::Store::Checkpoint::WORTH", 50)
    UpTack::Schedule.tidy_file
    expect([before, asked, checkpoint.waiting]).to eq([0, [], 0])
    save_piece(good_piece) until checkpoint.waiting > 60
    stub_const("UpTack::Store::Checkpoint::LONG", 50)
    UpTack::Schedule.tidy_file
    expect([asked, checkpoint.waiting]).to eq([["checkpoint"], 0])
  end
end
