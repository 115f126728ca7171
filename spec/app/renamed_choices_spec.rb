# frozen_string_literal: true

require "store_helper"

RSpec.describe "Renaming a choice" do
  random = Random.new(RSpec.configuration.seed)

  def field(table, key) = workspace.table(table).field(key)
  def stored(table, key) = UpTack::Store::RecordTable.model(table).pluck(:id, key).to_h
  def attributes = workspace.project.attributes.except("last_id")

  def rename(table, key, names)
    design = field(table, key)
    later = ->(all) { all.map { |name| names.fetch(name, name) }.uniq }
    if design.list
      list = workspace.project.list(design.list)
      change(
        :SaveList,
        id: list.id,
        name: list.name,
        values: later.call(list.values),
        retired: later.call(list.retired),
        renamed: names
      )
    else
      change(
        :ChangeField,
        table: table,
        field: key,
        parts: {
          "choices" => later.call(design.choices),
          "retired" => later.call(design.retired),
          "renamed" => names
        }
      )
    end
  end

  def broken
    project = workspace.project
    runner = Core::Bench::Run.new(project)
    project
      .tables
      .flat_map { |table| table.proofs.map { |proof| runner.call(table, proof) } }
      .reject { |result| result.state == "passed" }
      .map do |result|
        [result.proof.name, *(ENV["WHY"] ? result.differences.map { |each| [each.expected, each.actual] } : [])]
      end
  end

  # Nobody says here where the demo names its choices: they get names that mean nothing, and change
  # places at random, and every proof comes out as before.
  it "carries records, rules, tables, forms, proofs and views along, and all of it back" do
    before, failing = attributes, broken
    design = workspace.project
    said = JSON.generate(design.attributes)
    records = {}
    renamed =
      workspace
        .project
        .tables
        .flat_map do |table|
          table.fields.select { |each| each.type == "choice" }.map { |each| [table.key, each.key] }
        end
        .uniq { |table, key| field(table, key).list || key }
    back =
      renamed.map do |table, key|
        names = field(table, key).choices
        records[[table, key]] = stored(table, key)
        others = names.each_with_index.to_h { |name, index| [name, "Zq#{index} of #{key}"] }
        others = names.zip(names.shuffle(random: random)).to_h if random.rand < 0.3
        rename(table, key, others)
        expect(stored(table, key)).to eq(
          records[[table, key]].transform_values { |value| value && others.fetch(value) }
        )
        [table, key, others.invert]
      end
    # A design that somebody still works with is not changed under their hands.
    expect(JSON.generate(design.attributes)).to eq(said)
    broken.each { |each| puts each.inspect[0, 600] } if ENV["WHY"]
    expect(broken).to eq(failing)
    back.reverse_each { |table, key, others| rename(table, key, others) }
    expect(attributes).to eq(before)
    records.each { |(table, key), all| expect(stored(table, key)).to eq(all) }
  end

  it "merges two into one, and an undo tells them apart again" do
    all = stored("pieces", "firing")
    expect(all.values).to include("Lustre", "Raku")
    save_piece({"firing" => "Lustre"}, id: 1, version: pieces.find(1)["version"])
    all = stored("pieces", "firing")
    rename("pieces", "firing", "Lustre" => "Raku")
    expect(field("pieces", "firing").choices).to eq(%w[Bisque Glaze Raku])
    expect(stored("pieces", "firing")).to eq(all.transform_values { |value| (value == "Lustre") ? "Raku" : value })
    typed = all.key("Bisque")
    save_piece({"firing" => "Raku"}, id: typed)
    design.undo
    expect(stored("pieces", "firing")).to eq(all.merge(typed => "Raku"))
    design.redo
    expect(stored("pieces", "firing").values).not_to include("Lustre")
  end

  it "is not done for a choice that is not there, nor to a name that is not on the list" do
    firing = field("pieces", "firing").choices
    [
      [{"Bisk" => "First"}, ["First", *firing]],
      [{"Bisque" => "First"}, firing],
      [["Bisque"], firing],
      [{"Bisque" => 3}, firing]
    ].each do |renamed, choices|
      expect {
        change(:ChangeField, table: "pieces", field: "firing", parts: {"choices" => choices, "renamed" => renamed})
      }.to raise_error(Core::Invalid)
    end
  end

  it "lets what was before it be put back under the new name" do
    typed = save_piece(good_piece.merge("firing" => "Bisque")).record.id
    save_piece({"firing" => "Glaze"}, id: typed)
    rename("pieces", "firing", "Bisque" => "First firing")
    UpTack::UseCases::History::PutBack.new(workspace).call(
      entry: entries(record: typed, table: workspace.table("pieces")).first.id
    )
    expect(pieces.find(typed)["firing"]).to eq("First firing")
  end
end
