# frozen_string_literal: true

require "store_helper"

# What a design change makes stale in many records is calculated in a copy, while others save by the old design.
RSpec.describe "A design change of many records" do
  let(:ahead) { UpTack::Recalculation::Ahead }

  before { stub_const("UpTack::Recalculation::Ahead::MANY", 5) }

  # @yield what others do after the copy was calculated, and before the change itself
  def designing
    calculate = ->(**asked) do
      found = UpTack::Work.call("calculate ahead", {owner: Process.pid, **asked}, person: person,
        progress: UpTack::Progress.none)
      yield
      found
    end
    UpTack::UseCases::Design::ChangeDesign.new(workspace, ahead: calculate)
  end

  def changing(change, &) = designing(&).call(change)

  def calculate(table, label, formula)
    change(:AddField, table: table, parts: {"label" => label, "type" => "number"})
    key = workspace.table(table).fields.last.key
    Core::Design::Changes::PinRule.new(
      table: table, rule: {"kind" => "calculation", "field" => key, "formula" => formula}
    )
  end

  def save(table, typed, id = nil) =
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: table, typed: typed, id: id)

  def delete(table, id) = UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: table, id: id)

  def others_save(chance)
    ids = pieces.page(limit: 100).map(&:first)
    6.times do
      id = ids.sample(random: chance)
      case chance.rand(5)
      when 0 then save("pieces", {"maker" => chance.rand(1..12)}, id)
      when 1 then save("pieces", {"clay_weight" => "700", "wet_weight" => "755"}, id)
      when 2 then save("pieces", good_piece.merge("maker" => chance.rand(1..12)))
      when 3 then delete("pieces", ids.delete(id))
      else save("orders", {"agreed" => chance.rand(10..99).to_s}, chance.rand(1..12))
      end
    end
  end

  def stale = UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound).map(&:message)

  formulas = [
    ["pieces", "Half loss", "loss / 2"],
    ["members", "Clay in all", "sum(pieces.clay_weight)"],
    ["members", "Twice open", "open_orders * 2 + count(pieces)"],
    ["orders", "Made by payer", "amount + member.open_orders"]
  ]
  Thorough.some(formulas.each_with_index.to_a, 2).each do |(table, label, formula), seed|
    it "calculates #{formula} of #{table} as if nobody had saved in the meantime" do
      carried = 0
      allow_any_instance_of(ahead).to receive(:carry_over).and_wrap_original do |carry_over, *asked|
        carry_over.call(*asked).tap { carried += 1 }
      end
      chance = Random.new(RSpec.configuration.seed + seed)
      changing(calculate(table, label, formula)) { others_save(chance) }
      expect([carried, stale]).to eq([1, []])
      expect(Dir["#{UpTack::Store::Database.path}.try-*"]).to eq([])
    end
  end

  {
    "a stamp" => ["date", {"kind" => "stamp", "event" => "changed", "watch" => %w[clay_weight], "which" => "last"}],
    "a tally" => ["number", {"kind" => "tally", "watch" => %w[clay_weight maker]}]
  }.each_with_index do |(name, (type, rule)), seed|
    it "fills #{name} from the log as if nobody had saved in the meantime, and gives the blanks back" do
      change(:AddField, table: "pieces", parts: {"label" => "Seen", "type" => type})
      taken = 0
      allow_any_instance_of(ahead).to receive(:fill).and_wrap_original do |fill, *asked|
        fill.call(*asked).tap { |ids| taken += ids.length }
      end
      pin = Core::Design::Changes::PinRule.new(table: "pieces", rule: rule.merge("field" => "seen"))
      chance = Random.new(RSpec.configuration.seed + seed)
      ids = pieces.page(limit: 100).first(9).map(&:first)
      ids.each { |id| save("pieces", {"clay_weight" => "690", "wet_weight" => nil}, id) }
      changing(pin) { others_save(chance) }
      table = workspace.table("pieces")
      rows = [].tap { |all| pieces.each { |id, row| all << [id, row] } }
      pinned = table.rules.find { |each| each.field == "seen" }.compile(table)
      told = UpTack::Recalculation::BackfillFromLog.new(workspace, table).values([pinned], rows)
      expect(rows.to_h { |id, row| [id, row["seen"]] }).to eq(told.transform_values { |values| values["seen"] })
      expect([taken, stale]).to match([be > 5, []])
      design.undo
      expect(rows.map(&:first).map { |id| pieces.find(id)["seen"] }.compact).to eq([])
    end
  end

  # All records, and what is noted of numbers or set aside, as it stands in the file.
  def everything
    connection = UpTack::Store::Database.connection
    names = connection.tables.grep(/\A(pieces|up_tack_(numbers|counters|aside_.*))\z/)
    names.to_h { |name| [name, everything_of(name)] }
  end

  def everything_of(name) =
    UpTack::Store::Database.connection.select_all("SELECT * FROM #{name}").map { |row| row.sort.to_h }.sort_by(&:to_s)

  # What somebody alone makes of the file as it is, without a copy of what many records will have.
  # @yield changes the design
  def alone(&)
    was = File.join(Dir.mktmpdir, "was.sqlite3")
    UpTack::Store::Backups.copy(UpTack::Store::Database.path, was, UpTack::Store::Backups::ALL)
    UpTack::Store::PrivateCopy.during(of: was) do
      workspace.renew
      yield
      everything
    end
  ensure
    workspace.renew
  end

  pin = ->(rule) { Core::Design::Changes::PinRule.new(table: "pieces", rule: rule.merge("field" => "seen")) }
  retype = ->(parts) { Core::Design::Changes::ChangeField.new(table: "pieces", field: "seen", parts: parts) }
  changes = {
    "becomes a number" => retype["type" => "number"],
    "becomes a date" => retype["type" => "date"],
    "becomes a link" => retype["type" => "link", "target" => "titles"],
    "is numbered" => pin["kind" => "number", "formula" => '"PC-" & counter(5)'],
    "is kept without separators" => pin["kind" => "mask", "mask" => '2UPPER "-" 5DIGIT', "separators" => "drop"]
  }
  Thorough.some(changes.each_with_index.to_a, 2).each do |(name, given), seed|
    it "gives a text that #{name} what it would if nobody had saved in the meantime, there and back" do
      chance = Random.new(RSpec.configuration.seed + seed)
      titles = everything_of("titles").map { |row| row["text"] }
      texts = ["12", "7.5", "none", "1e3", "2026-05-01", *titles, *(1..40).map { |count| format("PC-%05d", count) }]
      retext = -> do
        id = pieces.page(limit: 100).map(&:first).sample(random: chance)
        save("pieces", {"seen" => texts.delete(texts.sample(random: chance))}, id)
      end
      change(:AddField, table: "pieces", parts: {"label" => "Seen", "type" => "text"})
      25.times { retext.call }
      expected = nil
      made = designing do
        others_save(chance)
        3.times { retext.call }
        expected = alone { design.call(given) }
      end
      made.call(given)
      expect(everything).to eq(expected)
      back = designing do
        others_save(chance)
        expected = alone { design.undo }
      end
      back.undo
      expect([everything, stale]).to eq([expected, []])
    end
  end

  it "undoes, redoes and restores in the same way" do
    chance = Random.new(RSpec.configuration.seed)
    before = workspace.revision_id
    rule = demo_rule("calculation", "loss").attributes.merge("formula" => "wet_weight - fired_weight")
    change(:PinRule, table: "pieces", rule: rule)
    asked = 0
    others = -> { others_save(chance) && asked += 1 }
    [:undo, :redo, [:put_back, before]].each do |way|
      designing(&others).public_send(*way)
      expect([way, stale]).to eq([way, []])
    end
    expect([asked, demo_rule("calculation", "loss").attributes["formula"]]).to eq(
      [3, "(wet_weight - fired_weight) / wet_weight * 100"]
    )
  end

  it "calculates anew where somebody else has changed the design" do
    change = calculate("pieces", "Half loss", "loss / 2")
    changing(change) { change(:AddField, table: "pieces", parts: {"label" => "Other", "type" => "text"}) }
    expect(stale).to eq([])
    expect(workspace.table("pieces").fields.last.label).to eq("Other")
  end
end
