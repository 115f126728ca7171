# frozen_string_literal: true

require "browser_helper"

# How a builder sets up what clerks then type by: fields, lists, formats and the
# kinds of rules that have editors of their own.
RSpec.describe "Setting up how things are typed" do
  def open_rule(field, stage) = visit("/t/pieces/rules?field=#{field}&stage=#{stage}")
  def rules_of(kind, table = "pieces") = workspace.table(table).rules.select { |rule| rule.kind == kind }

  def pin
    within("aside") { click_button "Pin rule" }
    expect(page).to have_no_css("aside")
  end

  it "shows values another way, on today's date and at once" do
    visit "/t/pieces/rules?field=received"
    expect(page).to have_select("Preset", with_options: [workspace.clock.today.strftime("%a %-d %b %Y")])
    select workspace.clock.today.strftime("%a %-d %b %Y"), from: "Preset"
    expect(page).to have_text("Example #{workspace.clock.today.strftime("%a %-d %b %Y")}")
    fill_in "Pattern (CLDR)", with: "d QX"
    expect(page).to have_css("[role=alert]", text: "has no meaning")
    fill_in "Pattern (CLDR)", with: "yyyy-MM-dd"
    within("aside") { click_button "Save field" }
    expect(page).to have_no_css("aside")
    visit "/t/pieces/records"
    expect(page).to have_css("[role=row][data-index='0']", text: "2026-10-05")
    visit "/t/pieces/rules?field=fired_weight"
    fill_in "Suffix", with: " g"
    expect(page).to have_text("Example 1,234.5 g")
    fill_in "Text when blank", with: "not fired yet"
    within("aside") { click_button "Save field" }
    expect(page).to have_no_css("aside")
    visit "/t/pieces/forms/1?form=all"
    expect(page).to have_field("Fired weight g", with: "624.4 g")
    find_field("Fired weight g").native.node.focus
    expect(page).to have_field("Fired weight g", with: "624.4")
    press :Tab
    expect(page).to have_field("Fired weight g", with: "624.4 g")
    expect(box("Fired weight g")).to have_no_text("entered")
  end

  it "refuses to take a choice away that records have, and retires it instead" do
    visit "/t/pieces/rules?field=verdict"
    expect(page).to have_field("Choice 2", with: "Porous")
    within(find_field("Choice 2").ancestor("li")) { click_button "Remove" }
    within("aside") { click_button "Save field" }
    expect(page).to have_css("[role=alert]", text: "6 records of Pieces have “Porous” as Verdict. Retire it instead")
    find_field("Choice 1").native.node.focus
    press :Enter, *"Porous".chars
    expect(page).to have_field("Choice 2", with: "Porous")
    within(find_field("Choice 2").ancestor("li")) { check "retired" }
    within("aside") { click_button "Save field" }
    expect(page).to have_no_css("aside")
    expect(workspace.table("pieces").field("verdict")).to have_attributes(
      choices: %w[Watertight Porous],
      retired: %w[Porous]
    )
    visit "/t/pieces/forms?form=all"
    expect(page).to have_select("Verdict", options: ["", "Watertight"])
  end

  it "keeps a list for several fields in one place" do
    visit "/t/clays/rules?field=family"
    click_button "Shared lists"
    click_button "Clay families"
    within("dialog") do
      find_field("Choice 4").native.node.focus
      press :Enter, *"Bone china".chars
      expect(page).to have_field("Choice 5", with: "Bone china")
      click_button "Save"
      expect(page).to have_button("New list")
      click_button "Close"
    end
    expect(
      %w[pieces clays].flat_map do |table|
        workspace.table(table).fields.select(&:list).map { |field| field.choices.last }
      end
    ).to eq(["Bone china", "Bone china"])
  end

  it "narrows one choice by another, list by list" do
    open_rule "stage", "fill"
    find("input[aria-label='Allowed choices']").click
    find("input[aria-label='By a list']").click
    select "Firing", from: "Depends on"
    find("input[aria-label='Bisque: Glaze fired']").click
    expect(page).to have_text("All 28 records have an allowed value.")
    find("input[aria-label='Glaze: Collected']").click
    expect(page).to have_text(/\d of 28 records have a value that is no longer allowed/)
    pin
    expect(rules_of("narrow").last.attributes).to include(
      "by" => "firing",
      "map" => {
        "Bisque" => ["Drying", "Bisque fired", "Collected"],
        "Glaze" => ["Drying", "Bisque fired", "Glaze fired"]
      }
    )
    visit "/t/pieces/forms?form=all"
    expect(page).to have_select("Stage", options: ["", "Drying", "Bisque fired", "Collected"])
    select "Glaze", from: "Firing"
    expect(page).to have_select("Stage", options: ["", "Drying", "Bisque fired", "Glaze fired"])
  end

  it "takes what belongs from two columns that are pasted, and a range of ticks" do
    open_rule "stage", "fill"
    find("input[aria-label='Allowed choices']").click
    find("input[aria-label='By a list']").click
    select "Firing", from: "Depends on"
    find("section[aria-label='Allowed combinations']").native.node.focus
    paste("Bisque\tDrying\nbisque\tBisque fired\nRaku\tCollected\nSalt\tDrying\n")
    expect(page).to have_text("3 pairs pasted. Not in either list: “Salt”.")
    find("input[aria-label='Glaze: Bisque fired']").click
    find("input[aria-label='Glaze: Collected']").click(:shift)
    find("input[aria-label='Glaze: Drying']").click
    pin
    expect(rules_of("narrow").last.attributes["map"]).to include(
      "Bisque" => ["Drying", "Bisque fired"],
      "Raku" => ["Collected"]
    )
  end

  it "puts a mask together from pieces" do
    open_rule "received_by", "mask"
    find("input[aria-label='From blocks']").click
    click_button "Characters"
    select "uppercase letters", from: "Kind of characters"
    fill_in "At least", with: "2"
    click_button "Fixed text"
    expect(page).to have_text("two uppercase letters, “-”")
    click_button "Characters"
    expect(page).to have_text("Reads: two uppercase letters, “-”, one digit")
    find("input[aria-label='As code']").click
    expect(page).to have_field("As code", with: "2UPPER \"-\" DIGIT")
    fill_in "As code", with: "2UPPER \"-\" 3DIGT"
    expect(page).to have_css("[role=alert]", text: "There is no kind of character DIGT")
    find("input[aria-label='Presets']").click
    choose "Time", exact: false, allow_label_click: true, match: :first
    expect(page).to have_text("Reads: two digits, “:”, two digits")
  end

  it "cleans up in steps, with an example before and after" do
    open_rule "piece", "tidy"
    select "Capitalise each word", from: "Add a step …"
    fill_in "Exact spelling of", with: "of, UK"
    press :Tab
    fill_in "Example", with: " bowl OF the uk"
    expect(page).to have_css("ins", text: "B")
    expect(page).to have_text(/records would be cleaned up|records are clean/)
    choose "as a suggestion that someone accepts or ignores"
    pin
    expect(rules_of("tidy").last.attributes).to include(
      "mode" => "suggest",
      "steps" => [{"do" => "trim"}, {"do" => "capitals", "just_so" => %w[of UK]}]
    )
  end

  it "limits a value, warns with its values in words, and lets old records be" do
    open_rule "hold", "validate"
    find("input[aria-label='Range']").click
    fill_in "Minimum", with: "30"
    fill_in "Maximum", with: "20"
    expect(page).to have_css("[role=alert]", text: "The minimum 30 is above the maximum 20.")
    fill_in "Minimum", with: "15"
    expect(page).to have_text(/\d+ of 28 existing records will be refused when/).and have_text(
            "Open them here to fix them"
          )
    within("aside") { find("input[aria-label='Text with values']").click }
    write_formula "\"Held for \" & hold & \" minutes?\""
    expect(page).to have_css("aside li", text: "Held for 90 minutes?").or have_css(
      "aside li",
      text: "Held for 0 minutes?"
    )
    check "Don't check existing records", exact: false, allow_label_click: true
    expect(page).to have_text("They are not checked until one of these fields is edited")
    pin
    expect(page).to have_css("[data-rule]", text: /15 to 20\s*\d+ unchecked/)
    visit "/t/pieces/forms/14?form=all"
    type_into "Maker note", "Second firing."
    press [:control, "s"]
    expect(page).to have_text("Saved: PC-00014")
    type_into "Hold minutes", "91"
    expect(box("Hold minutes")).to have_text("Held for 91 minutes?")
  end

  it "shows doubles before anything becomes unique, and locks what is settled" do
    open_rule "piece", "validate"
    find("input[aria-label='Unique']").click
    expect(page).to have_text("26 of 28 records share a value with another record.").and have_css(
      "aside li",
      text: /PC-00001.*PC-00016 \(#16\) has it/m
    )
    check "Maker"
    expect(page).to have_text(/\d+ of 28 records share|All 28 existing records pass/)
    find("input[aria-label='Lock']").click
    write_formula "stage = \"Collected\""
    expect(page).to have_text("12 of 28 existing records are locked.")
    select "builders", from: "Except for role"
    pin
    expect(rules_of("lock").last.attributes).to include(
      "field" => "piece",
      "when" => "stage = \"Collected\"",
      "except_role" => "builder"
    )
  end

  it "brings a detail of a linked record in, live or copied" do
    visit "/t/orders/rules?field=member"
    select "Phone", from: "Field of the linked record"
    click_button "Add field"
    expect(page).to have_button("Member: Phone text")
    expect(workspace.table("orders").calculation("member_phone")).to have_attributes(keeping: "shown")
    select "E-mail", from: "Field of the linked record"
    find("input[aria-label='Copied']").click
    click_button "Add field"
    expect(page).to have_button("Member: E-mail text")
    expect(rules_of("copy", "orders").map(&:field)).to eq(["member_e_mail"])
  end

  it "tells a person in the outbox when suggestions wait" do
    visit "/t/members/tidy"
    select "every day", from: "How often"
    expect(page).to have_no_select("Day of the week")
    select "Senna Whitlock", from: "Person to notify"
    visit "/outbox"
    expect(page).to have_text("No notices yet")
    click_button "Check now"
    expect(page).to have_text("Members: 3 clean-up suggestions").and have_text("To Senna Whitlock")
    click_button "Open"
    expect(page).to have_css("h1", text: "Clean-up suggestions for Members")
    expect(UpTack::Store::Notice.last.read_at).not_to be_nil
  end

  it "renames a choice and merges another, after saying what follows" do
    visit "/t/pieces/rules?field=firing"
    fill_in "Choice 1", with: "Biscuit"
    all("button[aria-label='Merge into another choice']")[2].click
    find("select[aria-label='Merge Lustre into …']").select("Raku")
    expect(page).to have_text("Formerly Bisque.").and have_text("Lustre will be merged into Raku.")
    press [:control, :Enter]
    within("dialog") do
      expect(page).to have_text("Bisque → Biscuit").and have_text("Firing defaults to Biscuit.").and have_text(
                    "A bisque firing can't end glaze fired"
                  ).and have_text(/12 records/)
      click_button "Rename"
    end
    expect(page).to have_no_css("aside")
    expect(UpTack::Store::RecordTable.model("pieces").distinct.pluck(:firing)).to contain_exactly(
      "Biscuit",
      "Glaze",
      "Raku"
    )
    press [:control, "z"]
    expect(page).to have_css("[data-sonner-toast]")
    expect(workspace.table("pieces").field("firing").choices).to eq(%w[Bisque Glaze Lustre Raku])
  end

  it "adds choices that a text has when it becomes a choice, and those that a pasted table names" do
    unpin("pieces", "fits", "zone")
    texts = UpTack::Store::RecordTable.model("pieces").distinct.pluck(:zone).compact
    visit "/t/pieces/rules?field=zone"
    within("aside") { select "Choice", from: "Type" }
    click_button "Add these #{texts.length} to the choices"
    expect(page).to have_text(/All \d+ values can be converted/)
    press [:control, :Enter]
    expect(page).to have_no_css("aside")
    expect(workspace.table("pieces").field("zone").choices).to match_array(texts)
    expect(UpTack::Store::RecordTable.model("pieces").distinct.pluck(:zone).compact).to match_array(texts)

    visit "/t/pieces/rules"
    find("[data-rule]", text: "Firing programme", match: :first).click
    find("input[aria-label='Row 3, Firing']").set("Raku; Salt; Wood")
    click_button "Add these 2 to Firing"
    expect(page).to have_no_button("Add these 2 to Firing").and have_no_css("input[aria-invalid=true]")
    expect(workspace.table("pieces").field("firing").choices).to eq(%w[Bisque Glaze Lustre Raku Salt Wood])
  end
end
