# frozen_string_literal: true

require "browser_helper"

# The whole way of a builder and a clerk through the demo, in a real browser.
RSpec.describe "From the board to a saved record" do
  it "shows the demo's tables and the board of one" do
    visit "/"
    expect(page).to have_css("h2", text: "Members").and have_text("12 records").and have_text("28 records")
    click_link "Pieces"
    expect(page).to have_css("h1", text: "Pieces").and have_text(
            "When a record is saved, rules run from left to right"
          )
    %w[Default Mask Tidy Fill Calculate Number Validate Log].each do |stage|
      expect(page).to have_css("p", text: /#{stage}/i)
    end
    row = find_button("Wet weight g number").ancestor("[data-row]")
    expect(row).to have_button("Wet weight g must be more than 0.").and have_button(
            "Clay weight g + Tare g must equal Wet weight g."
          )
    expect(all("[data-rule='#{row.find("[data-stop]", text: "clay + tare = wet")["data-rule"]}']").length).to eq(3)
  end

  it "makes a table and its fields, real columns following, and undoes it" do
    visit "/"
    fill_in "New table", with: "Glazes"
    press :Enter
    expect(page).to have_css("h1", text: "Glazes")
    find_field("Add a field").native.node.focus
    press(*"Limit".chars)
    select "Number", from: "Type of the new field"
    click_button "Add a field"
    expect(page).to have_button("Limit number")
    press(*"Family".chars)
    press :Enter
    expect(page).to have_button("Family number")
    expect(columns("glazes")).to include("limit" => "decimal", "family" => "decimal")
    find_button("Family number").native.node.focus
    press :Enter
    within("aside") { select "Choice", from: "Type" }
    fill_in "Choice 1", with: "Stoneware"
    find_field("Choice 1").native.node.focus
    press :Enter, *"Porcelain".chars
    expect(page).to have_field("Choice 2", with: "Porcelain")
    press [:control, :Enter]
    expect(page).to have_button("Family choice")
    expect(columns("glazes")["family"]).to eq("text")
    find_button("Family choice").native.node.focus
    press [:alt, :Up]
    expect(page).to have_text("Family is now at position 2")
    find_button("Limit number").native.node.focus
    press :Delete
    expect(page).to have_text("Limit deleted")
    expect(page).to have_no_button("Limit number")
    expect(columns("glazes").keys).to eq(%w[id name family])
    press [:control, "z"]
    expect(page).to have_button("Limit number")
    expect(columns("glazes")).to include("limit" => "decimal")
  end

  it "renames a field with the formulas that use it, and says what deleting it would lose" do
    visit "/t/pieces/rules?field=tare"
    type_into "Name", "Bat weight g"
    press [:control, :Enter]
    expect(page).to have_button("Clay weight g + Bat weight g must equal Wet weight g.", minimum: 3)
    find_button("Bat weight g number").native.node.focus
    press :Delete
    within("dialog") do
      expect(page).to have_text("28 records have a value in it.").and have_text("Bat weight g defaults to 55.")
      click_button "Delete field"
    end
    expect(page).to have_text("Bat weight g deleted")
    expect(page).to have_no_button("Bat weight g number")
    within("[data-sonner-toast]", match: :first) { click_button "Undo" }
    expect(page).to have_button("Bat weight g number")
    expect(pieces.find(1)["bat_weight_g"]).to eq(number("55"))
  end

  it "pins a default and a validation, with results and mistakes beside the formula as it is typed" do
    visit "/t/pieces/rules"
    open_place "Pin a rule on Shelf code: Default"
    find("input[aria-label='formula']").click
    write_formula "upper(left(maker, 2)) & \"-\" & pices"
    expect(page).to have_text("There is no field pices; did you mean piece?").and have_css(
      ".cm-lintRange-error",
      text: "pices"
    )
    write_formula "upper(left(maker, 2))"
    expect(page).to have_text("maker is a link to Members; choose one of its fields, such as maker.name.").and have_css(
      ".cm-lintRange-error",
      text: "maker"
    )
    write_formula "upper(left(maker.name, 2)) & \"-001\""
    expect(page).to have_text("A new record would start with -001").and have_text("AN-001")
    press %i[control Enter]
    expect(page).to have_no_css("aside").and have_button(
            "Shelf code defaults to first 2 characters of Name of Maker in uppercase"
          )

    open_place "Pin a rule on Hold minutes: Validate"
    find("input[aria-label='Custom check']").click
    write_formula "hold < 90"
    expect(page).to have_text("1 of 28 existing records will be refused when it is next saved.").and have_css(
      "aside li",
      text: /PC-00014.*refused.*90 is not below 90/m
    )
    fill_in "Error message", with: "Hold for less than an hour and a half."
    within("aside") { click_button "Pin rule" }
    expect(page).to have_no_css("aside").and have_button("Hold minutes must be less than 90.")
    visit "/t/pieces/forms?form=all"
    type_into "Hold minutes", "90"
    expect(box("Hold minutes")).to have_text("Hold for less than an hour and a half.")
  end

  it "fills in a form: defaults, messages when a field is left, a refusal that loses nothing, mending, saving" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: "Odile Marsh").and have_field("Collect by")
    expect(box("Collect by")).to have_text("Received + 14").and have_css(".line-computed")
    type_into "Received", "1 dec 2026"
    expect(page).to have_field("Collect by", with: "15 Dec 2026")
    expect(box("Received")).to have_css(".line-typed").and have_text("entered")
    type_into "Clay weight g", "640"
    type_into "Wet weight g", "700"
    expect(box("Wet weight g")).to have_text("Clay and tare must add up to the wet weight.")
    expect(box("Piece")).to have_no_text("Enter what it is")
    type_into "Maker note", "Thin rim"
    press [:control, "s"]
    expect(page).to have_text("Not saved. Fix 3 problems.").and have_text(
      "Your entries are kept. Correct the fields below and save again."
    )
    expect(box("Piece")).to have_text("Enter what it is")
    expect(page).to have_css("#input-piece:focus")
    expect(page).to have_field("Maker note", with: "Thin rim").and have_field("Wet weight g", with: "700")
    expect(pieces.count).to eq(28)
    type_into "Piece", "Jug"
    type_into "Maker", "Teodor Quill"
    type_into "Wet weight g", "695"
    expect(page).to have_no_text("Clay and tare must add up")
    press [:control, "s"]
    expect(page).to have_text("Saved: PC-00029").and have_css("h1", text: "PC-00029")
    expect(pieces.find(29)).to include(
      "piece" => "Jug",
      "collect_by" => Date.new(2026, 12, 15),
      "maker_note" => "Thin rim"
    )
  end

  it "edits and deletes a record, and tells both in History" do
    visit "/t/pieces/records"
    expect(page).to have_text("28 records")
    find("a[title='Open PC-00026']").click
    click_link "All fields"
    expect(page).to have_field("Tag", with: "PC-00026")
    select "Collected", from: "Stage"
    click_button "Save", exact: false, match: :first
    expect(page).to have_text("Saved: PC-00026")
    click_link "History", match: :first
    expect(page).to have_text(/Odile Marsh\s*changed\s*PC-00026/).and have_text(
            /Stage\s*Bisque fired|Stage\s*Drying/
          ).and have_text("→ Collected")
    visit "/t/pieces/forms/26?form=all"
    click_button "Delete"
    within("dialog") { click_button "Delete" }
    expect(page).to have_text("Deleted: PC-00026").and have_text("27 records")
    visit "/t/pieces/history?record=26"
    expect(page).to have_text(/Odile Marsh\s*deleted\s*PC-00026/).and have_text(/Collected\s*→\s*blank/)
  end

  it "sorts the grid by a column" do
    visit "/t/pieces/records"
    click_button "Wet weight g"
    expect(page).to have_css("[role=row][data-index='0']", text: "PC-00003")
    click_button "Wet weight g"
    expect(page).to have_css("[role=columnheader][aria-sort=descending]").and have_no_css(
      "[role=row][data-index='0']",
      text: "PC-00003"
    )
  end

  it "tries a record on the bench and tells every step, without touching a real one" do
    before = [pieces.count, UpTack::Store::Entry.count]
    visit "/t/pieces/bench"
    expect(page).to have_text("Would be refused").and have_text("2 rules refuse this record.")
    type_into "Date and time", "28 feb 2028 9:00"
    expect(page).to have_css("header", text: "Mon 28 Feb 2028, 09:00 · simulated date")
    select "Senna Whitlock · clerk", from: "Signed in as"
    {
      "Piece" => "Jug",
      "Maker" => "Teodor Quill",
      "Clay weight g" => "640",
      "Wet weight g" => "700"
    }.each { |label, text| type_into label, text }
    trace = find("section[aria-label='Trace']")
    expect(trace).to have_text("blank → 13 Mar 2028 (28 Feb 2028 + 14)").and have_text("blank → Senna Whitlock")
    expect(trace).to have_text(
      "640 + 55 = 695, not 700 · Clay and tare must add up to the wet weight."
    ).and have_text("nothing is stored because the record is refused")
    type_into "Wet weight g", "695"
    expect(page).to have_text("Would be saved").and have_text("21 values would be logged.")
    select "a copy of", from: "Start from"
    select "PC-00014 · Moon jar · Maro Tinsley", from: "Which record"
    expect(page).to have_field("Hold minutes", with: "90")
    expect([pieces.count, UpTack::Store::Entry.count]).to eq(before)
  end

  it "shows the design's changes and puts an earlier state back" do
    change(:RemoveField, table: "pieces", field: "fragile")
    visit "/t/pieces/history?of=design"
    expect(page).to have_text("Field Fragile of Pieces deleted").and have_text("now")
    change(:AddField, table: "pieces", parts: {"label" => "Rating", "type" => "number"})
    UpTack::UseCases::Bulk::Change.new(workspace).call(
      table: "pieces",
      kind: "change",
      ids: [1, 2],
      typed: {"rating" => "5"},
      keep: "all"
    )
    page.refresh
    all("button", text: "Restore").last.click
    expect(page).to have_css("dialog", text: "Rating of Pieces: 2 values.").and have_css(
      "dialog",
      text: "you can undo it"
    )
    click_button "Restore design"
    expect(page).to have_text("Design restored.").and have_text(
            "Restored: Restored the design to: Ember Lane Kiln Share was set up"
          )
    expect(columns("pieces")).to include("fragile")
    expect(columns("pieces")).not_to include("rating")
    find("[data-sonner-toast] button", text: "Undo").click
    page
      .document
      .synchronize(15) { raise Capybara::ExpectationNotMet, "not undone" unless columns("pieces").include?("rating") }
    expect([1, 2].map { |id| pieces.find(id)["rating"] }).to eq([5, 5])
  end
end
