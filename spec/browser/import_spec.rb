# frozen_string_literal: true

require "browser_helper"

# A file brought in: looked at, tried, saved as far as it passes, mended and brought in again.
RSpec.describe "Import" do
  def bring(path) = find("input[type=file]", visible: :all).attach_file(path)

  def demo(name) = UpTack::Installation.path("demo", "imports", name)

  it "tries a file on the rules, saves what passes, and takes the mended rest" do
    visit "/t/pieces/records"
    click_link "Import"
    bring(demo("pieces_to_mend.csv"))
    expect(page).to have_text("CSV, 10 rows, written in UTF-8, divided by commas").and have_select(
      "Field: Peak °C",
      selected: "Peak °C"
    )
    click_button "Try it on the rules"
    expect(page).to have_css("[role=status]", text: "3 new · 7 refused")
    expect(page).to have_text("row 7").and have_text("Clay and tare must add up to the wet weight.").and have_text(
                  "several are called “Ansa Velt”"
                )
    expect(pieces.count).to eq(28)
    expect(accessibility_problems).to eq([])
    click_button "Save the 3 that pass"
    expect(page).to have_text("Saved. It was:").and have_css("[role=status]", text: "3 new · 7 refused")
    expect(pieces.count).to eq(31)

    # The refused rows, as they come out, mended in one place and left out in the others.
    refused =
      page.evaluate_async_script(
        "fetch(arguments[0]).then((found) => found.text()).then(arguments[1])",
        find("a", text: "The refused rows as a file")[:href]
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
    click_button "Try it on the rules"
    expect(page).to have_css("[role=status]", text: "1 new")
    click_button "Save it"
    expect(page).to have_text("Saved. It was:")
    expect(pieces.count).to eq(32)
    click_button "Take it all back"
    expect(page).to have_text("Taken back: 1.")
    expect(pieces.count).to eq(31)
  end

  it "changes records found by a field, and reads what the file shows as somebody says" do
    visit "/t/clays/import"
    bring(demo("clays_with_semicolons.csv"))
    expect(page).to have_text("divided by semicolons").and have_select("Read as: Limit °C", selected: "1.234,56")
    select "Rows with a known Name change that record", from: "Records that are there"
    click_button "Try it on the rules"
    expect(page).to have_css("[role=status]", text: "2 new · 1 refused")
    select "1,234.56", from: "Read as: Limit °C"
    click_button "Try it on the rules"
    expect(page).to have_css("[role=status]", text: /refused/).and have_text("whole numbers")
    bring_again = demo("renamed.xlsx")
    click_button "Another file"
    bring(bring_again)
    expect(page).to have_css("[role=alert]", text: "renamed.xlsx is not a workbook")
  end

  it "makes a table of a file, with the rules that the builder takes" do
    visit "/import"
    bring(UpTack::Installation.path("demo", "pieces.csv"))
    expect(page).to have_field("Name of the table", with: "Pieces").and have_text(
            "typed as two capitals, “-”, five digits"
          )
    fill_in "Name of the table", with: "Old pieces"
    click_button "Make the table"
    expect(page).to have_css("h1", text: "Bring records into Old pieces").and have_text("CSV, 28 rows")
    click_button "Try it on the rules"
    expect(page).to have_css("[role=status]", text: /28 new|new · /)
    table = workspace.project.tables.last
    expect([table.label, table.rules.map(&:kind).uniq.sort]).to match(
      ["Old pieces", include("mask", "required", "unique")]
    )
  end
end
