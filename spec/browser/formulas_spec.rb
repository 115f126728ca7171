# frozen_string_literal: true

require "browser_helper"

# Formulas as a builder writes them, and linked records as a clerk finds them.
RSpec.describe "Formulas and links" do
  def editor = find(".cm-content")

  it "writes a calculated field with completion by label and along a link, its result beside it, and keeps it" do
    change(:AddField, table: "pieces", parts: {"label" => "Card", "type" => "text"})
    visit "/t/pieces/rules"
    open_place "Pin a rule on Card: Calculate"
    find(".cm-content").native.node.focus
    press(*"wet".chars)
    expect(page).to have_css(".cm-tooltip-autocomplete li", count: 1, text: "Wet weight g")
    press :Enter
    expect(editor).to have_text("wet_weight")
    press(*" & ".chars)
    expect(editor).to have_css(".cm-label", text: "Wet weight g")
    press(*"maker.na".chars)
    expect(page).to have_css(".cm-tooltip-autocomplete li[aria-selected]", text: "Name")
    press :Enter
    press(*" & upper(".chars)
    expect(page).to have_css("[data-function-help=upper]", text: "The text in uppercase.")
    press(*"clay) ".chars)
    expect(page).to have_css(
      ".text-error",
      text: "clay is a link to Clays; choose one of its fields, such as clay.name."
    ).and have_css(".cm-lintRange-error", text: "clay")
    write_formula "tag & \" for \" & maker.name"
    expect(page).to have_text("28 of 28 records would change.").and have_css(
      "aside li",
      text: /PC-00001.*blank\s*→\s*PC-00001 for Ansa Velt/m
    )
    fill_in "Show result for", with: "moon jar"
    expect(page).to have_css("li[role=option]", count: 1, text: "PC-00014")
    press :Enter
    expect(page).to have_css("aside li:first-child", text: "PC-00014 for Maro Tinsley")
    press [:control, :Enter]
    expect(page).to have_no_css("aside").and have_button("Card = Tag & “ for ” & Name of Maker.")
    expect(pieces.find(14)["card"]).to eq("PC-00014 for Maro Tinsley")
    visit "/t/members/forms/9"
    type_into "Name", "Maro Tinsley-Eyre"
    press [:control, "s"]
    expect(page).to have_text("Saved: Maro Tinsley-Eyre")
    expect(pieces.find(14)["card"]).to eq("PC-00014 for Maro Tinsley-Eyre")
    visit "/t/members/history?record=9"
    expect(page).to have_text("Also updated: Card, in 2 records of Pieces.")
  end

  it "says what each way of keeping means, and that what reads today is worked out on reading" do
    visit "/t/members/rules?field=note&stage=calculate"
    expect(page).to have_text("Recalculated at once when a field it uses changes").and have_text(
            "Not stored"
          ).and have_text("After that it can be edited.")
    write_formula "\"made \" & sum(pieces.wet_weight where stage = \"Drying\") & count(pieces)"
    expect(page).to have_css(".cm-label", exact_text: "Stage")
    expect(all(".cm-label").map(&:text)).to eq(["Pieces made › Wet weight g", "Stage", "Pieces made"])
    write_formula "\"since \" & days(today(), joined)"
    expect(page).to have_text("It uses today(), so it is recalculated each time it is displayed.")
    find("label", text: "Once").click
    expect(page).to have_text("Existing records stay as they are.").and have_no_text("It uses today()")
  end

  it "puts a formula together from pieces, both sides in step" do
    visit "/t/members/rules"
    click_button "Address as =", match: :first
    find("input[aria-label='Blocks']").click
    expect(page).to have_select("Field", selected: "Title").and have_select("Comparison", selected: "is blank")
    find("input[aria-label='Joined text']").click
    all("button", text: "Fixed text").last.click
    all("input[aria-label='Fixed text']").last.set(", member")
    expect(page).to have_css("code", text: /title\.text & " " & name & ", member"/)
    find("input[aria-label='Text']").click
    expect(editor).to have_text("member")
    write_formula "upper(name)"
    find("input[aria-label='Blocks']").click
    expect(page).to have_text("This formula can't be shown as blocks; edit it as text.")
    expect(page).to have_css("aside li", text: "ANSA VELT")
  end

  it "filters the grid by pieces and by formula, and keeps a filter under a name" do
    visit "/t/pieces/records"
    click_button "Waiting to be collected"
    expect(page).to have_no_css("[role=row]", text: "PC-00001")
    click_button "Show all"
    click_button "Filter"
    find("input[aria-label='Blocks']").click
    select "Stage", from: "Field"
    select "Drying", from: "Value"
    expect(page).to have_text("4 of 28 records match").and have_no_css("[role=row]", text: "PC-00001")
    find("input[aria-label='Text']").click
    write_formula "maker.title.text = \"Dr\" and loss is not blank"
    expect(page).to have_text("3 of 28 records match")
    write_formula "maker.title.txt = \"Dr\""
    expect(page).to have_css("[role=alert]", text: "There is no field txt in Titles; did you mean text?")
    expect(page).to have_text("3 of 28 records match")
    write_formula "days_late > 8"
    expect(page).to have_text("3 of 28 records match").and have_css("[role=row]", text: "PC-00010")
    click_button "Save view"
    fill_in "View name", with: "Very late"
    click_button "Save"
    expect(page).to have_text("View saved: Very late").and have_button("Very late")
    click_button "Days late"
    expect(page).to have_css("[role=row][data-index='0']", text: "PC-00008")
  end

  it "finds a linked record however fast its name is typed, tells two of one name apart, and loses no letter" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: "Odile Marsh")
    find_field("Maker").native.node.focus
    press(*"ansa".chars)
    expect(page).to have_css("li[role=option]", count: 2).and have_css("li[role=option]", text: /#\s*6.*Dr/)
    press :Down
    press :Enter
    expect(page).to have_field("Maker", with: "Ansa Velt")
    type_into "Maker", "fenna"
    expect(page).to have_field("Maker", with: "Fenna Aldersyke")
    type_into "Maker", "Nobody of that name"
    expect(page).to have_field("Maker", with: "Nobody of that name")
    expect(box("Maker")).to have_text("no record is named “Nobody of that name”")
    type_into "Maker", "quill"
    type_into "Clay", "snow"
    type_into "Piece", "Jug"
    press [:control, "s"]
    expect(page).to have_text("Saved: PC-00029")
    expect(pieces.find(29)).to include("maker" => 2, "clay" => 4)
    type_into "Clay", ""
    press [:control, "s"]
    expect(page).to have_field("Clay", with: "")
    expect(page).to have_css("output#input-page").and have_no_css("input#input-page")
  end

  it "makes a link field on the board, and says why a linked record can't be deleted" do
    visit "/t/orders/rules"
    find_field("Add a field").native.node.focus
    press(*"Clay".chars)
    select "Link", from: "Type of the new field"
    select "Clays", from: "Links to"
    click_button "Add a field"
    click_button "Clay link to Clays"
    find("label", text: "clear the link in the order").click
    fill_in "Name of these records as seen from a clay", with: "Ordered in"
    press [:control, :Enter]
    expect(page).to have_no_css("aside")
    expect(workspace.table("orders").field("clay")).to have_attributes(
      target: "clays",
      on_delete: "clear",
      reverse: "Ordered in"
    )
    visit "/t/members/forms/1"
    expect(page).to have_field("Name", with: "Ansa Velt")
    click_button "Delete"
    expect(page).to have_css(
      "dialog",
      text: "4 records in Pieces use it as Maker: PC-00001, PC-00002, PC-00017 and 1 more."
    )
    expect(page).to have_no_css("dialog button", text: "Delete")
  end

  it "shows how far long work is, and leaves everything as it was when it is stopped" do
    stub_const("UpTack::Web::Helpers::Background::PATIENCE", 0.01)
    go = Queue.new
    allow_any_instance_of(UpTack::Recalculation::Run).to receive(
      :differences
    ).and_wrap_original do |original, *given|
      go.pop
      original.call(*given)
    end
    visit "/t/pieces/rules"
    click_button "Weight lost % =", match: :first
    write_formula "wet_weight - fired_weight"
    expect(page).to have_text("13 of 28 records would change.")
    within("aside") { click_button "Save rule" }
    within("section[aria-label='Work in progress']") do
      expect(page).to have_text("Weight lost % of Pieces").and have_text("0 of 28 records")
      click_button "Stop"
      expect(page).to have_button("Stop", disabled: true)
    end
    go << true
    expect(page).to have_css("aside [role=alert]", text: "Stopped. The design and all records are unchanged.")
    expect([workspace.table("pieces").calculation("loss").attributes["formula"], pieces.find(1)["loss"]]).to eq(
      ["(wet_weight - fired_weight) / wet_weight * 100", number("20")]
    )
    within("aside") { click_button "Save rule" }
    go << true
    expect(page).to have_no_css("aside").and have_no_text("Work in progress")
    expect(pieces.find(1)["loss"]).to eq(number("156.1"))
  end

  it "says before a deletion what goes along with it and what is cleared" do
    change(:ChangeField, table: "orders", field: "member", parts: {"on_delete" => "delete"})
    change(:ChangeField, table: "pieces", field: "maker", parts: {"on_delete" => "delete"})
    visit "/t/members/forms/1"
    expect(page).to have_link("Pieces made 4").and have_link("Orders 2")
    click_button "Delete"
    within("dialog") do
      expect(page).to have_text("This also deletes 4 records in Pieces.").and have_text(
              "This also deletes 2 records in Orders."
            )
      click_button "Delete"
    end
    expect(page).to have_text("Deleted: Ansa Velt")
    expect(page).to have_text("11 records")
    expect(pieces.count).to eq(24)
    visit "/t/clays/forms/3"
    expect(page).to have_link("Pieces made of it 3")
    click_link "Pieces made of it 3"
    expect(page).to have_text("3 of 24 records match")
    visit "/t/clays/forms/3"
    click_button "Delete"
    expect(page).to have_css("dialog", text: "This also clears Clay in 3 records of Pieces.")
  end

  it "picks what people know a record by, and names the rules that go with a table" do
    visit "/t/members/rules?field=address_as"
    find("label", text: "Use this field as the member's name").click
    press [:control, :Enter]
    expect(page).to have_no_css("aside")
    visit "/t/pieces/forms/1?form=all"
    expect(page).to have_field("Maker", with: "Ms Ansa Velt")
    visit "/"
    click_button "Delete: Orders"
    expect(page).to have_css("dialog li", text: "Members: Open orders € = sum of Amount € of Orders")
  end
end
