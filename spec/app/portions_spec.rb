# frozen_string_literal: true

require "csv"
require "store_helper"

# Many records are written by a process of its own, in portions between which others save.
RSpec.describe "Many records, written in portions" do
  work = UpTack::Work
  running = UpTack::Store::RunningBatch

  # Does something each time it is told how far the work is.
  def watching(&look)
    UpTack::Progress.new.tap do |progress|
      progress.define_singleton_method(:set) do |*at|
        super(*at)
        look.call(self)
      end
    end
  end

  def bring_in(rows, progress: UpTack::Progress.none, keep: "passing")
    text = CSV.generate do |csv|
      csv << ["Piece", "Maker", "Clay family", "Clay", "Clay weight g", "Wet weight g"]
      rows.times do |index|
        csv << ["Bowl #{index}", "Maro Tinsley", "Stoneware", clay, 600 + (index % 40), 655 + (index % 40)]
      end
    end
    upload = UpTack::UseCases::Imports::Uploads.new(person).add(StringIO.new(text), "bowls.csv")
    asked = {table: "pieces", upload: upload, options: {}, overrides: {}, keep: keep}
    UpTack::Work.call("import", asked, person: person, progress: progress)
  end

  def clay = "Harbour stoneware"

  # Pieces then keep what they take from their clay, so that it can be stale.
  def keep_limits
    kept = demo_rule("calculation", "clay_limit").attributes.merge("keeping" => "always")
    change(:PinRule, table: "pieces", rule: kept)
  end

  # What pieces of it have calculated from it becomes another value.
  def change_clay(limit)
    id = UpTack::Store::RecordTable.model("clays").where(name: clay).pick(:id)
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "clays", id: id, typed: {"limit" => limit.to_s})
  end

  # All that records say, whatever the log has seen in the meantime.
  def contents
    connection = UpTack::Store::Database.connection
    workspace.project.tables.to_h do |table|
      [table.key, connection.select_rows("SELECT * FROM #{connection.quote_table_name(table.key)} ORDER BY id")]
    end
  end

  def findings = UpTack::Work.call("check", {}, person: person, progress: UpTack::Progress.none)

  def sound!
    wrong = findings.reject(&:sound)
    expect(wrong).to be_empty, wrong.map(&:message).join("\n")
  end

  it "lets others save between two portions, and comes out as if nobody had" do
    keep_limits
    seen = []
    progress = watching do |_|
      next unless running.any?

      answer = save_piece(good_piece.merge("piece" => "Beside #{seen.length}"), by: "Bram Tolley")
      seen << [answer.state, running.any?]
      change_clay(1_250 + seen.length)
    end
    # So many that another process reads ahead.
    result = bring_in(5_100, progress: progress)
    expect([result.made, running.count, seen.map(&:first).uniq]).to eq([5_100, 0, [:saved]])
    expect(seen.map(&:last)).to include(true)
    expect(UpTack::Store::Database.connection.select_value("SELECT count(*) FROM up_tack_journal")).to eq(0)
    expect(result.report.batch.records).to eq(5_100)
    sound!
  end

  it "leaves nothing when it is stopped, or when its process is killed" do
    before = contents
    halfway = ->(&stop) { watching { |progress| running.first&.done.to_i >= 100 && stop.call(progress) } }
    expect { bring_in(700, progress: halfway.call(&:stop)) }.to raise_error(UpTack::Progress::Stopped)
    expect([contents == before, running.count]).to eq([true, 0])
    kill = ->(_) { Process.kill(:KILL, File.read(running.lock_path(running.first.batch_id)).to_i) }
    expect { bring_in(700, progress: halfway.call(&kill)) }.to raise_error(work::Lost)
    expect([contents == before, running.count]).to eq([true, 0])
    expect(Dir["#{UpTack::Store::Database.path}.{batch,try}-*"]).to eq([])
    sound!
  end

  it "forgets what a process has left that ended right after its work was done" do
    UpTack::Store::Database.connection.execute(
      "INSERT INTO up_tack_journal (batch_id, table_id, kind, first, last) VALUES (99, 't2', 'made', 1, 9)"
    )
    expect([UpTack::Services::Rollback.left, UpTack::Store::Journal.latest(99, 5)]).to eq([[], []])
  end

  it "keeps what it may yet undo from others, and says who is writing" do
    tried = {}
    attempt = lambda do |what, &try|
      try.call
      tried[what] = "done"
    rescue running::Busy => e
      tried[what] = UpTack::UseCases::Maintenance::Writing.new(workspace).why(e)
    end
    progress = watching do |_|
      next if running.first&.done.to_i < 100 || tried.any?

      id = UpTack::Store::RecordTable.model("pieces").maximum(:id)
      attempt.call(:change) { save_piece({"maker_note" => "Mine"}, id: id) }
      attempt.call(:delete) { UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "pieces", id: id) }
      attempt.call(:design) { change(:AddField, table: "pieces", parts: {"label" => "New", "type" => "text"}) }
      attempt.call(:undo) { UpTack::UseCases::History::UndoBatch.new(workspace).call(running.first.batch_id) }
      attempt.call(:another) { save_piece({"maker_note" => "Mine"}, id: 1) }
    end
    bring_in(700, progress: progress)
    expect(tried.delete(:another)).to eq("done")
    expect(tried.values).to all(match(/\AOdile Marsh is writing “Imported from bowls.csv”, \d+ % done/))
    expect(tried.keys).to eq(%i[change delete design undo])
  end

  it "changes, numbers and undoes many like few" do
    bring_in(300)
    ids = UpTack::Store::RecordTable.model("pieces").order(:id).pluck(:id)
    before = contents
    asked = {table: "pieces", kind: "change", ids: ids, typed: {"maker_note" => "Seen"}, keep: "passing"}
    report = work.call("bulk", asked, person: person, progress: UpTack::Progress.none)
    expect(report.saved).to be > 300
    undone = work.call("undo", {batch: report.batch.id}, person: person, progress: UpTack::Progress.none)
    expect([undone.left, undone.undone]).to eq([0, report.saved])
    notes = ->(all) { all["pieces"].map { |row| row.grep("Seen") } }
    expect(notes.call(contents)).to eq(notes.call(before))
    sound!
  end
end
