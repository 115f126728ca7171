# frozen_string_literal: true

require "store_helper"

# What is suggested for a table holds for every row of its file, not only for the first ones: compared with the rows
# themselves, in files that turn into something else at a row made up by chance.
RSpec.describe "Suggestions from a whole file" do
  imports = UpTack::UseCases::Imports
  # What the cells of a column are at first, and what one of them is later.
  columns = {
    "code" => [->(n, _) { format("GL-%04d", n) }, ["GL-1", "GL-0003", ""]],
    "count" => [->(n, _) { n.to_s }, ["twelve", "3", "", "7.25", "NA", "5 kg"]],
    "day" => [->(n, _) {
      (Date.new(2026, 1, 1) + n).iso8601
    }, ["31/12/2026", "12/31/2026", "1/2/2026", "soon", "", "2026-02-30"]],
    "paid" => [->(_, random) { %w[yes no].sample(random: random) }, ["perhaps", "", "t"]],
    "kind" => [->(_, random) { %w[raku bisque glaze].sample(random: random) }, ["salt", "a" * 50, "", "Two\nlines"]],
    "note" => [->(n, random) { "Note #{n} #{random.rand(50)}" }, ["n" * 200, ""]]
  }
  random = Random.new(ENV.fetch("SEED", 5).to_i)

  def upload(rows) =
    UpTack::UseCases::Imports::Uploads.new(person).add(
      StringIO.new(rows.map { |row| CSV.generate_line(row) }.join), "whole.csv"
    )

  def proposed(file, whole:)
    UpTack::UseCases::Imports::LookAtFile.new(workspace).call(upload: file, options: {}) if whole
    found = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(file.source, nil, seen: file.seen)
    [found,
      UpTack::UseCases::Imports::NewTable.propose(found.profiles, UpTack::UseCases::Imports::KnownNames.new(workspace))]
  end

  def rows(columns, random, many, turn)
    odd = columns.transform_values { |_, later| later.sample(random: random) if random.rand < 0.5 }
    all = Array.new(many) do |n|
      columns.map { |name, (usual, _)| (n == turn && odd[name]) ? odd[name] : usual.call(n, random) }
    end
    [columns.keys, *all]
  end

  # Rules that the cells of one column break, told of the cells alone.
  def broken(rules, cells)
    filled = cells.reject(&:empty?)
    rules.select do |rule|
      case rule["kind"]
      when "required" then filled.length < cells.length
      when "unique" then filled.uniq.length < filled.length
      when "mask" then filled.map { |cell| cell.tr("A-Z", "A").tr("0-9", "9") }.uniq.length > 1
      when "limits" then filled.any? { |cell| !cell.to_f.between?(rule["low"].to_f, rule["high"].to_f) }
      end
    end
  end

  it "hold for every row, wherever it turns into something else" do
    stub_const("UpTack::Interchange::Profile::ROWS", 20)
    stub_const("UpTack::Interchange::Repeats::SOON", 7)
    partly = 0
    16.times do |index|
      table = rows(columns, random, 60, random.rand(25..59))
      file = upload(table)
      first, early = proposed(file, whole: false)
      expect([first.seen.looked_at, first.seen.whole]).to eq([20, false])
      found, fields = proposed(file, whole: true)
      expect([found.rows, found.seen.looked_at, found.seen.whole]).to eq([60, 60, true])
      cells = table.drop(1).transpose
      fields.each_with_index do |field, place|
        rules = field.rules.map(&:parts)
        expect([field.label, broken(rules, cells[place]).map { |rule| rule["kind"] }]).to eq([field.label, []])
        next unless field.type == "choice"

        expect(field.choices).to match_array(cells[place].reject(&:empty?).uniq)
      end
      partly += 1 if early.map(&:to_h) != fields.map(&:to_h)
      parts = fields.map do |field|
        {"column" => field.column, "label" => field.label, "type" => field.type, "choices" => field.choices,
         "rules" => field.rules.reject(&:doubtful).map(&:parts)}
      end
      made = imports::MakeTable.new(workspace).call(label: "Whole #{index}", fields: parts, upload: file)
      result = imports::ImportUpload.new(workspace).call(
        table: made.key, upload: file, options: {}, overrides: {}, keep: "none"
      )
      expect(result.report.refused.map { |each| each.refusals.map { |refusal| refusal[:message] } }).to be_empty
    end
    # The first rows alone would have told otherwise.
    expect(partly).to be > 6
  end

  it "tells whether a value came twice, as comparing all of them does" do
    stub_const("UpTack::Interchange::Repeats::SOON", 4)
    200.times do
      texts = Array.new(random.rand(0..14)) { random.rand(40).to_s }
      found = UpTack::Interchange::Repeats.new
      texts.each { |text| found.add(text) }
      expect([texts, found.any?]).to eq([texts, texts.uniq.length < texts.length])
    end
    full = UpTack::Interchange::Repeats.new(3)
    9.times { |n| full.add(n.to_s) }
    expect(full.any?).to be(true)
  end

  it "are not kept for a file that is read otherwise, and are stopped at once" do
    file = upload([%w[a;b], %w[1;2], %w[3;4]])
    imports::LookAtFile.new(workspace).call(upload: file, options: {"delimiter" => ";"})
    expect([file.seen("delimiter" => ";")&.profiles&.length, file.seen("delimiter" => ","),
      file.seen]).to eq([2, nil, nil])
    path = Dir["#{file.path}.seen-*"].first
    [File.binread(path)[0, 40], "", Marshal.dump(1)[0, 1], "\x04\bo:\x0DGoneNow0"].each do |broken|
      File.binwrite(path, broken)
      expect(file.seen("delimiter" => ";")).to be_nil
    end
    stop = UpTack::Progress.new.tap(&:stop)
    long = upload([%w[a], *Array.new(600) { |n| [n.to_s] }])
    expect { imports::LookAtFile.new(workspace, progress: stop).call(upload: long, options: {}) }
      .to raise_error(UpTack::Progress::Stopped)
    expect(long.seen).to be_nil
  end
end
