# frozen_string_literal: true

require "store_helper"

# A table that is exported and imported again keeps what its rules have written down, where a builder says so.
RSpec.describe "Importing as it was" do
  def export(table)
    path = File.join(StoreHelp::FOLDER, "as_it_was.csv")
    File.open(path, "wb") do |io|
      UpTack::UseCases::Exports::Records.new(workspace).call(table: table, format: "csv", io: io)
    end
    path
  end

  def bring_in(path, table, as_was:, by: "Odile Marsh")
    source = UpTack::Interchange::Source.open(path)
    analysis = UpTack::UseCases::Imports::FileAnalysis.new(workspace(by))
    @looked = analysis.call(source, workspace(by).table(table), as_was: as_was)
    settings = UpTack::UseCases::Imports::SettingsOverride.over(@looked.settings, {"as_was" => as_was})
    UpTack::UseCases::Imports::Run.new(workspace(by)).call(
      source: source, table: table, settings: settings, keep: "all", name: "as_it_was.csv"
    )
  end

  def rows(table) =
    [].tap { |all| UpTack::Store::RecordTable.new(workspace.table(table)).each { |_, row| all << row.to_h } }

  before do
    change(:AddTable, label: "Kilns")
    [%w[Made moment], %w[By text], %w[Changes number], %w[Diary long_text], %w[Code text]].each do |label, type|
      change(:AddField, table: "kilns", parts: {"label" => label, "type" => type})
    end
    [
      {"kind" => "stamp", "field" => "made", "event" => "made"},
      {"kind" => "stamp", "field" => "by", "event" => "made"},
      {"kind" => "tally", "field" => "changes"},
      {"kind" => "line", "field" => "diary", "event" => "changed", "watch" => ["name"], "formula" => "name"},
      {"kind" => "required", "field" => "name"}
    ].each { |rule| change(:PinRule, table: "kilns", rule: rule) }
    write = UpTack::UseCases::Records::SaveRecord.new(workspace("Bram Tolley", at: "2025-03-04T05:06:07"))
    3.times do |number|
      id = write.call(table: "kilns", typed: {"name" => "Kiln #{number}"}).record.id
      number.times { |turn| write.call(table: "kilns", typed: {"name" => "Kiln #{number}.#{turn}"}, id: id) }
    end
    @before = rows("kilns")
    @file = export("kilns")
  end

  it "keeps stamps, tallies and log lines, and says so in the log" do
    expect(@before.map { |row| row["changes"].to_i }).to eq([0, 1, 2])
    expect(bring_in(@file, "kilns", as_was: true).made).to eq(3)
    expect(@looked.left_out + @looked.columns_set_again).to be_empty
    expect(rows("kilns").drop(3)).to eq(@before)
    entry = UpTack::Store::Entry.order(:id).last
    expect([entry.channel, entry.batch.summary]).to eq(["import as it was", "Imported from as_it_was.csv, as it was"])
    expect(entry.field_changes.map(&:rule_id).compact).to be_empty
    expect(UpTack::Store::LogCheck.run.sound).to be(true)
    # From then on rules write as ever.
    save = UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "kilns", typed: {"name" => "New"}, id: 6)
    expect(save.record.values["changes"]).to eq(3)
  end

  it "sets them again otherwise, and says which before" do
    expect(bring_in(@file, "kilns", as_was: false).made).to eq(3)
    expect(@looked.columns_set_again).to eq(%w[Made By Changes Diary])
    expect(rows("kilns").drop(3).map { |row| [row["by"], row["changes"]] }).to all(eq(["Odile Marsh", BigDecimal(0)]))
  end

  it "still refuses what rules refuse, and lets no clerk do it" do
    broken = File.join(StoreHelp::FOLDER, "broken.csv")
    File.write(broken, File.read(@file).sub("Kiln 2.1", "").sub("Kiln 0", "Kiln 9"))
    expect(bring_in(broken, "kilns", as_was: true).report.refused_count).to eq(1)
    expect { bring_in(@file, "kilns", as_was: true, by: "Bram Tolley") }.to raise_error(Core::Invalid, /Only a builder/)
  end
end
