# frozen_string_literal: true

require "browser_helper"

# From an empty project to a table whose rules are proven, and what becomes of proofs later.
RSpec.describe "Proving" do
  def state_of(rule) = find("[data-rule='#{rule}']", match: :first).find("[role=img]")["aria-label"]

  def begin_empty
    UpTack::Store::Database.close
    UpTack::Store::Database.open(File.join(StoreHelp::FOLDER, "empty_#{SecureRandom.hex(4)}.sqlite3"))
  end

  it "goes the whole way from an empty project to a proven table", :signed_out do
    begin_empty
    visit "/"
    {
      "Code from the terminal" => UpTack::UseCases::People::SetUp.new_code,
      "Project name" => "Ember Lane",
      "Display name" => "Odile Marsh",
      "Sign-in name" => "odile",
      "Password" => "four kilns in a row"
    }.each { |label, text| fill_in label, with: text }
    click_button "Create project"
    fill_in "New table", with: "Glazes"
    press :Enter
    expect(page).to have_css("h1", text: "Glazes")
    find_field("Add a field").native.node.focus
    press(*"Peak".chars)
    select "Number", from: "Type of the new field"
    click_button "Add a field"
    expect(page).to have_button("Peak number")
    open_place "Pin a rule on Peak: Validate"
    find("input[aria-label='Range']").click
    fill_in "Minimum", with: "900"
    fill_in "Maximum", with: "1300"
    press [:control, :Enter]
    expect(page).to have_css("[data-rule]", text: "900 to 1300")
    expect(page).to have_text("0 of 1 rules proven")
    click_link "Bench"
    expect(page).to have_text("No proofs yet.")
    click_button "Suggest edge cases"
    expect(page).to have_text("Exactly on the maximum: Peak, 900 to 1300").and have_text("6 edge cases")
    click_button "Mark all correct"
    click_button "Save 6 proofs"
    expect(page).to have_text("1 of 1 rules proven.").and have_css("[data-proof]", count: 6)
    click_link "Rules"
    expect(page).to have_text("1 of 1 rules proven")
    find("[data-rule]", match: :first).click
    fill_in "Maximum", with: "1299"
    expect(page).to have_text("2 proofs would break:")
    expect(page).to have_text("Exactly on the maximum: Peak, 900 to 1300").and have_text(
            "expected that it is saved; it was refused by “900 to 1299”"
          )
    press %i[control Enter]
    expect(page).to have_css("[data-rule] [aria-label=broken]")
    press [:control, "z"]
    expect(page).to have_css("[data-rule] [aria-label=proven]")
  end

  it "tries a record as a clerk would, keeps it with what must come out, and says later what differs" do
    before = [pieces.count, UpTack::Store::Entry.count]
    visit "/t/pieces/bench"
    select "Reception", from: "Form"
    select "Senna Whitlock · clerk", from: "Signed in as"
    type_into "Maker", "Teodor Quill"
    expect(page).to have_css("#input-piece:focus")
    {"Piece" => "Jug", "Clay weight g" => "640", "Wet weight g" => "700"}.each { |label, text| type_into label, text }
    click_button "Save"
    expect(page).to have_css("[role=status]", text: "Refused").and have_button("refused")
    type_into "Wet weight g", "695"
    click_button "Save"
    expect(page).to have_css("[role=status]", text: "Saved").and have_button("saved").and have_field(
      "Wet weight g",
      with: "695"
    )
    click_button "Wait …"
    fill_in "Days", with: "20"
    click_button "Wait"
    expect(page).to have_text("20 days later")
    click_button "Delete", exact: true
    expect(page).to have_css("[role=status]", text: "Deleted")
    click_button "Restore"
    expect(page).to have_css("[role=status]", text: "Restored")
    5.times { click_button "Undo" }
    expect(page).to have_no_button("Undo")
    expect(page).to have_field("Wet weight g", with: "700")
    expect([pieces.count, UpTack::Store::Entry.count]).to eq(before)

    click_button "Save as proof"
    fill_in "Name", with: "Weights are added up"
    expect(page).to have_field("with any message", with: "Clay and tare must add up to the wet weight.")
    click_button "Save proof"
    expect(page).to have_css("[data-proof][aria-current=true]", text: "Weights are added up").and have_css(
      "h1",
      text: "Weights are added up"
    )
    id = find("[data-proof][aria-current=true]")["data-proof"]
    # A step can only differ from a good run, so there must be one.
    expect(page).to have_css("[data-proof='#{id}'] [aria-label='passed']")
    change(
      :PinRule,
      table: "pieces",
      rule: demo_rule("check", "wet_weight", /tare = wet/).attributes.merge("message" => "Do the sum again.")
    )
    visit "/t/pieces/bench?proof=#{id}"
    expect(page).to have_css("[data-proof='#{id}'] [aria-label=broken]")
    expect(page).to have_text("but it was refused by “clay + tare = wet” with “Do the sum again.”")
    expect(page).to have_text("First difference from the last passing run (Validate, Wet weight g):")
    click_button "Change"
    fill_in "with any message", with: "Do the sum again."
    click_button "Save proof"
    expect(page).to have_css("[data-proof='#{id}'] [aria-label='passed']")
    click_button "Delete proof"
    expect(page).to have_no_css("[data-proof='#{id}']")
  end

  it "says why a field is blank, unfolds a formula, and makes the record that a rule still lacks" do
    visit "/t/pieces/bench"
    {
      "Piece" => "Jug",
      "Maker" => "Teodor Quill",
      "Clay weight g" => "640",
      "Wet weight g" => "695",
      "Fired weight g" => "556"
    }.each { |label, text| type_into label, text }
    click_button "Why is Verdict blank?"
    expect(page).to have_text(
      "Verdict is blank because rule “porous above the limit” was skipped: none of its fields changed."
    )
    loss = find("section[aria-label='Trace'] li li", text: "Weight lost %", match: :first)
    expect(page).to have_text("blank → 20.0 (((695 − 556) ÷ 695) × 100)")
    within(loss) { find("summary", text: "show calculation", match: :first).click }
    expect(page).to have_text("Wet weight g − Fired weight g = 139")
    visit "/t/titles/bench"
    click_button "2 cases not covered"
    click_button "Create the record", match: :first
    expect(page).to have_text("It refuses: Text, required").and have_text("is refused: Enter the title.")
    find("input[aria-label='Should be saved']").click
    click_button "Save 1 proof"
    expect(page).to have_css("[data-proof] [aria-label=broken]").and have_text(
            "expected that it is saved; it was refused by “required”"
          )
  end

  it "types an order's lines beneath a trial, whose total follows, and saves none of them for real" do
    before = UpTack::Store::Entry.count
    visit "/t/orders/bench"
    select "Order", from: "Form"
    type_into "Member", "Teodor Quill"
    click_button "Add a line"
    find_field("Line 1, What").native.node.focus
    press(*"Clay".chars, :Tab, :Tab, *"9.50".chars, :Tab)
    expect(page).to have_css("#input-amount", text: "9.50")
    click_button "Save"
    expect(page).to have_css("[role=status]", text: "Saved").and have_text("2 entered →").and have_button("saved")
    click_button "Save as proof"
    fill_in "Name", with: "One line"
    click_button "Save proof"
    expect(page).to have_css("[data-proof]", text: "One line").and have_css(
            "[data-proof][aria-current=true] [aria-label='passed']"
          )
    expect(UpTack::Store::Entry.count).to eq(before)
  end

  it "fills a table with made-up records and takes them out, and shows some that a rule refuses" do
    count = workspace.then { UpTack::Store::RecordTable.new(workspace.table("members")).count }
    visit "/t/members/bench?show=samples"
    fill_in "How many", with: "25"
    click_button "Create samples"
    expect(page).to have_text("25 Members, seed 1")
    expect(UpTack::Store::RecordTable.new(workspace.table("members")).count).to eq(count + 25)
    click_button "Remove"
    expect(page).to have_no_text("25 Members, seed 1")
    expect(UpTack::Store::RecordTable.new(workspace.table("members")).count).to eq(count)
    find("input[aria-label='that one rule refuses']").click
    fill_in "How many", with: "3"
    select "Shelves rented must be between 0 and 6.", from: "Rule that refuses them"
    click_button "Show samples"
    expect(page).to have_text("3 records that are refused: A member can rent 0 to 6 shelves. None of them is saved.")
  end

  it "brings a project file in after a look at what it would change, and refuses a wrong one whole" do
    path = File.join(StoreHelp::FOLDER, "in.json")
    demo = File.read(UpTack::Installation.path("demo", "kiln_share.json"))
    visit "/"
    click_button "Project file"
    File.write(path, demo.sub("received + 14", "recieved + 14").sub('"kind": "check"', '"kind": "chek"'))
    find("input[type=file]", visible: :all).attach_file(path)
    expect(page).to have_text("Import failed: 2 errors.").and have_text("did you mean `received`?")
    File.write(path, demo.sub('"high": "6"', '"high": "8"'))
    find("input[type=file]", visible: :all).attach_file(path)
    expect(page).to have_text("Adds 0 items, changes 2, deletes none.").and have_css("ins", text: "8")
    click_button "Import"
    expect(page).to have_text("Imported: Ember Lane Kiln Share")
    expect(page).to have_no_css("dialog")
    expect(demo_rule("limits", "shelves", of: "members").attributes["high"]).to eq("8")
    visit "/sheet"
    expect(page).to have_text("Shelves rented must be between 0 and 8.").and have_text(
            "proven, 5 of 5 cases covered · Clay and tare add up to the wet weight"
          ).and have_link("Markdown")
  end

  it "shows the trial that was asked for last, whichever answer comes last" do
    id = workspace.table("pieces").proofs.find { |proof| proof.name == "Clay and tare add up to the wet weight" }.id
    told = lambda do
      visit "/t/pieces/bench?proof=#{id}"
      expect(page).to have_css("section[aria-label='Trace']").and have_field("Wet weight g", with: /\d/)
      page.driver.wait_for_network_idle(duration: 0.5, timeout: 20)
      find("[role=status]", text: /Would be/).text
    end
    quick = told.call
    asked = 0
    SlowServer.trouble = ->(env) do
      env["PATH_INFO"].end_with?("/bench") && (asked += 1) <= 2 && Kernel.sleep(2.5 - asked) && nil
    end
    expect(told.call).to eq(quick)
  ensure
    SlowServer.reset
  end
end
