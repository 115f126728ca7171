# frozen_string_literal: true

require "browser_helper"
require "support/followed_page"

# Ten pages of the guide, followed to the letter: each step uses what the page names, and nothing else.
RSpec.describe "The guide, followed" do
  def follow(name)
    guide = FollowedPage.new(name)
    yield guide
    expect(guide).to be_finished
  end

  def choose_kind(label) = find("input[type=radio][aria-label=\"#{label}\"]").click
  def panel(&block) = within("aside", &block)
  def cell(field, stage) = open_place("Pin a rule on #{field}: #{stage}")

  # Pins what stands in the panel, and waits until the board is whole again.
  def pin(label)
    panel { click_button label }
    expect(page).to have_no_css("aside")
  end

  it "takes an empty project from a table to a second person", :signed_out do
    StoreHelp.open_empty("Glaze kitchen")
    enter_as "Odile Marsh"
    visit "/"
    follow("first-steps") do |guide|
      guide.step(1, "Glazes", "Create table") do |name, create|
        fill_in "New table", with: name
        click_button create
      end
      guide.step(2, "Add a field") do |add|
        find_field(add).click
        press(*"Code".chars, :Enter)
      end
      guide.step(3, "Pin rule") do |pin|
        cell("Code", "Validate")
        choose_kind "Required"
        pin(pin)
      end
      guide.step(4, "Try a record") do |try|
        click_link try
        expect(page).to have_text("Would be refused")
        type_into "Code", "G-1"
        expect(page).to have_text("Would be saved")
      end
      guide.step(5, "Save as proof") do |save|
        click_button save
        within("dialog") do
          fill_in "Name", with: "A code is enough"
          click_button "Save proof"
        end
        expect(page).to have_css("[data-proof]", text: "A code is enough")
      end
      visit "/"
      expect(page).to have_css("[aria-current=step]", text: "Create a form").and have_css("[aria-label=done]", count: 5)
      click_link "Create a form"
      guide.step(6, "Forms", "New form", "Save form") { |_, _, save| click_button save }
      expect(page).to have_field("Code")
      click_button "You"
      guide.step(7, "People", "Add a person") do |people, add|
        click_link people
        click_button add
        fill_in "Display name", with: "Bram Tolley"
        fill_in "Sign-in name", with: "bram"
        fill_in "Set a password", with: "three shelves of jugs"
        click_button "Save"
        expect(page).to have_css("tr", text: "Bram Tolley")
      end
    end
    visit "/"
    expect(page).to have_css("h2", text: "Glazes").and have_no_text("First steps")
  end

  it "sets a default" do
    visit "/t/pieces/rules"
    follow("default") do |guide|
      guide.step(1, "Default") { |stage| cell("Maker note", stage) }
      guide.step(2, "Default value", "formula", "user.name") do |_, formula, text|
        choose_kind formula
        write_formula text
      end
      guide.step(3, "Pin rule") do |pin|
        expect(page).to have_text("A new record would start with Odile Marsh")
        pin(pin)
      end
    end
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Maker note", with: "Odile Marsh")
  end

  it "finds a mask by an example" do
    change(:AddField, table: "members", parts: {"label" => "Locker", "type" => "text"})
    visit "/t/members/rules"
    follow("mask") do |guide|
      guide.step(1, "Mask") { |stage| cell("Locker", stage) }
      guide.step(2, "From example", "KD-017") do |from, example|
        choose_kind from
        fill_in "Type a correct example", with: example
        find("label", text: "two uppercase letters, “-”, three digits").click
      end
      guide.step(3, "Try the mask") do |try|
        find_field(try).click
        press(*"ab1".chars)
        expect(page).to have_text("two more digits are missing")
      end
      guide.step(4, "Incomplete input", "clear the field") { |_, clear| choose clear }
      guide.step(5, "Pin rule") { |pin| pin(pin) }
    end
    visit "/t/members/forms"
    type_into "Locker", "xy123"
    expect(page).to have_field("Locker", with: "XY-123")
  end

  it "fills fields by a decision table" do
    visit "/t/clays/rules"
    follow("decision-table") do |guide|
      guide.step(1, "Fill", "Decision table") do |stage, kind|
        cell("Limit °C", stage)
        choose_kind kind
      end
      guide.step(2, "Add input …", "Add output …") { |add, _| select "Family", from: add.delete_suffix(" …") }
      guide.step(3) do
        {"Row 1, Family" => "Stoneware; Earthenware", "Row 1, Limit °C" => "1280"}.each do |box, text|
          find("input[aria-label='#{box}']").set(text)
        end
        click_button "Add row"
        find("input[aria-label='Row 2, Limit °C']").set("1300")
      end
      guide.step(4, "Check") do |_|
        expect(page).to have_text("Complete: every combination is covered and no rows conflict.")
      end
      guide.step(5, "Try it", "Try edge cases") { |_, try| click_button try }
      expect(page).to have_text("Result: Limit °C is 1,")
      guide.step(6, "Pin rule") { |pin| pin(pin) }
    end
    visit "/t/clays/forms"
    select "Stoneware", from: "Family"
    expect(page).to have_field("Limit °C", with: "1,280")
  end

  it "calculates a field" do
    change(:AddField, table: "pieces", parts: {"label" => "Shrinkage", "type" => "number"})
    visit "/t/pieces/rules"
    follow("calculated-field") do |guide|
      guide.step(1, "Calculate") { |stage| cell("Shrinkage", stage) }
      guide.step(2, "Text") do |text|
        choose_kind text
        write_formula "wet_weight - fired_weight"
        expect(page).to have_text("Effect on existing records")
      end
      guide.step(3, "Once") { |once| find("label", text: once).click }
      guide.step(4, "Pin rule") { |pin| pin(pin) }
    end
    visit "/t/pieces/forms?form=all"
    {"Wet weight g" => "695", "Fired weight g" => "600"}.each { |label, text| type_into label, text }
    expect(page).to have_field("Shrinkage", with: "95")
  end

  it "numbers records in a series for each year" do
    change(:AddField, table: "clays", parts: {"label" => "Code", "type" => "text"})
    change(:AddField, table: "clays", parts: {"label" => "Received", "type" => "date"})
    visit "/t/clays/rules"
    follow("auto-number") do |guide|
      guide.step(1, "Number") { |stage| cell("Code", stage) }
      guide.step(2, "Number format", "counter(5)") do |_, count|
        write_formula "\"CL-\" & year(received) & \"-\" & #{count}"
      end
      guide.step(3, "Start at", "Increase by") do |start, step|
        fill_in start, with: "10"
        fill_in step, with: "10"
      end
      guide.step(4, "Restart numbering for each", "year(received)") do |restart, formula|
        check restart
        find("[aria-label='Restart numbering for each'].cm-content").click
        press(*formula.chars)
        close_suggestions
      end
      guide.step(5) { uncheck "Allow entering a different number by hand" }
      guide.step(6, "Pin rule") { |pin| pin(pin) }
    end
    visit "/t/clays/forms"
    {"Name" => "River red", "Received" => "3 mar 2025"}.each { |label, text| type_into label, text }
    press [:control, "s"]
    expect(page).to have_text("CL-2025-00010")
  end

  it "adds a validation with a message of its own" do
    visit "/t/pieces/rules"
    page_text = File.read(File.join(FollowedPage::FOLDER, "validations.md")).gsub(/\s+/, " ")
    expect(page_text).to include("| Range |").and include("*Validate* column")
    cell("Fired weight g", "Validate")
    choose_kind "Range"
    follow("validations") do |guide|
      guide.step(1) { fill_in "Maximum", with: "wet_weight" }
      guide.step(2, "Error message") do |message|
        expect(page).to have_text("All 28 existing records pass.")
        fill_in message, with: "Weigh it again: it can't have become heavier."
      end
      guide.step(3, "Custom check", "Show message at") { |_, at| expect(page).to have_no_text(at) }
      guide.step(4, "Pin rule") { |pin| pin(pin) }
    end
    visit "/t/pieces/forms?form=all"
    {"Wet weight g" => "695", "Fired weight g" => "700"}.each { |label, text| type_into label, text }
    expect(box("Fired weight g")).to have_text("Weigh it again")
  end

  it "stamps the day on which something first became true" do
    change(:AddField, table: "pieces", parts: {"label" => "Fired on", "type" => "date"})
    visit "/t/pieces/rules"
    follow("stamp") do |guide|
      guide.step(1, "Log") { |stage| cell("Fired on", stage) }
      guide.step(2, "A condition becomes true") { |event| choose_kind event }
      guide.step(3, "The first time") do |first|
        write_formula "fired_weight is not blank"
        choose_kind first
      end
      guide.step(4) { expect(page).to have_text("Effect on existing records") }
      guide.step(5, "Pin rule") { |pin| pin(pin) }
    end
    save_piece({"fired_weight" => "640"}, id: 28)
    expect(pieces.find(28)["fired_on"]).to eq(Date.today)
  end

  it "imports what passes, and hands out what does not" do
    visit "/"
    follow("import") do |guide|
      guide.step(1, "Records", "Import") do |records, import|
        visit "/t/pieces/rules"
        click_link records
        click_link import
        find("input[type=file]", visible: :all).attach_file(
          UpTack::Installation.path("demo", "imports", "pieces_to_fix.csv")
        )
      end
      guide.step(2, "don't import") { |none| expect(page).to have_css("option", text: none, visible: :all) }
      guide.step(3) { expect(page).to have_select("Existing records", selected: "Add every row as a new record") }
      guide.step(4, "Preview") { |preview| click_button preview }
      expect(page).to have_text("3 new · 7 refused")
      guide.step(5, "Import the … that pass") { |pass| click_button pass.sub("…", "3") }
      guide.step(6, "Download refused rows") { |download| expect(page).to have_link(download) }
    end
    expect(page).to have_button("Undo import")
    expect(pieces.count).to eq(31)
  end

  it "makes a proof of a trial" do
    visit "/t/pieces/rules"
    follow("proofs") do |guide|
      guide.step(1, "Try a record") { |try| click_link try }
      guide.step(2, "Setup") { |setup| expect(page).to have_text(setup) }
      guide.step(3, "Trace") do |_|
        {"Piece" => "Jug", "Maker" => "Teodor Quill", "Clay weight g" => "640", "Wet weight g" => "695"}
          .each { |label, text| type_into label, text }
        expect(page).to have_text("Would be saved")
      end
      guide.step(4, "Save") { |save| within("section[aria-label='Trial record']") { click_button save, exact: true } }
      guide.step(5, "Save as proof") do |save|
        click_button save
        fill_in "Name", with: "A jug is saved"
        click_button "Save proof"
      end
    end
    expect(page).to have_css("[data-proof][aria-current=true]", text: "A jug is saved").and have_css(
            "[data-proof][aria-current=true] [aria-label='passed']"
          )
    expect(pieces.count).to eq(28)
  end
end
