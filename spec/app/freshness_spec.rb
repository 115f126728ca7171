# frozen_string_literal: true

require "store_helper"

# Whatever is done to the design and to the records, in whatever order, taken back and put back:
# afterwards every kept value is what its formula gives, every link leads somewhere, the log holds
# and no number is doubled.
RSpec.describe "A database after anything" do
  def pick(list) = list.sample(random: @random)

  def table = workspace.table(pick(%w[members pieces pieces firings orders]))

  def steps
    {
      edit: 5,
      add: 2,
      delete: 1,
      calculate: 3,
      stamp: 2,
      unpin: 3,
      retype: 2,
      remove: 1,
      rename: 1,
      undo: 5,
      redo: 2,
      put_back: 2,
      undo_batch: 1,
      bulk: 1,
      restore: 1
    }.flat_map { |name, weight| [name] * weight }
  end

  def rows(table) = UpTack::Store::RecordTable.new(table)
  def ids(table) = [].tap { |found| rows(table).each { |id, _| found << id } }

  def value_for(field)
    case field.type
    when "number" then @random.rand(0..900).to_s
    when "date" then "2026-#{format("%02d", @random.rand(1..12))}-#{format("%02d", @random.rand(1..28))}"
    when "choice" then pick(field.choices)
    when "yes_no" then pick(%w[yes no])
    when "link" then pick(ids(workspace.table(field.target)))
    else pick(["Kiln", "Ansa", "Thin rim", ""])
    end
  end

  def typed(table) =
    table
      .fields
      .reject { |field| table.rule_owned?(field.key) || %w[time moment].include?(field.type) }
      .sample(@random.rand(1..3), random: @random)
      .to_h { |field| [field.key, value_for(field)] }

  def edit
    here = table
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: here.key, typed: typed(here), id: pick(ids(here)))
  end

  def add =
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(
      table: "pieces",
      typed: good_piece.merge(typed(workspace.table("pieces")))
    )

  def delete
    here = table
    UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: here.key, id: pick(ids(here)))
  end

  def calculate
    here = table
    field = pick(here.fields.reject(&:link?))
    others = here.fields.select { |other| other.kind == field.kind && other != field && !other.link? }
    return if others.empty? || %w[choice yes_no time moment].include?(field.type)

    formula =
      {"number" => "coalesce(#{pick(others).key}, 0) + 1", "date" => "#{pick(others).key} + 1"}.fetch(field.type) do
        "#{pick(others).key} & \"!\""
      end
    change(
      :PinRule,
      table: here.key,
      rule: {
        "kind" => "calculation",
        "field" => field.key,
        "formula" => formula,
        "keeping" => pick(%w[always always shown once])
      }
    )
  end

  def stamp
    here = table
    field = pick(here.fields)
    rule = (field.type == "number") ? {"kind" => "tally"} : {"kind" => "stamp", "event" => pick(%w[made changed])}
    change(:PinRule, table: here.key, rule: rule.merge("field" => field.key))
  end

  def unpin
    here = table
    change(:UnpinRule, table: here.key, rule: pick(here.rules).id)
  end

  def retype
    here = table
    field = pick(here.fields.reject(&:link?))
    change(
      :ChangeField,
      table: here.key,
      field: field.key,
      parts: pick([{"type" => "text"}, {"type" => "number"}, {"decimals" => 0}, {"type" => "long_text"}])
    )
  end

  def remove
    here = table
    change(:RemoveField, table: here.key, field: pick(here.fields).key)
  end

  def rename
    here = table
    change(
      :ChangeField,
      table: here.key,
      field: pick(here.fields).key,
      parts: {"label" => "Named #{@random.rand(1_000)}"}
    )
  end

  def undo = design.undo
  def redo = design.redo
  def put_back = design.put_back(pick(UpTack::Store::Revision.pluck(:id)))

  def bulk
    UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(
      table: "pieces",
      drafts:
        ids(workspace.table("pieces"))
          .first(5)
          .map { |id| {id: id, typed: {"glazed" => "yes", "clay_weight" => @random.rand(100..900).to_s}} },
      summary: "Some"
    )
  end

  def undo_batch
    batch = UpTack::Store::Batch.last or return
    UpTack::UseCases::History::UndoBatch.new(workspace).call(batch.id)
  end

  def restore
    path = UpTack::Store::Backups.new.make("hand", to: File.join(StoreHelp::FOLDER, "freshness.sqlite3"))
    edit
    UpTack::UseCases::Maintenance::Backups.new(workspace.clock).restore_file(path)
  end

  def attempt(step)
    public_send(step)
  rescue Core::Invalid, UpTack::Store::NotFound, ActiveRecord::RecordInvalid, ArgumentError
    nil # Refused, so nothing is to be seen of it.
  end

  it "is sound, whatever was done in whatever order" do
    6.times do |round|
      @random = Random.new(RSpec.configuration.seed + round)
      done = Array.new(12) { pick(steps).tap { |step| attempt(step) } }
      findings = UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound)
      expect(findings.map(&:message)).to eq([]), "after #{done.join(", ")} " \
        "(seed #{RSpec.configuration.seed + round}): #{findings.map(&:message).join(" ")}"
    end
  end

  def sound =
    expect(UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound).map(&:message)).to(eq([]))

  it "follows values that come back when a calculation is taken off" do
    [%w[Girth number], %w[Doubled number]].each do |label, type|
      change(:AddField, table: "pieces", parts: {"label" => label, "type" => type})
    end
    save_piece({"girth" => "30"}, id: 3)
    change(
      :PinRule,
      table: "pieces",
      rule: {"kind" => "calculation", "field" => "doubled", "formula" => "girth * 2"}
    )
    change(:PinRule, table: "pieces", rule: {"kind" => "calculation", "field" => "girth", "formula" => "7"})
    expect(pieces.find(3)["doubled"]).to eq(14)
    design.undo
    expect(pieces.find(3).to_h.values_at("girth", "doubled")).to eq([30, 60])
    sound
  end

  it "follows what the log tells of stamps and tallies, and takes that back with them" do
    change(:AddField, table: "pieces", parts: {"label" => "Touches", "type" => "number"})
    change(:AddField, table: "pieces", parts: {"label" => "Effort", "type" => "number"})
    change(
      :PinRule,
      table: "pieces",
      rule: {"kind" => "calculation", "field" => "effort", "formula" => "coalesce(touches, 0) * 10"}
    )
    kept = save_piece({"touches" => "5"}, id: 4).record.values["touches"]
    3.times { |index| save_piece({"maker_note" => "Note #{index}"}, id: 3) }
    change(:PinRule, table: "pieces", rule: {"kind" => "tally", "field" => "touches", "watch" => ["maker_note"]})
    expect(pieces.find(3).to_h.values_at("touches", "effort")).to eq([3, 30])
    sound
    design.undo
    expect([pieces.find(3)["touches"], pieces.find(3)["effort"], pieces.find(4)["touches"]]).to eq([nil, 0, kept])
    sound
  end

  it "works everything out again where an earlier version came to other values" do
    connection = UpTack::Store::Database.connection
    connection.execute("UPDATE pieces SET loss = 1 WHERE id = 5")
    UpTack::Store::Settings[UpTack::Recalculation::Edition::SETTING] = "1"
    path = UpTack::Store::Database.path
    UpTack::Store::Database.close
    UpTack::Store::Database.open(path)
    sound
  end
end
