# frozen_string_literal: true

require "csv"
require "store_helper"

RSpec.describe "New records that wait to be written together" do
  fields = [
    %w[Tag text],
    %w[Spare text],
    %w[Piece text],
    %w[Weight number],
    %w[Day date],
    %w[By text],
    %w[At moment],
    %w[Edits number]
  ]

  def table_of(fields, *rules)
    change(:AddTable, label: "Bowls")
    key = workspace.project.tables.last.key
    fields.each { |name, type| change(:AddField, table: key, parts: {"label" => name, "type" => type}) }
    change(:AddField, table: key, parts: {"label" => "Maker", "type" => "link", "target" => "members"})
    rules.each { |rule| change(:PinRule, table: key, rule: rule) }
    key
  end

  own = [
    {"kind" => "number", "field" => "tag", "formula" => "\"B-\" & counter(3)"},
    {"kind" => "stamp", "field" => "by", "event" => "made"},
    {"kind" => "stamp", "field" => "at", "event" => "changed"},
    {"kind" => "tally", "field" => "edits", "watch" => %w[piece]},
    {"kind" => "default", "field" => "day", "formula" => "today()"},
    {"kind" => "limits", "field" => "weight", "low" => "1", "high" => "900"}
  ]

  # Not all fields are filled, so that not all entries tell of the same; some rows are refused.
  def file(rows)
    File
      .join(StoreHelp::FOLDER, "bowls.csv")
      .tap do |path|
        CSV.open(path, "w") do |csv|
          csv << %w[Piece Weight Tag Maker]
          rows.times do |index|
            csv << [
              "Bowl #{index % 50}",
              (index % 5 == 2) ? nil : index % 910,
              (index % 70 == 9) ? "B-#{index + 100}" : nil,
              (index % 3 == 1) ? "Maro Tinsley" : nil
            ]
          end
        end
      end
  end

  def bring_in(path, table)
    source = UpTack::Interchange::Source.open(path)
    looked = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(source, workspace.table(table))
    UpTack::UseCases::Imports::Run.new(workspace).call(
      source: source,
      table: table,
      settings: looked.settings,
      keep: "passing",
      name: "bowls.csv"
    )
  end

  def kept(table)
    rows =
      [].tap do |all|
        UpTack::Store::RecordTable.new(workspace.table(table)).each { |id, row| all << [id, row.to_h.except("at")] }
      end
    log =
      UpTack::Store::Entry
        .where(table_id: workspace.table(table).id)
        .order(:id)
        .map do |entry|
          [
            entry.id,
            entry.record_id,
            entry.record_title,
            entry.action,
            entry.field_changes.reject { |each| each.type == "moment" }.map(&:to_a)
          ]
        end
    connection = UpTack::Store::Database.connection
    told = connection.select_rows("SELECT field_id, entry_id, last_id FROM up_tack_changed ORDER BY 1, 2")
    [
      rows,
      log,
      told,
      connection.select_rows("SELECT * FROM up_tack_numbers ORDER BY 1, 2"),
      connection.select_rows("SELECT * FROM up_tack_counters ORDER BY 1, 2"),
      UpTack::Store::LogCheck.run.sound
    ]
  end

  it "come to the same as those that are written one by one" do
    both =
      [true, false].map do |wait|
        path = StoreHelp.open_copy
        # A rule that looks for other records, and has nothing to say since its field stays blank.
        bowls = table_of(fields, *own, *(wait ? [] : [{"kind" => "unique", "field" => "spare"}]))
        expect(workspace.partition(bowls).order_independent?).to be(wait)
        result = bring_in(file(2_300), bowls)
        [
          [
            result.made,
            result.report.refused_count,
            result.report.by_rule,
            result.report.shown.map(&:to_a).map { |each| each.first(2) }
          ],
          kept(bowls)
        ]
      ensure
        StoreHelp.close(path)
      end
    expect(both.first.first.first(2)).to match([be > 2_200, be > 10])
    expect(both.first.last.last).to be(true)
    expect(both.first).to eq(both.last)
  end

  it "get no number of a record that is gone" do
    bowls = table_of(fields, *own)
    first = bring_in(file(5), bowls)
    latest = UpTack::Store::RecordTable.new(workspace.table(bowls)).page(descending: true, limit: 1).first.first
    UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: bowls, id: latest)
    UpTack::UseCases::History::UndoBatch.new(workspace).call(first.report.batch.id)
    bring_in(file(3), bowls)
    found = kept(bowls)
    expect([found.first.map(&:first), found.first.map { |_, row| row["tag"] }]).to eq(
      [[latest + 1, latest + 2], %w[B-005 B-006]]
    )
  end

  it "go again with the whole change, but for those that somebody touched since" do
    bowls = table_of(fields, *own)
    first = bring_in(file(1_200), bowls)
    ids = UpTack::Store::RecordTable.new(workspace.table(bowls)).page(limit: 2_000).map(&:first)
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: bowls, id: ids[700], typed: {"piece" => "Kept"})
    UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: bowls, id: ids[3])
    undone = UpTack::UseCases::History::UndoBatch.new(workspace).call(first.report.batch.id)
    expect([undone.undone, undone.left, kept(bowls).first.map(&:first)]).to eq([first.made - 2, 2, [ids[700]]])
    gone = entries(table: workspace.table(bowls), record: ids[5]).first
    expect([gone.action, gone.field_changes.map(&:field_label), kept(bowls).last]).to eq(
      ["delete", %w[Tag Piece Weight Day By At Edits], true]
    )
    again = UpTack::UseCases::History::UndoBatch.new(workspace).call(undone.batch.id)
    expect([again.undone, again.left, kept(bowls).first.length]).to eq([first.made - 2, 0, first.made - 1])
  end

  it "are told as so many, whatever followed from them elsewhere" do
    path = File.join(StoreHelp::FOLDER, "of_clay.csv")
    File.write(path, "Piece,Maker,Clay,Clay weight,Wet weight\n" + ("Mug,Maro Tinsley,Raku body,640,695\n" * 3))
    batch = bring_in(path, "pieces").report.batch
    said =
      UpTack::Store::Entry
        .where(batch_id: batch.id)
        .map do |entry|
          [entry.action, entry.followed && JSON.parse(entry.followed).map { |each| each["table"] }.uniq]
        end
    expect([said, batch.reload.records]).to eq([[["create", nil]] * 3 + [["update", ["Clays"]]], 3])
  end

  it "do not wait where another rule looks for them" do
    bowls = table_of(fields, {"kind" => "unique", "field" => "piece"})
    result = bring_in(file(60), bowls)
    expect([result.made, result.report.refused.map(&:place)]).to eq([50, [*52..61]])
  end
end
