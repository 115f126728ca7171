# frozen_string_literal: true

require "store_helper"

RSpec.describe "A text looked for in all fields" do
  texts = ["Ärmel", "ärmel blau", "straße", "100%", "_x", "O'Hara", "mug", nil, "Mug 7", "7"].freeze

  before do
    change(:AddTable, label: "Odds")
    [%w[Words text], %w[Amount number], %w[Day date], %w[Done yes_no]].each do |label, type|
      change(:AddField, table: "odds", parts: {"label" => label, "type" => type})
    end
    change(:AddField, table: "odds", parts: {"label" => "Other", "type" => "link", "target" => "odds"})
    random = Random.new(3)
    drafts =
      Array.new(80) do |at|
        typed = {
          "words" => texts.sample(random: random),
          "amount" => ["7", "12.5", nil].sample(random: random),
          "day" => ["2026-03-07", nil].sample(random: random),
          "done" => ["yes", nil].sample(random: random)
        }
        {typed: typed.merge("other" => (at.positive? ? random.rand(1..at) : nil))}
      end
    UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(table: "odds", drafts: drafts, summary: "Odds")
  end

  def listed(**view) =
    UpTack::UseCases::Records::ListRecords.new(workspace).call(table: "odds", limit: 500, **view).records.map(&:id)

  # Told apart from SQL: what people see of each record, gone through one by one.
  def fields_with(text, id)
    table = workspace.table("odds")
    row = UpTack::Store::RecordTable.new(table).find(id).to_h
    shown = ->(value) { value.to_s.unicode_normalize(:nfkc).downcase(:fold) }
    sought = shown.call(text)
    found = []
    found << "words" if shown.call(row["words"]).include?(sought)
    found << "amount" if row["amount"] && text.match?(/\A[\d.]+\z/) && row["amount"] == BigDecimal(text)
    found << "day" if row["day"] && text == row["day"].strftime("%-d Mar %Y")
    name = row["other"] && UpTack::Store::RecordTable.new(table).find(row["other"])["words"]
    found << "other" if row["other"] && shown.call(name || "##{row["other"]}").include?(sought)
    found
  end

  it "finds what is shown, in texts and names of linked records, and numbers and days as a whole" do
    ["mug", "ÄRMEL", "7", "12.5", "1", "7 Mar 2026", "%", "_", "'", "STRASSE", "nothing of it", "100%"].each do |text|
      expected = listed.select { |id| fields_with(text, id).any? || id.to_s == text }
      expect(listed(search: text)).to eq(expected), text
      next if expected.empty?

      places = UpTack::UseCases::Records::FindPlaces.new(workspace, "odds", sort: "words")
      order = listed(sort: "words")
      walked = [places.text(text, from: 0)]
      walked << places.text(text, from: walked.last.place + 1) while walked.length < expected.length
      expect(walked.map(&:id)).to eq(order & expected), text
      expect(walked.map(&:fields)).to eq(walked.map { |each| fields_with(text, each.id) }), text
      expect(walked.map(&:number)).to eq((1..expected.length).to_a)
      if walked.first.place.positive?
        expect(
          [
            places.text(text, from: walked.last.place + 1).id,
            places.text(text, from: walked.first.place - 1, back: true).id
          ]
        ).to eq([walked.first.id, walked.last.id])
      end
      expect(places.record(walked.last.id).place).to eq(walked.last.place)
    end
  end

  it "joins a search with a filter, and neither looks at nor tells of what is closed to somebody" do
    expect(listed(search: "mug", filter: "amount = 7")).to eq(listed(search: "mug") & listed(filter: "amount = 7"))
    change(:ChangeField, table: "odds", field: "words", parts: {"access" => {"clerk" => "nothing"}})
    clerk = UpTack::Workspace.new(person: UpTack::Store::Person.new(name: "Clerk", role: "clerk"))
    expect(UpTack::UseCases::Records::ListRecords.new(clerk).call(table: "odds", search: "mug").records).to eq([])
    expect(UpTack::UseCases::Records::FindPlaces.new(clerk, "odds").text("mug", from: 0)).to eq(
      UpTack::UseCases::Records::FindPlaces::NONE
    )
  end
end
