# frozen_string_literal: true

require "web_helper"

# What the machine lacks is said in words that people understand, loses nothing, and is over once the machine has it
# again, without a restart.
RSpec.describe "A machine that lacks something" do
  include WebHelp

  # Says it to every connection that requests are answered with.
  def pragma(text) = ActiveRecord::Base.connection_pool.connections.each { |each| each.execute("PRAGMA #{text}") }

  let(:piece) { {typed: good_piece} }

  before { sign_in_as("Bram Tolley") }

  def told(method, path, body = nil)
    answer = ask(method, path, body)
    [status, answer.is_a?(Hash) ? answer["code"] : nil]
  end

  # Says the same for saves, batches and, where it is asked for, what is only read.
  def refused(code, status)
    long = "x" * 20_000
    before = pieces.count
    saves = Array.new(3) { told(:post, "/api/tables/pieces/records", {typed: good_piece.merge("maker_note" => long)}) }
    expect(saves).to include([status, code])
    expect(told(:get, "/api/tables/pieces/records").first).to eq(200)
    expect(told(:post, "/api/tables/pieces/draft", piece).first).to eq(200)
    saved = saves.count { |answered, _| answered == 201 }
    expect(pieces.count).to eq(before + saved)
  end

  it "says that the disk is full, and goes on once there is room" do
    pages = UpTack::Store::Database.connection.select_value("PRAGMA page_count")
    pragma("max_page_count = #{pages + 1}")
    refused("disk_full", 507)
    pragma("max_page_count = #{pages * 100}")
    expect(told(:post, "/api/tables/pieces/records", piece).first).to eq(201)
    expect(UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound)).to eq([])
  end

  it "says that the database is read-only, and goes on once it is not" do
    UpTack::Store::Database.connection
    pragma("query_only = ON")
    refused("read_only", 503)
    pragma("query_only = OFF")
    expect(told(:post, "/api/tables/pieces/records", piece).first).to eq(201)
  end

  it "says that there is no memory left" do
    allow(UpTack::Core::Save).to receive(:call).and_raise(NoMemoryError)
    expect(told(:post, "/api/tables/pieces/records", piece)).to eq([503, "no_memory"])
    RSpec::Mocks.space.proxy_for(UpTack::Core::Save).reset
    expect(told(:post, "/api/tables/pieces/records", piece).first).to eq(201)
  end

  it "goes on though what processes tell one another can't be written" do
    allow(SQLite3::Database).to receive(:new).and_wrap_original do |open, path, *more, **options|
      raise SQLite3::FullException if path.to_s.end_with?(UpTack::Store::Shared::ENDING)

      open.call(path, *more, **options)
    end
    UpTack::Store::Shared.close
    key = {"HTTP_IDEMPOTENCY_KEY" => "once"}
    first, again = Array.new(2) { ask(:post, "/api/tables/pieces/records", piece, key)["id"] }
    expect(first).to eq(again)
    expect(told(:get, "/api/work").first).to eq(200)
  ensure
    UpTack::Store::Shared.close
  end

  it "goes on when its clock was set back" do
    saved = [-1, 3_600, -86_400].map do |seconds|
      moment = Time.now + seconds
      allow(Time).to receive(:now).and_return(moment)
      ask(:post, "/api/tables/pieces/records", piece)["id"]
    end
    expect(saved).to eq(saved.sort.uniq)
    expect(UpTack::Store::LogCheck.run.sound).to be(true)
    UpTack::Schedule.look
    expect(asked_ready).to eq(true)
  end

  def asked_ready
    get "/ready"
    JSON.parse(last_response.body)["checks"]["schedule"]
  end
end
