# frozen_string_literal: true

require "store_helper"

RSpec.describe "A view of records" do
  # Values that tell a sloppy translation: letters beyond ASCII, signs that mean something
  # to SQL, edges, blanks.
  texts = ["Ärmel", "ärmel", "straße", "100%", "_x", "O'Hara", "mug", "Mug ", "\tmug", nil, "ﬁne", "Ω"]
  numbers = %w[0 0.1 -3 999999999999999 12.50 0.000000000000001] << nil
  days = %w[2026-02-28 2024-02-29 2026-12-31 0001-01-01] << nil

  def table_without_rules
    change(:AddTable, label: "Odds")
    [%w[Words text], %w[Other text], %w[Amount number], %w[Day date], %w[Done yes_no]].each do |label, type|
      change(:AddField, table: "odds", parts: {"label" => label, "type" => type})
    end
  end

  def fill(records) =
    UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(
      table: "odds",
      drafts: records.map { |typed| {typed: typed} },
      summary: "Odds"
    )

  def listed(**view) =
    UpTack::UseCases::Records::ListRecords.new(workspace).call(table: "odds", limit: 500, **view).records.map(&:id)

  # The filter worked out by the formula alone, record by record.
  def by_formula(filter)
    table = workspace.table("odds")
    formula = Core::Expression.compile(filter, table.scope, expecting: :yes_no)
    rows = []
    UpTack::Store::RecordTable.new(table).each { |id, row| rows << [id, row.to_h] }
    rows
      .select do |id, values|
        formula.call(
          Core::Expression::Evaluation.new(
            values: values,
            old: values,
            context: workspace.context,
            is_new: false,
            id: id
          )
        ) == true
      end
      .map(&:first)
  end

  it "lets the same records through by SQL as by the formula, whatever is compared" do
    random = Random.new(7)
    table_without_rules
    pick = ->(list) { list[random.rand(list.length)] }
    fill(
      Array.new(60) do
        {
          "words" => pick.call(texts),
          "other" => pick.call(texts),
          "amount" => pick.call(numbers),
          "day" => pick.call(days),
          "done" => pick.call(["yes", "no", nil])
        }
      end
    )
    quote = ->(text) { %("#{text.gsub('"', '""')}") }
    text_tests = ["contains", "starts with", "ends with"]
    atoms = [
      -> { "words #{pick.call(%w[= <> < <= > >=])} #{quote.call(pick.call(texts.compact))}" },
      -> do
        "words #{pick.call(text_tests)} #{quote.call(pick.call(texts.compact + %w[m ß ÄR]))}"
      end,
      -> { "amount #{pick.call(%w[= <> < >=])} #{pick.call(numbers.compact)}" },
      -> { "#{pick.call(numbers.compact)} < amount" },
      -> { "amount between -1 and #{pick.call(numbers.compact)}" },
      -> { "words = other" },
      -> do
        "day #{pick.call(%w[= < >])} date(#{quote.call(pick.call(days.compact))}) " \
          "+ #{random.rand(3)}"
      end,
      -> { "day < today() - 7" },
      -> { "done" },
      -> { "#{pick.call(%w[words amount day done])} is #{pick.call(["", "not "])}blank" },
      -> { "words in (#{quote.call(pick.call(texts.compact))}, #{quote.call(pick.call(texts.compact))})" },
      -> { "len(words) > 3" },
      -> { "amount * 2 > 1" },
      -> { "words contains blank" },
      -> do
        right = pick.call(["words", "other", '""', "left(other, 2)", 'other & ""'])
        "#{pick.call(%w[words other])} #{pick.call(text_tests)} #{right}"
      end,
      -> { "words #{pick.call(%w[= <>])} #{pick.call(["\"\"", "blank"])}" },
      -> { "done = no" }
    ]
    200.times do
      filter =
        Array
          .new(1 + random.rand(3)) { "#{pick.call(["", "", "not "])}(#{pick.call(atoms).call})" }
          .join(pick.call([" and ", " or "]))
      expect(listed(filter: filter)).to eq(by_formula(filter)), filter
    end
  end

  it "sorts by several fields, each its own way, and jumps to any place of it" do
    table_without_rules
    fill(texts.product([1, 2, nil]).map { |words, amount| {"words" => words, "amount" => amount&.to_s} })
    table = UpTack::Store::RecordTable.new(workspace.table("odds"))
    all = listed(sort: "-amount,words")
    shown =
      all
        .map { |id| table.find(id) }
        .map { |row| [row["amount"]&.to_i, row["words"] && Core::Unicode.folded(row["words"])] }
    expect(shown).to eq(shown.sort_by { |amount, words| [amount ? -amount : 9, words ? 0 : 1, words.to_s] })
    jump = ->(at) do
      UpTack::UseCases::Records::ListRecords
        .new(workspace)
        .call(table: "odds", sort: "-amount,words", at: at, limit: 4)
        .records
        .map(&:id)
    end
    expect(jump.call(17)).to eq(all[17, 4])
    # Of a long list the beginning is there at once, and the rest comes from a process of its own.
    stub_const("UpTack::Services::KeptBeginning::LENGTH", 9)
    UpTack::Services::Selection::KNOWN.clear
    expect(UpTack::Store::QueryProcess).to receive(:numbers)
      .and_wrap_original { |ask, *question| ask.call(*question).tap { |ids| expect(ids).to eq(all) } }
      .once
    expect([0, 4, 5, 17].map(&jump)).to eq([all[0, 4], all[4, 4], all[5, 4], all[17, 4]])
    expect(listed(sort: "-id")).to eq(all.sort.reverse)
  end

  it "reckons exactly over what the filter lets through" do
    table_without_rules
    fill(
      [
        *Array.new(10) { {"amount" => "0.1", "words" => "a"} },
        {"amount" => "999999999999999"},
        {"amount" => "999999999999999"},
        {"words" => "b", "day" => "2026-11-23"}
      ]
    )
    reckon = ->(filter) do
      UpTack::UseCases::Records::ComputeTotals.new(workspace).call(table: "odds", filter: filter,
        fields: %w[amount words day])
    end
    found = reckon.call(nil)
    expect(
      [found.fields["amount"].sum, found.fields["amount"].filled, found.total - found.fields["words"].filled]
    ).to eq([BigDecimal("1999999999999999"), 12, 2])
    2.times do |elsewhere|
      stub_const("UpTack::Store::QueryProcess::MANY", 0) if elsewhere == 1
      expect(reckon.call('words = "a"').fields["amount"].to_h).to include(
        sum: 1,
        average: BigDecimal("0.1"),
        least: BigDecimal("0.1")
      )
    end
    expect(reckon.call("len(words) = 1 and amount is blank").fields["day"].greatest).to eq(Date.new(2026, 11, 23))
  end

  it "adds up what is read, though another program has written the next binary fraction", :tampers do
    table_without_rules
    fill(Array.new(60) { {"amount" => "1"} })
    odds = UpTack::Store::RecordTable.new(workspace.table("odds"))
    random = Random.new(11)
    8.times do
      most = 10**random.rand(4..13)
      written = Array.new(60) { random.rand(most) / 10_000.0 }
      written.map! { |number| random.rand(3).zero? ? number.next_float : number }
      place = "'$[' || (id - (SELECT MIN(id) FROM odds)) || ']'"
      UpTack::Store::Database.connection
        .execute("UPDATE odds SET amount = json_extract('#{JSON.generate(written)}', #{place})")
      read = []
      odds.each { |_, row| read << row["amount"] }
      found = UpTack::UseCases::Records::ComputeTotals.new(workspace).call(table: "odds", fields: %w[amount])
      expect(found.fields["amount"].sum).to eq(read.sum)
    end
  end
end
