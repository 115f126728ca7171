# frozen_string_literal: true

require "store_helper"

# Lists that were sorted before are brought up to date by the change log, and a cursor finds its place in them. Both are
# held against lists without memory, while records are added, changed and deleted in any order.
RSpec.describe "The order of a list that others change" do
  words = ["Ärmel", "ärmel", "mug", "Mug", "Straße", "strasse", "_x", "", nil, "100 %", "z" * 700].freeze
  sorts = ["words", "-words", "amount,-words", "-day,amount", "done,-id", "other", "-other,words", "version",
    "-version", "twice,words", "-others"]
  filters = [nil, "amount > 3", "words is not blank and done", "other is not blank", "other.words = \"mug\"",
    "amount + 1 < 6", "others > 3", "twice is blank"]

  before do
    change(:AddTable, label: "Odds")
    [%w[Words text], %w[Amount number], %w[Day date], %w[Done yes_no]].each do |label, type|
      change(:AddField, table: "odds", parts: {"label" => label, "type" => type})
    end
    change(:AddField, table: "odds", parts: {"label" => "Other", "type" => "link", "target" => "odds"})
    {"twice" => "amount * 2", "others" => "sum(odds.amount)"}.each do |field, formula|
      change(:AddField, table: "odds", parts: {"label" => field.capitalize, "type" => "number"})
      rule = {"kind" => "calculation", "field" => field, "formula" => formula}
      change(:PinRule, table: "odds", rule: rule)
    end
    drafts = Array.new(120) { |at| {typed: typed(at)} }
    UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(table: "odds", drafts: drafts, summary: "Odds")
  end

  let(:random) { Random.new(RSpec.configuration.seed) }
  let(:table) { UpTack::Store::RecordTable.new(workspace.table("odds")) }

  define_method(:typed) do |others|
    {
      "words" => words.sample(random: random),
      "amount" => ["0.1", "7", "12.5", "-3", nil].sample(random: random),
      "day" => ["2026-03-07", "2026-11-30", nil].sample(random: random),
      "done" => ["yes", "no", nil].sample(random: random),
      "other" => (others.positive? ? [nil, random.rand(1..others)].sample(random: random) : nil)
    }
  end

  def list(**view) = UpTack::UseCases::Records::ListRecords.new(workspace).call(table: "odds", **view)
  def all(**view) = list(limit: 500, **view).records.map(&:id)

  def selection(view) = UpTack::Services::View.new(workspace, "odds", **view).selection

  # @return [Integer] the record that was made, changed or deleted
  def somebody_saves
    ids = UpTack::Store::Database.connection.select_values("SELECT id FROM odds")
    id = ids.sample(random: random)
    if random.rand(8).zero?
      UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "odds", id: id, version: nil)
      return id
    end

    id = nil if random.rand(4).zero?
    some = typed(0).to_a.sample(random.rand(1..3), random: random).to_h
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "odds", id: id, typed: some).record.id
  end

  # Many records are given one value, or get back what they had.
  def somebody_changes_many
    if @batch && random.rand(2).zero?
      batch, @batch = @batch, nil
      return UpTack::UseCases::History::UndoBatch.new(workspace).call(batch)
    end

    ids = UpTack::Store::Database.connection.select_values("SELECT id FROM odds").sample(60, random: random)
    @batch = UpTack::UseCases::Bulk::Change.new(workspace).call(
      table: "odds", kind: "change", ids: ids, typed: typed(0).to_a.sample(1, random: random).to_h, keep: "passing"
    ).batch
  rescue Core::Invalid
    nil # All of them were changed since.
  end

  it "is the same as without memory, whatever was saved since" do
    stub_const("UpTack::Services::KeptOrder::MOST_SAVES", 50)
    unwatched = workspace.table("odds").fields.sample(random.rand(3), random: random)
    change(:ChangeTable, table: "odds", parts: {"log" => {"all_but" => unwatched.map(&:id)}}) if unwatched.any?
    views = Array.new(6) { {sort: sorts.sample(random: random), filter: filters.sample(random: random)}.compact }
    caught_up = 0
    allow_any_instance_of(UpTack::Services::KeptOrder).to receive(:catch_up)
      .and_wrap_original { |catch_up, *known| catch_up.call(*known).tap { |ids| caught_up += 1 if ids } }
    ids = ->(view) { selection(view).ids }
    Thorough.rounds(6).times do
      kept = Array.new(3) do
        random.rand(4).zero? ? somebody_changes_many : random.rand(1..3).times { somebody_saves }
        views.map(&ids)
      end.last
      UpTack::Services::Selection::KNOWN.clear
      expect(views.zip(kept)).to eq(views.zip(views.map(&ids)))
    end
    expect(caught_up).to be > 3
  end

  it "begins as it does without memory, whatever was saved since" do
    stub_const("UpTack::Services::KeptOrder::MOST_SAVES", 10)
    stub_const("UpTack::Services::KeptBeginning::LENGTH", 50)
    stub_const("UpTack::Services::KeptBeginning::SHORT", 40)
    allow(UpTack::Services::Selection::KNOWN).to receive(:ahead)
    views = Array.new(6) { {sort: sorts.sample(random: random), filter: filters.sample(random: random)}.compact }
    put_in_order = 0
    allow_any_instance_of(UpTack::Services::KeptBeginning).to receive(:with)
      .and_wrap_original { |with, *asked| with.call(*asked).tap { put_in_order += 1 } }
    Thorough.rounds(8).times do
      random.rand(3).zero? ? somebody_changes_many : random.rand(1..9).times { somebody_saves }
      at, limit = random.rand(30), random.rand(1..20)
      selection(views.sample(random: random)).ids if random.rand(4).zero?
      kept = views.map { |view| selection(view).page(limit, at: at) }
      # Within a transaction nothing is remembered.
      alone = -> { views.map { |view| selection(view).ids[at, limit].to_a } }
      fresh = UpTack::Store::Database.connection.transaction { alone.call }
      expect([at, views.zip(kept)]).to eq([at, views.zip(fresh)])
    end
    expect(put_in_order).to be > 3
  end

  it "lets a script read every record once, though records come, go and move between its pages" do
    # What is summed up of others moves whenever one of those is saved.
    (sorts - ["-others"]).sample(5, random: random).each do |sort|
      before = all(sort: sort)
      touched, read, cursor = [], [], nil
      loop do
        page = list(sort: sort, limit: random.rand(10..40), cursor: cursor)
        read.concat(page.records.map(&:id))
        cursor = page.following or break
        touched << somebody_saves
      end
      # What links to a record that is gone or renamed may move with it.
      moved = touched | table.linking("other", touched)
      rest = before - moved
      expect(read - moved).to eq(rest), "by #{sort}: #{(rest - read).first(5)} missed of #{rest.length}"
    end
  end

  it "refuses a cursor that nobody was given" do
    given = ->(sort) { JSON.parse(Base64.urlsafe_decode64(list(sort: sort, limit: 3).following)) }
    forged = ->(parts) { Base64.urlsafe_encode64(JSON.generate(parts), padding: false) }
    id, at, view, = given.call("words")
    [[{"a" => 1}], [[1]], [true], [], %w[a b], {"a" => 1}, "x", 1].each do |values|
      cursor = forged.call([id, at + 1, view, values])
      expect { list(sort: "words", cursor: cursor) }.to raise_error(Core::Invalid), values.inspect
    end
    # Whatever is put in, of any type: a page or a refusal, nothing else.
    firsts = sorts.map { |sort| sort.split(",").first }.uniq
    firsts.product([5, 10**30, -1, true, "x", "5", [1], {}]) do |sort, value|
      id, at, view, = given.call(sort)
      list(sort: sort, cursor: forged.call([id, at + 1, view, [value]]))
    rescue Core::Invalid
      nil
    end
  end

  it "goes by the version of each record, and lists those that were saved after one" do
    seen = UpTack::Store::ChangeLog.latest
    9.times { somebody_saves }
    # A save that changes nothing is none.
    changed = UpTack::Store::Entry.where("id > ?", seen).order(:id).pluck(:record_id).uniq & all
    expect(all(sort: "version").last(changed.length).sort).to eq(changed.sort)
    expect(all(sort: "-version").first(changed.length)).to eq(all(sort: "version").last(changed.length).reverse)
    expect(all(changed_after: seen).sort).to eq(changed.sort)
    expect(all(changed_after: UpTack::Store::ChangeLog.latest)).to eq([])
  end
end
