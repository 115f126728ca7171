# frozen_string_literal: true

require "csv"
require "store_helper"
require "support/processes"

RSpec.describe "A file read by a worker process" do
  client = UpTack::UseCases::Imports::WorkerClient
  alone = ->(_, **) {}
  helped = ->(workspace, **job) { client.begin(workspace, **job, rows: client::MANY).tap { |found| found.ready?(nil) } }

  # More rows than are read before anybody looks whether the other one is ready; some of them
  # are refused by what is read, by a rule that looks at the record, and by one that looks at others.
  def file(rows = 1_500)
    path = File.join(StoreHelp::FOLDER, "worker.csv")
    CSV.open(path, "w") do |csv|
      csv << ["Piece", "Maker", "Clay weight", "Wet weight", "Tag", "Maker note"]
      rows.times do |index|
        csv << [
          "Mug #{index}",
          (index % 97 == 5) ? "Nobody" : "Maro Tinsley",
          (index % 50 == 7) ? "heavy" : (600 + (index % 40)).to_s,
          (index % 60 == 9) ? "1" : (655 + (index % 40)).to_s,
          (index % 20 == 3) ? "PC-9#{(index % 300).to_s.rjust(4, "0")}" : nil,
          (index % 3 == 1) ? "=\"two\nlines\"" : nil
        ]
      end
    end
    path
  end

  def bring_in(path, ahead, keep: "passing")
    source = UpTack::Interchange::Source.open(path)
    looked = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(source, workspace.table("pieces"))
    UpTack::UseCases::Imports::Run.new(workspace, ahead: ahead).call(
      source: source,
      table: "pieces",
      settings: looked.settings,
      keep: keep,
      name: "ahead.csv",
      refused: "#{path}.refused"
    )
  end

  # All that came of it, but for the moment.
  def contents(result, path)
    report = result.report
    untimed = ->(values) { values.reject { |_, value| value.is_a?(Time) } }
    rows = [].tap { |all| pieces.each { |id, row| all << [id, untimed.call(row.to_h)] } }
    entries =
      UpTack::Store::Entry
        .order(:id)
        .pluck(:id, :action, :record_id, :record_title, :differences)
        .map { |*entry, differences| [*entry, JSON.parse(differences).reject { |each| each[2] == "moment" }] }
    fields =
      UpTack::Store::Database
        .connection
        .select_rows("SELECT field_id, entry_id, COALESCE(last_id, entry_id) FROM up_tack_changed ORDER BY 1, 2")
        .flat_map { |field, first, last| (first..last).map { |entry| [field, entry] } }
    {
      counts: [
        result.made,
        result.changed,
        report.looked_at,
        report.saved,
        report.unchanged,
        report.refused_count,
        report.by_rule
      ],
      refused: report.refused.map(&:to_a),
      shown:
        report.shown.map do |each|
          [each.id, each.title, each.changes.map { |change| change.values_at(:field, :rule) }]
        end,
      rows: rows,
      entries: entries,
      fields: fields,
      file: File.read("#{path}.refused"),
      sound: UpTack::Store::LogCheck.run.sound
    }
  end

  def in_a_fresh_one
    path = StoreHelp.open_copy
    yield
  ensure
    StoreHelp.close(path)
  end

  it "gives the same as without one, also when the process is killed" do
    path = file
    expected = contents(bring_in(path, alone), path)
    expect(expected[:counts].values_at(0, 5)).to match([be > 1_300, be > 60])
    from = []
    seen =
      lambda do |workspace, **job|
        helped
          .call(workspace, **job)
          .tap do |found|
            found.define_singleton_method(:each_portion) { |given, &block| super((from << given).last, &block) }
          end
      end
    killed = ->(workspace, **job) { helped.call(workspace, **job).tap { |found| Process.kill(:KILL, found.pid) } }
    halfway =
      lambda do |workspace, **job|
        helped
          .call(workspace, **job)
          .tap do |found|
            found.define_singleton_method(:each_portion) do |given, &block|
              super(given) do |*portion| block.call(*portion).tap { Process.kill(:KILL, pid) } end
            end
          end
      end
    late = ->(workspace, **job) do
      seen.call(workspace, **job).tap { |found| found.define_singleton_method(:ready?) { |seconds = 0| seconds.zero? } }
    end
    ways = {"helped" => seen, "helped late" => late}
    ways.merge(Thorough.some({"killed" => killed, "killed halfway" => halfway}.to_a, 1).to_h).each do |how, way|
      in_a_fresh_one do
        contents(bring_in(path, way), path).each do |what, found|
          expect([how, what, found]).to eq([how, what, expected[what]])
        end
      end
    end
    expect(from).to eq([0, 1_000])
  end

  it "is refused as without one where it was cut off, and nothing of it is saved" do
    path = file
    File.write(path, File.read(path) + "\"Mug,Maro")
    before = pieces.count
    said = [alone, helped].map do |way|
      bring_in(path, way, keep: "all")
    rescue UpTack::Interchange::Unreadable => e
      e.message
    end
    expect([said.uniq, pieces.count]).to match([[a_string_including("never closed")], before])
  end

  it "comes in portions that stay small where rows are long" do
    rows = Array.new(12) { |index| UpTack::Interchange::Source::Row.new(index + 2, ["x" * 1_000_000]) }
    source = Struct.new(:rows) { def each_row = rows.each { |row| yield row, row.number } }.new(rows)
    portions = []
    UpTack::UseCases::Imports::RowSource
      .new(source, ->(_) { [{}, []] }, nil, nil)
      .each_portion { |portion| portions << portion.map { |read| read.row.number } }
    expect(portions).to eq([[2, 3, 4, 5, 6], [7, 8, 9, 10, 11], [12, 13]])
  end

  it "needs none where it is short, or the clock is pretended" do
    path = file(5)
    job = {source: UpTack::Interchange::Source.open(path), table: workspace.table("pieces"), settings: nil}
    expect([client.begin(workspace, **job, rows: 4_999), client.begin(workspace(at: "2026-11-23T09:30"), **job)]).to eq(
      [nil, nil]
    )
  end

  # Numbers of the processes for long work that were forked for this one, or for one of them.
  def workers(of = Process.pid)
    children = Dir["/proc/#{of}/task/*/children"].flat_map { |path| File.read(path).split.map(&:to_i) }
    own = children.select { |pid| File.read("/proc/#{pid}/cmdline").include?("support/work.rb") }
    own + own.flat_map { |pid| workers(pid) }
  rescue SystemCallError
    retry # One has ended in the meantime.
  end

  it "is read beside by a process that was forked for it, which ends with the one that writes" do
    path = file(client::MANY + 100)
    UpTack::Work.start
    before = workers
    person = workspace.person
    upload = UpTack::UseCases::Imports::Uploads.new(person).add(File.open(path, "rb"), "pieces.csv")
    asked = {table: "pieces", upload: upload, options: {}, overrides: {}, keep: "passing"}
    seen = []
    look = UpTack::Progress.new { seen |= workers - before }
    made = UpTack::Work.call("import", asked, person: person, progress: look).made
    expect([made > 4_500, seen.length]).to eq([true, 2])
    Processes.until { seen.none? { |pid| File.exist?("/proc/#{pid}") } }
    expect(UpTack::Store::LogCheck.run.sound).to be(true)
  end
end
