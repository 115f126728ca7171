# frozen_string_literal: true

require "browser_helper"

RSpec.describe "People, numbers, stamps and history" do
  def leave
    click_button "You"
    click_button "Sign out"
    expect(page).to have_text("Try the demo as")
  end

  it "lets a clerk in with one click, who types a record that numbers and stamps itself", :signed_out do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_text("Ember Lane Kiln Share").and have_no_text("You are not signed in")
    expect(accessibility_problems).to eq([])
    click_button "Bram Tolley"
    expect(page).to have_field("Tag", with: "PC-00029")
    expect(box("Tag")).to have_text("next").and have_text("not assigned yet")
    within("header") { expect(page).to have_no_link("Bench").and have_link("History") }
    type_into "Piece", "Mug"
    type_into "Maker", "Teodor"
    press :Enter
    type_into "Clay weight g", "640"
    type_into "Wet weight g", "695"
    press [:control, "s"]
    expect(page).to have_css("h1", text: "PC-00029")
    expect(box("Last changed by")).to have_text("Bram Tolley")
    select "Yes", from: "Glazed"
    press [:control, "s"]
    expect(box("Account")).to have_text("Glazed by Bram Tolley")
    expect(page).to have_select("Glazed", selected: "No")
    click_link "Copy"
    expect(page).to have_field("Tag", with: "PC-00030").and have_field("Piece", with: "Mug")
    expect(pieces.count).to eq(29)
  end

  it "shows a reader everything and lets them change nothing" do
    enter_as("Hale Orrin")
    visit "/t/pieces/forms/20?form=all"
    expect(page).to have_text("You are signed in as a reader").and have_no_button("Save")
    within("header") { click_link "Rules" }
    expect(page).to have_css("[data-rule]", minimum: 20).and have_no_field("Add a field: type its name, then Enter")
    find("[data-rule]", text: "PC-", match: :first).click
    expect(find("aside")).to have_text("You can view the rules. Builders can change them.").and have_no_button(
            "Save rule"
          )
    visit "/people"
    expect(page).to have_text("Requires the role")
  end

  it "keeps the people list, and signs out at once whoever is made inactive" do
    visit "/people"
    click_button "Add a person"
    fill_in "Display name", with: "Runa Kestrel"
    fill_in "Sign-in name", with: "runa"
    fill_in "Set a password", with: "warm glaze shelf"
    click_button "Save"
    expect(find("tr", text: "Runa Kestrel")).to have_text("Clerk").and have_text("active")
    expect(accessibility_problems).to eq([])
    leave
    fill_in "Sign-in name", with: "Runa"
    fill_in "Password", with: "not that one"
    click_button "Sign in"
    expect(page).to have_text("Wrong sign-in name or password.")
    fill_in "Password", with: "warm glaze shelf"
    click_button "Sign in"
    expect(page).to have_button("You", text: "Runa Kestrel")
    visit "/t/members/forms"
    type_into "Name", "Nessa Brook"
    UpTack::UseCases::People::ChangePerson.new.change(person("Runa Kestrel").id, {"active" => false})
    press [:control, "s"]
    expect(page).to have_text("A builder made your account inactive. Your entries are kept in this browser.")
  end

  it "pins an auto-number, shows what it would give, and gives old records theirs" do
    change(:AddField, table: "clays", parts: {"label" => "Code", "type" => "text"})
    visit "/t/clays/rules"
    open_place "Pin a rule on Code: Number"
    write_formula '"CL-"'
    expect(page).to have_text("Add counter(…)")
    write_formula '"CL-" & counter(2)'
    expect(page).to have_text("A blank new record would get CL-01").and have_text("5 records have no number")
    press [:control, :enter]
    expect(page).to have_css("[data-rule]", text: "“CL-” & 2-digit count")
    find("[data-rule]", text: "“CL-” & 2-digit count").click
    select "Limit °C", from: "Order by"
    expect(page).to have_css("li", text: /Brick red\s*CL-01/)
    click_button "Assign numbers to 5 records"
    expect(page).to have_text("5 numbers assigned.")
    fill_in "next", with: "3"
    click_button "Set"
    expect(page).to have_text("5 was already used. Enter 6 or more.")
  end

  it "finds in History what somebody did, puts it back, and brings back what was deleted" do
    save_piece({"maker_note" => "Written over."}, id: 20, by: "Bram Tolley")
    UpTack::UseCases::Records::DeleteRecord.new(workspace("Senna Whitlock")).call(table: "pieces", id: 22)
    visit "/t/pieces/history"
    expect(page).to have_text("Saves by day").or have_text("Saves by week")
    click_button "Verify the change log"
    expect(page).to have_text("entries intact.")
    click_button "Restore record"
    expect(page).to have_text("restored")
    expect(pieces.find(22)["tag"]).to eq("PC-00022")
    select "Bram Tolley", from: "Person"
    select "Maker note", from: "Field"
    within(find("li", text: "PC-00020", match: :first)) do
      expect(page).to have_text("Written over.")
      find(:button, "Restore Maker note to", match: :first, visible: :all).hover.click
    end
    expect(page).to have_text("PC-00020 restored")
    expect(pieces.find(20)["maker_note"]).not_to eq("Written over.")
    expect(accessibility_problems).to eq([])
  end

  it "shows in the design's history which rule became what, and puts one rule back" do
    rule = workspace.table("pieces").rules.find { |each| each.kind == "limits" && each.field == "hold" }
    change(:PinRule, table: "pieces", rule: rule.attributes.merge("high" => "120"))
    visit "/t/pieces/history?of=design"
    click_button "Rule changed in Pieces", match: :first
    expect(page).to have_css("del", text: "90").and have_css("ins", text: "120")
    click_button "Restore this rule"
    expect(page).to have_text("Rule restored.")
    expect(workspace.table("pieces").rule(rule.id).attributes["high"]).to eq("90")
  end

  it "leaves nothing in the browser for whoever comes next, and asks before what is not saved goes" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: /\w/)
    type_into "Piece", "Half a jug"
    visit "/t/pieces/rules?field=piece"
    expect(page).to have_css("aside")
    fill_in "Name", with: "Half a name"
    find_button("Odile Marsh · builder").click
    click_button "Sign out"
    within("dialog") do
      expect(page).to have_text("2 entries in this browser are not saved.")
      click_button "Cancel"
    end
    find_button("Odile Marsh · builder").click
    click_button "Sign out"
    click_button "Delete them and sign out"
    expect(page).to have_css("h1, h2", text: /Sign in|Ember Lane/)
    page
      .document
      .synchronize(10) do
        unless evaluate_script(
                 "Object.keys(localStorage).filter((name) => name.startsWith('up-tack') && " \
                   "!/^up-tack-(theme|tab)/.test(name))"
               ) == []
          raise Capybara::ExpectationNotMet, "something is left"
        end
      end
  end
end
