# frozen_string_literal: true

require "browser_helper"

# A file brought in: looked at, tried, saved as far as it passes, mended and brought in again.
RSpec.describe "Import" do
  def bring(path) = find("input[type=file]", visible: :all).attach_file(path)

  def demo(name) = UpTack::Installation.path("demo", "imports", name)

  it "tries a file on the rules, saves what passes, and takes the mended rest" do
    visit "/t/pieces/records"
    click_link "Import"
    bring(demo("pieces_to_fix.csv"))
    expect(page).to have_text("CSV, 10 rows, UTF-8").and have_select(
      "Field: Peak °C",
      selected: "Peak °C"
    )
    click_button "Preview"
    expect(page).to have_css("[role=status]", text: "3 new · 7 refused")
    expect(page).to have_text("row 7").and have_text("Clay and tare must add up to the wet weight.").and have_text(
                  "more than one record is named “Ansa Velt”"
                )
    expect(pieces.count).to eq(28)
    expect(accessibility_problems).to eq([])
    click_button "Import the 3 that pass"
    expect(page).to have_text("Import finished:").and have_css("[role=status]", text: "3 new · 7 refused")
    expect(pieces.count).to eq(31)

    # The refused rows, as they come out, mended in one place and left out in the others.
    refused =
      page.evaluate_async_script(
        "fetch(arguments[0]).then((found) => found.text()).then(arguments[1])",
        find("a", text: "Download refused rows")[:href]
      )
    rows = CSV.parse(refused.delete_prefix("\uFEFF"))
    expect(rows.length).to eq(8)
    mended =
      rows
        .select { |row| ["Piece", "Oil bottle"].include?(row.first) }
        .map { |row| row.map { |cell| (cell == "480") ? "475" : cell } }
    path = File.join(StoreHelp::FOLDER, "mended.csv")
    File.write(path, mended.map(&:to_csv).join)
    click_button "Another file"
    bring(path)
    click_button "Preview"
    expect(page).to have_css("[role=status]", text: "1 new")
    click_button "Import 1 row"
    expect(page).to have_text("Import finished:")
    expect(pieces.count).to eq(32)
    click_button "Undo import"
    expect(page).to have_text("1 undone.")
    expect(pieces.count).to eq(31)
  end

  it "changes records found by a field, and reads what the file shows as somebody says" do
    visit "/t/clays/import"
    bring(demo("clays_with_semicolons.csv"))
    expect(page).to have_text("CSV, 3 rows, Windows-1252").and have_select("Read as: Limit °C", selected: "1.234,56")
    select "Update records with the same Name, add the rest", from: "Existing records"
    click_button "Preview"
    expect(page).to have_css("[role=status]", text: "2 new · 1 refused")
    select "1,234.56", from: "Read as: Limit °C"
    click_button "Preview"
    expect(page).to have_css("[role=status]", text: /refused/).and have_text("whole numbers")
    bring_again = demo("renamed.xlsx")
    click_button "Another file"
    bring(bring_again)
    expect(page).to have_css("[role=alert]", text: "renamed.xlsx is not a valid workbook")
  end

  it "reads a file as somebody says, shows its first rows so, and says what is left out or set by rules" do
    file = File.join(StoreHelp::FOLDER, "kilns.csv")
    text = "Kilns of the studio\nKiln;Peak °C;Łast fired;By\nSmall;1240;23-Nov-2026;Ona\nTall;900;1-Dec-2026;Ona\n"
    File.binwrite(file, text.encode("Windows-1250"))
    change(:AddTable, label: "Kilns")
    change(:AddField, table: "kilns", parts: {"label" => "Peak °C", "type" => "number"})
    change(:AddField, table: "kilns", parts: {"label" => "By", "type" => "text"})
    change(:PinRule, table: "kilns", rule: {"kind" => "stamp", "field" => "by", "event" => "made"})
    visit "/t/kilns/import"
    bring(file)
    expect(page).to have_text("The names of the columns are taken from row 2.").and have_text("£ast fired")
    click_button "How it is read"
    select "Windows-1250", from: "Encoding"
    expect(page).to have_css("[aria-label='The first rows as they are read'] th", text: "Łast fired")
    expect(page).to have_text("2 columns are left out: Kiln, Łast fired.")
    expect(page).to have_text("Rules set these fields again: By.")
    select "in row 1", from: "Column names"
    expect(page).to have_css("[aria-label='The first rows as they are read'] th", text: "Kilns of the studio")
    select "in row 2", from: "Column names"
    select "Name", from: "Field: Kiln"
    check "Import as it was", exact: false
    expect(page).to have_select("Field: By", selected: "By")
    select "Name", from: "Field: Kiln"
    expect(accessibility_problems).to eq([])
    click_button "Preview"
    click_button "Import all 2 rows"
    expect(page).to have_text("Import finished:")
    found = []
    UpTack::Store::RecordTable.new(workspace.table("kilns")).each { |_, row| found << [row["name"], row["by"]] }
    expect(found).to eq([%w[Small Ona], %w[Tall Ona]])
  end

  it "makes a table of a file, with the rules that the builder takes" do
    visit "/import"
    bring(UpTack::Installation.path("demo", "pieces.csv"))
    expect(page).to have_field("Table name", with: "Pieces").and have_text(
            "format: two uppercase letters, “-”, five digits"
          )
    fill_in "Table name", with: "Old pieces"
    click_button "Create table"
    expect(page).to have_css("h1", text: "Import into Old pieces").and have_text("CSV, 28 rows")
    click_button "Preview"
    expect(page).to have_css("[role=status]", text: /28 new|new · /)
    table = workspace.project.tables.last
    expect([table.label, table.rules.map(&:kind).uniq.sort]).to match(
      ["Old pieces", include("mask", "required", "unique")]
    )
  end

  it "suggests rules from all rows, with choices to edit, and offers to fix what refuses rows that are right" do
    stub_const("UpTack::Interchange::Profile::ROWS", 20)
    file = File.join(StoreHelp::FOLDER, "tiles.csv")
    rows = Array.new(60) { |n| [format("TL-%03d", n), (n == 50) ? "salt" : %w[raku glaze][n % 2], n % 7] }
    File.write(file, [%w[Code Programme Chips], *rows].map(&:to_csv).join)
    visit "/import"
    bring(file)
    expect(page).to have_text("Suggested from all 60 rows. Every value complies.")
    expect(page).to have_select("Type: Programme", selected: "Choice").and have_text("raku, glaze and 1 more")
    click_button "Edit choices: Programme"
    expect(page).to have_field("Choices: Programme", with: "raku\nglaze\nsalt")
    fill_in "Choices: Programme", with: "raku\nglaze\n\nraku"
    check "between 0 and 6"
    click_button "Done"
    expect(page).to have_css("td p", text: /\Araku, glaze\s+Edit\z/)
    expect(accessibility_problems).to eq([])
    click_button "Create table"
    click_button "Preview"
    expect(page).to have_css("[role=status]",
      text: "59 new · 1 refused").and have_text("Not a choice of Programme yet: salt")
    click_button "Add it to Programme"
    expect(page).to have_css("[role=status]", text: "60 new")
    expect(workspace.table("tiles").field("programme").choices).to eq(%w[raku glaze salt])

    more = File.join(StoreHelp::FOLDER, "more tiles.csv")
    File.write(more, "Code,Programme,Chips\nTL-900,raku,3\nTL-901,raku,12\n")
    click_button "Another file"
    bring(more)
    click_button "Preview"
    expect(page).to have_css("[role=status]", text: "1 new · 1 refused")
    click_button "Leave this rule off: Chips must be between 0 and 6."
    expect(page).to have_css("[role=status]", text: "2 new")
    expect(workspace.table("tiles").rules.map(&:kind)).not_to include("limits")
  end

  it "moves a database in: chosen, renamed, previewed, and its refusals mended" do
    visit "/import"
    attach_file "or choose one", demo("kiln_club.sql")
    expect(page).to have_text("3 tables, 14 rows").and have_text("No tables, left out: one view.")
    within(:css, "ul[aria-label='Tables of the file']") { click_button(text: "Courses") }
    fill_in "Table name", with: "Evening courses"
    expect(page).to have_text("Ends on must be on or after Starts on.").and have_select("Type: level",
      selected: "Choice")
    expect(page).to have_checked_field("Seats must be between 1 and 20.")
    find_field("Field: title").set("Course title")
    within(:css, "ul[aria-label='Tables of the file']") { click_button(text: "Bookings") }
    expect(page).to have_select("Type: potter_id", selected: "Link to Potters")
    uncheck "note"
    within(:css, "ul[aria-label='Tables of the file']") { click_button(text: "Potters") }
    select "Number", from: "Type: email"
    click_button "Preview"
    expect(page).to have_text("is not a number").and have_css("[role=status]", text: "refused")
    expect(page).to have_button("Import the 5 that pass").and have_link("Download refused rows")
    expect(accessibility_problems).to eq([])
    select "Text", from: "Type: email"
    within(:css, "ul[aria-label='Tables of the file']") { click_button(text: "Evening courses") }
    click_button "Edit choices: level"
    fill_in "Choices: level", with: "Beginner"
    click_button "Preview"
    expect(page).to have_text("Not yet choices of Level: Advanced")
    click_button "Add it to the choices"
    expect(page).to have_text("Done. Preview again.").and have_no_button("Import the", exact: false)
    expect(page).to have_field("Choices: level", with: "Beginner\nAdvanced")
    click_button "Preview again"
    expect(page).to have_css("[role=status]", text: "14 new")
    click_button "Import 3 tables"
    expect(page).to have_text("Import finished")
    click_link "Evening courses"
    expect(page).to have_css("[role=row]", text: "Glazing; dipping & pouring")
    bookings = workspace.table("bookings")
    expect(bookings.fields.map(&:label)).to eq(["Id", "Potter", "Course", "Paid", "Booked at"])
    visit "/t/bookings/records"
    expect(page).to have_css("[role=row][data-index='3']", text: "Dara Example")
  end
end
