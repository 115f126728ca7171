# frozen_string_literal: true

require "store_helper"
require "tempfile"

# A file of somebody else becomes a table, with all of its columns, whatever they are called.
RSpec.describe "A table from a file" do
  imports = UpTack::UseCases::Imports

  def upload(text, name = "from.csv") =
    UpTack::UseCases::Imports::Uploads.new(person).add(StringIO.new(text), name)

  def look(upload, table = nil) =
    UpTack::UseCases::Imports::FileAnalysis
      .new(workspace)
      .call(upload.source, table, known: table ? upload.fields(table) : {})

  def known_names = UpTack::UseCases::Imports::KnownNames.new(workspace)

  def make(upload, rules: false, label: "From file", &change)
    fields =
      UpTack::UseCases::Imports::NewTable.propose(look(upload).profiles, known_names).map do |each|
        parts = each.to_h.slice(:column, :label, :type, :choices).transform_keys(&:to_s)
        parts["target"] = each.target&.key
        rules ? parts.merge("rules" => each.rules.reject(&:doubtful).map(&:parts)) : parts
      end
    fields.each(&change) if change
    UpTack::UseCases::Imports::MakeTable.new(workspace).call(label: label, fields: fields, upload: upload)
  end

  def bring_in(upload, table, keep: "all") =
    UpTack::UseCases::Imports::ImportUpload.new(workspace).call(
      table: table.key, upload: upload, options: {}, overrides: {}, keep: keep
    )

  def cells(table) =
    [].tap do |all|
      UpTack::Store::RecordTable.new(workspace.table(table.key)).each do |_, row|
        all << table.fields.map { |field| row[field.key] }
      end
    end

  odd = [
    "2022", "2023", "%", "#", "Cost (€)", "Cost ($)", "cost €", "id", "ID", "Column 3", "", "日本", "a" * 120,
    "#{"a" * 120}b", "Tag", "tag", "tág", "  Weight  kg ", "Glaße", "=1+1", "'quoted'", "\"double\"", "if", "and"
  ]

  it "keeps every column under its heading, also those that are alike, odd or renamed on the way" do
    3.times do |seed|
      names = odd.shuffle(random: Random.new(seed))
      rows = Array.new(3) { |row| names.each_index.map { |column| "cell #{seed}.#{row}.#{column}" } }
      file = upload([names, *rows].map { |cells| CSV.generate_line(cells) }.join)
      table = make(file, label: "File #{seed}") { |field| field["label"] = "Field #{field["label"].hash}" if seed == 2 }
      expect(table.fields.length).to eq(names.length)
      looked = look(file, table)
      expect(looked.left_out).to be_empty
      expect(bring_in(file, table).made).to eq(3)
      expect(cells(table)).to eq(rows)
    end
  end

  it "names fields as the file does" do
    table = make(upload("2022,%,Cost (€),#{"a" * 80}\n1,2,3,4\n"))
    expect(table.fields.map(&:label)).to eq(["2022", "%", "Cost (€)", "a" * 60])
    expect(table.fields.map(&:key)).to eq(%W[n_2022 field cost #{"a" * 44}])
  end

  it "is one change of the design, which an undo takes away" do
    before = workspace.project.attributes
    revisions = UpTack::Store::Revision.count
    names = Array.new(300) { |index| "Column of glaze #{index}" }
    rows = Array.new(10) { |row| names.each_index.map { |column| row * column } }
    table = make(upload([names, *rows].map { |row| row.join(",") }.join("\n")), rules: true)
    expect(table.rules.length).to be > 300
    expect(UpTack::Store::Revision.count).to eq(revisions + 1)
    design.undo
    expect(workspace.project.attributes["tables"]).to eq(before["tables"])
  end

  it "proposes links to records that there are, and rules that will bear what comes next" do
    clays = []
    UpTack::Store::RecordTable.new(workspace.table("clays")).each { |_, row| clays << row["name"] }
    rows = Array.new(12) do |index|
      count = (index == 3) ? "-" : index
      [format("GL-%03d", index + 7), clays[index % clays.length], count, "#{index}.5", "note #{index}"]
    end
    file = upload([%w[Code Clay Count Price Note], *rows].map { |row| CSV.generate_line(row) }.join)
    proposed = imports::NewTable.propose(look(file).profiles, known_names)
    expect(proposed.map(&:type)).to eq(%w[text link number number text])
    expect(proposed[1].target.key).to eq("clays")
    taken, left = %i[reject select].map do |choose|
      proposed.map { |each| each.rules.public_send(choose, &:doubtful).map { |rule| rule.parts["kind"] } }
    end
    expect(taken).to eq([%w[required unique mask], %w[required], [], %w[required], %w[required]])
    expect(left).to eq([%w[number], [], %w[unique limits], %w[unique limits], %w[unique]])
    table = make(file, rules: true)
    expect(bring_in(file, table).made).to eq(12)
    linked = UpTack::Store::RecordTable.new(workspace.table(table.key)).find(1)["clay"]
    expect(UpTack::Store::RecordTable.new(workspace.table("clays")).find(linked)["name"]).to eq(clays.first)
  end

  it "says which field a rule or a label is wrong on" do
    wrong = [
      {"label" => "Weight", "type" => "number", "rules" => [{"kind" => "limits", "low" => "heavy", "high" => "1"}]},
      {"label" => "", "type" => "text"}
    ]
    wrong.zip(["Weight", ""]) do |field, label|
      fields = [{"label" => "Sound", "type" => "text"}, field]
      expect { imports::MakeTable.new(workspace).call(label: "Wrong", fields: fields) }
        .to raise_error(Core::Invalid, /\AField “#{label}”: /)
    end
  end

  describe "the refused rows, brought back" do
    # Which order a date is in shows only in rows that pass.
    plain = <<~CSV
      name;note;came;left;cost
      Ona;ü;25/12/2026;12/25/2026;1.234,56
      Bea;ü;03/04/2026;03/04/2026;1.234
      ;ü;05/06/2026;05/06/2026;2.500
      ;ü;07/08/2026;07/08/2026;3,5
    CSV

    %w[UTF-8 Windows-1252 UTF-16LE].each do |encoding|
      it "are read as before, in #{encoding}" do
        text = plain.sub("Bea", "Béa „x“")
        file = upload((encoding.start_with?("UTF-16") ? "\uFEFF#{text}" : text).encode(encoding).b)
        table = make(file) { |field| field["rules"] = [{"kind" => "required"}] if field["column"] == "name" }
        bring_in(file, table, keep: "passing")
        io = StringIO.new("".b)
        imports::CorrectedFile.write(file, file.source, io, decimal_mark: ".")
        sent = upload(io.string.dup, "refused.csv")
        source = sent.source
        expect([source.encoding, source.delimiter]).to eq([encoding, ";"])
        expect(look(sent, table).left_out).to be_empty
        mended = io.string.force_encoding(encoding).encode("UTF-8").delete("\uFEFF")
          .gsub(/^;/, "Senna;").encode(encoding).b
        mended = "\uFEFF".encode(encoding).b + mended if encoding.start_with?("UTF")
        expect(bring_in(upload(mended, "mended.csv"), table).made).to eq(2)
        day = ->(*parts) { Date.new(*parts) }
        expect(cells(table).last(2)).to eq(
          [
            ["Senna", "ü", day[2026, 6, 5], day[2026, 5, 6], BigDecimal("2500")],
            ["Senna", "ü", day[2026, 8, 7], day[2026, 7, 8], BigDecimal("3.5")]
          ]
        )
      end
    end
  end
end
