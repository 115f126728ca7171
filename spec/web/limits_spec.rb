# frozen_string_literal: true

require "csv"
require "web_helper"

RSpec.describe "Limits before work, over HTTP" do
  include WebHelp

  # A body that nobody may read.
  unread = Class.new do
    def read(*) = raise("the body was read")
    alias_method :gets, :read
    alias_method :each, :read
    def rewind = nil
  end

  def keyed(body, **more) =
    {
      "CONTENT_TYPE" => "application/json",
      "HTTP_IDEMPOTENCY_KEY" => "one",
      "rack.input" => body,
      **more.transform_keys(&:to_s)
    }

  def remembered = UpTack::Store::IdempotentResponse.count

  it "reads nothing, and holds nothing, for whoever is not signed in" do
    sign_nobody_in
    custom_request("POST", "/api/tables/pieces/records", nil, keyed(unread.new, CONTENT_LENGTH: "300000000"))
    expect([status, remembered]).to eq([401, 0])
  end

  it "reads no more of a body than is taken, and remembers no answer with a secret in it" do
    sign_in_as("Odile Marsh")
    custom_request(
      "POST",
      "/api/tables/pieces/records",
      nil,
      keyed(
        StringIO.new("{\"typed\": \"#{"x" * 9_000_000}\"}"),
        HTTP_X_WRITE_KEY: @write_key,
        CONTENT_LENGTH: "9000015"
      )
    )
    expect([status, remembered]).to eq([413, 0])
    made = ask(:post, "/api/tokens", {name: "Script", role: "reader", days: 1}, {"HTTP_IDEMPOTENCY_KEY" => "two"})
    expect([status, made.key?("token"), remembered]).to eq([201, true, 0])
    saved = ask(:post, "/api/tables/pieces/records", {typed: good_piece}, {"HTTP_IDEMPOTENCY_KEY" => "three"})
    first = last_response.headers
    expect([status, remembered]).to eq([201, 1])
    expect(
      ask(:post, "/api/tables/pieces/records", {typed: good_piece}, {"HTTP_IDEMPOTENCY_KEY" => "three"})
    ).to eq(saved)
    expect(last_response.headers.to_h).to include(first.to_h.except("content-length", "set-cookie", "x-request-id"))
    expect(pieces.count).to eq(29)
  end

  it "stops a question that takes too long, with words" do
    sign_in_as("Hale Orrin")
    slow = "/api/tables/pieces/records?filter=#{Rack::Utils.escape("piece fits \"9DIGIT\" and len(piece) > 1")}"
    expect(ask(:get, slow)["records"]).to eq([])
    stub_const("UpTack::Store::Deadline::USUAL", -1)
    expect([ask(:get, slow.sub("1", "2"))["code"], status]).to eq(["too_slow", 503])
  end

  it "holds the lock for the write alone, also where a write is done once" do
    sign_in_as("Odile Marsh")
    writing = nil
    allow(UpTack::UseCases::Records::SaveRecord).to receive(:new).and_wrap_original do |made, *rest, **more|
      writing = UpTack::Store::Database.writing?
      made.call(*rest, **more)
    end
    2.times { ask(:post, "/api/tables/pieces/records", {typed: good_piece}, {"HTTP_IDEMPOTENCY_KEY" => "four"}) }
    expect([writing, pieces.count]).to eq([false, 29])
    UpTack::Store::IdempotentResponse.find_by(key: "four").update!(UpTack::Store::IdempotentResponse::DONE)
    expect(
      ask(:post, "/api/tables/pieces/records", {typed: good_piece}, {"HTTP_IDEMPOTENCY_KEY" => "four"})["code"]
    ).to eq("done_before")
    expect([status, pieces.count]).to eq([409, 29])
  end

  it "never makes or compares a password while it holds the lock" do
    sign_in_as("Odile Marsh")
    locked = []
    allow(BCrypt::Engine).to receive(:hash_secret).and_wrap_original do |made, *rest|
      locked << UpTack::Store::Database.writing?
      made.call(*rest)
    end
    ask(:post, "/api/people", {name: "Runa Kestrel", password: "warm glaze shelf"}, {"HTTP_IDEMPOTENCY_KEY" => "five"})
    ask(:patch, "/api/people/2", {password: "four kilns in a row"}, {"HTTP_IDEMPOTENCY_KEY" => "six"})
    @write_key = ask(:put, "/api/session/password", {new: "clay, kiln and glaze"})["write_key"]
    ask(:post, "/api/session/confirm", {password: "clay, kiln and glaze"})
    ask(:post, "/api/session", {name: "bram", password: "four kilns in a row"})
    expect([locked.length, locked.uniq]).to eq([5, [false]])
  end

  it "stops within one record, whose texts a condition goes through over and over" do
    sign_in_as("Hale Orrin")
    looks = 0
    allow(UpTack::Store::Deadline).to receive(:look) {
      ((looks += 1) > 20) ? raise(UpTack::Store::Deadline::Exceeded) : nil
    }
    dear = (1..12).map { |n| "len(substitute(rept(piece, 2000), \"u\", \"u#{n}\"))" }.join(" + ")
    expect(
      [ask(:get, "/api/tables/pieces/records?filter=#{Rack::Utils.escape("#{dear} > 1")}")["code"], looks]
    ).to eq(["too_slow", 21])
  end

  it "stops no file while it is written, and none before its records are found" do
    sign_in_as("Hale Orrin")
    deadline = UpTack::Store::Deadline
    # A minute goes by with each portion.
    passed = 0
    allow(deadline).to receive(:now).and_wrap_original { |now| now.call + passed }
    allow(deadline).to receive(:rest).and_wrap_original { |rest| (passed += 60) && rest.call }
    stub_const("UpTack::UseCases::Exports::Records::PORTION", 10)
    ask(:get, "/api/tables/pieces/export.csv")
    expect([status, CSV.parse(last_response.body).length, passed]).to match([200, 29, be >= 120])
    sign_in_as("Odile Marsh")
    allow(UpTack::Store::RecordTable).to receive(:new).and_wrap_original { |made, *rest|
      (passed += 60) && made.call(*rest)
    }
    %w[sql sqlite3 zip].each { |kind| expect([kind, ask(:get, "/api/export.#{kind}") && status]).to eq([kind, 200]) }
  end

  it "lets only a few long questions go on at a time, and the others as their turn comes" do
    deadline = UpTack::Store::Deadline
    stub_const("UpTack::Store::Deadline::QUICK", -1)
    stub_const("UpTack::Store::Deadline::SLICE", -1)
    at_work, gate = Queue.new, Queue.new
    ask = lambda do
      deadline.look
      at_work << 1
      gate.pop
    end
    threads = Array.new(4) { Thread.new { deadline.within(&ask) } }
    deadline::TOGETHER.times { at_work.pop }
    expect(at_work.length).to eq(0)
    4.times { gate << nil }
    threads.each(&:join)
    expect([at_work.length, deadline.going]).to eq([4 - deadline::TOGETHER, 0])
  end

  it "answers the same however often a question gives way" do
    sign_in_as("Hale Orrin")
    asked = -> do
      ask(
        :get,
        "/api/tables/pieces/records?filter=#{Rack::Utils.escape("piece is not blank and len(\"\" & piece) > 0")}"
      )[
        "records"
      ].length
    end
    expect(asked.call).to eq(28)
    stub_const("UpTack::Store::Deadline::SLICE", -1)
    UpTack::Services::Selection::KNOWN.clear
    expect(asked.call).to eq(28)
  end

  it "tells how far long work is, however much is asked at once" do
    stub_const("UpTack::Web::Guard::TimeLimit::MOST", 0)
    ask(:get, "/api/tables/pieces/records")
    expect(status).to eq(503)
    expect(ask(:get, "/api/work")["work"]).to eq([])
  end

  it "lets nobody fill the server with long work, and verifies the log once for all who ask" do
    gate = Queue.new
    jobs = Array.new(UpTack::Jobs::MOST) { UpTack::Jobs.start(owner: 1) { gate.pop } }
    expect { UpTack::Jobs.start(owner: 1) { nil } }.to raise_error(UpTack::Jobs::TooMany)
    expect(UpTack::Jobs.start(owner: 2) { nil }.wait(5)).to be(true)
    one, other = Array.new(2) { |owner| UpTack::Jobs.start(owner: owner + 5, shared: "verify") { gate.pop } }
    expect(one).to equal(other)
    (jobs.length + 1).times { gate << nil }
    expect(jobs.map { |job| job.wait(5) }).to all(be(true))
  end

  it "keeps no more of anybody's files than their share, and none for longer than a day" do
    stub_const("UpTack::UseCases::Imports::Uploads::QUOTA", 100)
    uploads = UpTack::UseCases::Imports::Uploads.new(person("Bram Tolley"))
    kept = uploads.add(StringIO.new("a,b\n#{"1,2\n" * 15}"), "one.csv")
    expect { uploads.add(StringIO.new("x" * 60), "two.csv") }.to raise_error(
      UpTack::UseCases::Imports::Uploads::TooLarge
    )
    File.utime(Time.now - 90_000, Time.now - 90_000, kept.path)
    UpTack::UseCases::Imports::Uploads.forget_old
    expect { uploads.find(kept.id) }.to raise_error(UpTack::Store::NotFound)
  end
end
