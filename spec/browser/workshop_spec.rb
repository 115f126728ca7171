# frozen_string_literal: true

require "browser_helper"

# The smaller things that a builder does in a day, by mouse and by keyboard.
RSpec.describe "In the workshop" do
  it "renames and deletes a table, and takes it back" do
    change(:RemoveTable, table: "order_lines")
    visit "/"
    find_button("Rename: Orders", visible: :all).click
    within("dialog") do
      fill_in "Table name", with: "Sales"
      fill_in "Name of one record", with: "Sale"
      click_button "Save"
    end
    expect(page).to have_css("h2", text: "Sales").and have_no_css("dialog")
    click_button "Delete: Members"
    within("dialog") do
      click_button "Delete"
      expect(page).to have_css(
        "[role=alert]",
        text: "Maker of Pieces and Member of Sales link to Members. Delete them"
      )
      click_button "Cancel"
    end
    click_button "Delete: Sales"
    expect(page).to have_css("dialog", text: "This also deletes its 12 records and all its rules.")
    within("dialog") { click_button "Delete" }
    expect(page).to have_text("Sales deleted")
    expect(page).to have_no_css("h2", text: "Sales")
    press [:control, "z"]
    expect(page).to have_css("h2", text: "Sales").and have_text("12 records")
    press [:control, :shift, "z"]
    expect(page).to have_no_css("h2", text: "Sales")
  end

  it "says why a name can't be used, and keeps what was typed" do
    visit "/"
    fill_in "New table", with: "pieces"
    press :Enter
    expect(page).to have_css("[role=alert]", text: "There is already a table “Pieces”.").and have_field(
      "New table",
      with: "pieces"
    )
    visit "/t/pieces/rules"
    find_field("Add a field").native.node.focus
    press(*"TAG".chars)
    press :Enter
    expect(page).to have_css("[role=alert]", text: "There is already a field “Tag”.").and have_field(
      "Add a field",
      with: "TAG"
    )
  end

  it "says what another type would lose before it is saved" do
    visit "/t/pieces/rules?field=piece"
    within("aside") do
      select "Number", from: "Type"
      expect(page).to have_text("28 values can't be converted and would be blank: “Soup bowl”")
      select "Long text", from: "Type"
      expect(page).to have_text("All 28 values can be converted.")
      click_button "Save field"
    end
    expect(page).to have_button("Piece long text")
    expect(pieces.find(1)["piece"]).to eq("Soup bowl")
  end

  it "shows why a field can't take another type: the rule that would lose its sense" do
    visit "/t/pieces/rules?field=wet_weight"
    within("aside") do
      select "Date", from: "Type"
      click_button "Save field"
      expect(page).to have_css("[role=alert]", text: "A date can't be compared with a number")
    end
    expect(columns("pieces")["wet_weight"]).to eq("decimal")
  end

  it "pins a fixed default from the field's own choices" do
    visit "/t/clays/rules?field=family&stage=default"
    within("aside") do
      select "Porcelain", from: "fixed"
      expect(page).to have_text("A new record would start with Porcelain.")
      click_button "Pin rule"
    end
    expect(page).to have_button("Porcelain: Family defaults to Porcelain.")
    visit "/t/clays/forms"
    expect(page).to have_select("Family", selected: "Porcelain")
  end

  it "takes a rule off, and an undo pins it again" do
    visit "/t/pieces/rules"
    find_button("0 to 90: Hold minutes must be between 0 and 90.").native.node.focus
    press :Delete
    expect(page).to have_text("Rule deleted")
    expect(page).to have_no_button("0 to 90: Hold minutes must be between 0 and 90.")
    press [:control, "z"]
    expect(page).to have_button("0 to 90: Hold minutes must be between 0 and 90.")
  end

  it "lights up all tacks of a rule over several fields" do
    visit "/t/pieces/rules"
    tacks = all("button[data-rule]", text: "clay + tare = wet")
    tacks.first.hover
    lit = evaluate_script("[...document.querySelectorAll('[data-rule=\"#{tacks.first["data-rule"]}\"]')].map((tack) " \
      "=> tack.className.includes('border-accent'))")
    expect(lit).to eq([true, true, true])
  end

  it "drags a field to another place" do
    visit "/t/members/rules"
    expect(page).to have_button("Phone text").and have_css("[data-row]", minimum: 12)
    x, y = find_button("Drag to move Phone", visible: :all).native.node.find_position
    mouse = page.driver.browser.mouse
    mouse.move(x: x, y: y)
    mouse.down
    [8, 24, 48].each { |way| mouse.move(x: x, y: y - way) }
    mouse.up
    expect(page).to have_text("Phone is now at position 3")
    expect(workspace.table("members").fields.map(&:label).first(3)).to eq(%w[Name Title Phone])
  end

  it "switches the light, and remembers it" do
    visit "/"
    click_button "You"
    click_button "Switch to lamplight (dark)"
    visit "/t/pieces/rules"
    expect(page).to have_css("html[data-theme=lamplight]", visible: :all)
  end

  it "goes from table to table by typing, in the same view" do
    visit "/t/pieces/records"
    expect(page).to have_text("28 records")
    find("header button", text: "Pieces").click
    find("header input").fill_in with: "mem"
    press :Enter
    expect(page).to have_css("h1", text: "Members").and have_text("12 records")
    expect(page).to have_current_path("/t/members/records")
  end

  it "picks a day from the calendar" do
    visit "/t/pieces/forms?form=all"
    type_into "Received", "10 dec 2026"
    click_button "Choose a day: Received"
    find(".rdp-day_button", text: "21", match: :first).click
    expect(page).to have_field("Received", with: "21 Dec 2026").and have_field("Collect by", with: "4 Jan 2027")
  end

  it "takes the later of two answers, whichever comes first" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: "Odile Marsh")
    held = Queue.new
    first = true
    allow(Core::Save).to receive(:call).and_wrap_original do |original, *arguments, **options|
      if first && arguments[1].typed.any?
        first = false
        held.pop
      end
      original.call(*arguments, **options)
    end
    type_into "Received", "1 dec 2026"
    type_into "Received", "2 dec 2026"
    expect(page).to have_field("Collect by", with: "16 Dec 2026")
    held << :go
    expect(page).to have_field("Received", with: "2 Dec 2026").and have_field("Collect by", with: "16 Dec 2026")
  end

  it "narrows history to one record, and opens what a record was made with" do
    visit "/t/pieces/history"
    click_button "Only PC-00026", match: :first
    expect(page).to have_button("Show the whole table").and have_text("Handle re-attached on Saturday; dry slowly.")
    expect(page).to have_text(/Piece\s*\S+/).and have_text("Collect by is calculated once as Received + 14.")
    click_button "Show the whole table"
    expect(page).to have_text("PC-00028")
  end
end
