# frozen_string_literal: true

require "browser_helper"
require "support/grid_help"

# The grid at work: blocks pasted, refused rows mended, many records changed at once.
RSpec.describe "The grid" do
  include GridHelp

  it "pastes a block into rows that are there and into new ones, and keeps what is refused until it is mended" do
    open_grid("/t/clays/records")
    press [:control, :End], [:control, :Left]
    paste("Moor\tStoneware\t1240\nReed\tPorcelain\t5000\n\"Two \"\"B\"\"\"\tStoneware\t1200\n")
    expect(page).to have_text("2 records saved, 1 needs fixing").and have_text("1 row needs fixing")
    clays = UpTack::Store::RecordTable.new(workspace.table("clays"))
    expect(clays.page(limit: 50).map { |_, values| values["name"] }).to include("Moor", "Two \"B\"")
    expect(clays.page(limit: 50).map { |_, values| values["name"] }).not_to include("Reed")

    # It survives a reload, says what is wrong at its cell, and is saved once that is mended.
    open_grid("/t/clays/records")
    row = find("[role=row]", text: "Reed")
    expect(row).to have_css("[aria-invalid=true]", text: "5000")
    cell(row["data-index"], "limit").double_click
    press [:control, "a"], *"1260".chars, :Enter
    expect(page).to have_no_text("needs fixing").and have_css("[role=row]", text: "Reed")
    expect(clays.page(limit: 50).map { |_, values| values.values_at("name", "limit") }).to include(["Reed", 1260])
  end

  it "types on behind what stands in a cell with F2, and undoes no second change with Ctrl Shift Z" do
    open_grid
    cell(1, "maker_note").click
    press :F2, *" And more.".chars, :Enter
    expect(page).to have_css("[role=row][data-index='1']", text: "And more.")
    cell(1, "piece").click
    press(*"Tall jug".chars, :Enter)
    expect(page).to have_css("[role=row][data-index='1']", text: "Tall jug")
    press [:control, "z"]
    expect(page).to have_no_text("Tall jug")
    press [:control, :shift, "z"]
    expect(pieces.find(2)["maker_note"].to_s).to end_with("And more.")
  end

  it "refuses what is no choice as a whole, and lets a refused cell wait while one types on" do
    open_grid
    before = pieces.find(1)["firing"]
    cell(0, "firing").click
    press(*"Glow".chars, :Enter)
    expect(page).to have_text("No choice starts with “Glow”.").or have_text("No choice starts with “Glo”.")
    expect(pieces.find(1)["firing"]).to eq(before)
    cell(1, "absorption").click
    Typist.new(page.driver.browser.page, words: nil).press("101", :enter, "4.5", :enter)
    expect(page).to have_text("1 row needs fixing").and have_css("[aria-invalid=true]", text: "101")
    expect(page).to have_css("[role=row]", text: "PC-00003")
    page
      .document
      .synchronize(20) do
        unless [2, 3].any? { |id| pieces.find(id)["absorption"] == BigDecimal("4.5") }
          raise Capybara::ExpectationNotMet, "not typed on"
        end
      end
  end

  it "changes many at once after showing what the rules would do, and takes it back" do
    open_grid
    find("[role=row][data-index='12'] input[type=checkbox]").click
    find("[role=row][data-index='14'] input[type=checkbox]").click(:shift)
    click_button "Change a field"
    within("dialog") do
      select "Wet weight g", from: "Field"
      fill_in "bulk-value", with: "1"
      expect(page).to have_text("3 will be refused.").and have_text("Clay and tare must add up").and have_button(
        "Nothing to change",
        disabled: true
      )
      select "Maker note", from: "Field"
      fill_in "bulk-value", with: "Top shelf"
      expect(page).to have_text("3 will change, 0 already have this value, 0 will be refused.")
      click_button "Change 3 records"
    end
    expect(page).to have_text("Done: 3 records.")
    expect([13, 14, 15].map { |id| pieces.find(id)["maker_note"] }).to eq(["Top shelf"] * 3)
    click_button "Undo"
    expect(page).to have_text("3 undone.")
    expect([13, 14, 15].map { |id| pieces.find(id)["maker_note"] }).to eq([nil] * 3)
  end

  it "sorts by several columns, totals them, hides and holds them, and keeps all that as a view" do
    open_grid
    click_button "Piece"
    find("[role=columnheader]", text: "Tag").find("button", match: :first).click(:shift)
    expect(page).to have_css("[role=columnheader][aria-sort=ascending]", count: 2)
    click_button "Columns"
    uncheck "Show Maker's phone"
    click_button "Freeze Piece"
    press :Escape
    select "sum", from: "Total of Clay weight g", visible: :all
    expect(page).to have_css("[role=gridcell]", text: /sum\s*1\d/).and have_no_css(
      "[role=columnheader]",
      text: "Maker's phone"
    )
    click_button "Save view"
    fill_in "View name", with: "By piece"
    click_button "Save"
    expect(page).to have_text("View saved: By piece")
    view = workspace.table("pieces").filters.last
    expect(
      [view.sort, view.columns.count { |column| column["hidden"] }, view.columns.count { |column| column["frozen"] }]
    ).to match([/\Af\d+,f\d+\z/, 1, 2])
    expect(accessibility_problems).to eq([])
  end
end
