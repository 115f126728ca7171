# frozen_string_literal: true

require "browser_helper"
require "support/typist"

# What a clerk does all day, and what goes wrong in between.
RSpec.describe "Typing records" do
  it "leaves a default cleared on purpose blank, and follows a default that was not touched" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Tare g", with: "55")
    type_into "Tare g", ""
    expect(page).to have_field("Tare g", with: "")
    expect(box("Tare g")).to have_css(".line-typed")
    type_into "Received", ""
    expect(page).to have_field("Collect by", with: "")
    type_into "Received", "24.12.26"
    expect(page).to have_field("Received", with: "24 Dec 2026").and have_field("Collect by", with: "7 Jan 2027")
  end

  it "tells at the field what can't be read, keeps it, and takes it when it is mended" do
    visit "/t/pieces/forms?form=all"
    {
      ["Peak °C", "hot"] => "“hot” is not a number.",
      ["Hold minutes", "12.5"] => "Hold minutes takes whole numbers.",
      ["Absorption %", "5.55"] => "Absorption % takes at most 1 decimal.",
      ["Collect by", "31 feb"] => "31 February",
      ["Clay weight g", "1,5"] => "“1,5” is ambiguous: type 1.5 or 15."
    }.each do |(label, text), message|
      type_into label, text
      expect(box(label)).to have_text(message)
      expect(page).to have_field(label, with: text)
    end
    type_into "Collect by", "28 feb 27"
    expect(page).to have_field("Collect by", with: "28 Feb 2027")
    expect(box("Collect by")).to have_no_css(".text-error")
  end

  it "shows a choice that is no longer on the list, and keeps it until another is picked" do
    change(
      :ChangeField,
      table: "pieces",
      field: "firing",
      parts: {"choices" => %w[Bisque Glaze Lustre Raku Salt], "retired" => %w[Raku]}
    )
    raku = (1..28).find { |id| pieces.find(id)["firing"] == "Raku" }
    visit "/t/pieces/forms/#{raku}?form=all"
    expect(page).to have_select("Firing", selected: "Raku (retired)")
    type_into "Maker note", "Smoked in straw."
    press [:control, "s"]
    expect(page).to have_text("Saved: ")
    expect(pieces.find(raku)).to include("firing" => "Raku", "maker_note" => "Smoked in straw.")
  end

  it "says when nothing was changed, and writes no entry for it" do
    count = UpTack::Store::Entry.count
    visit "/t/pieces/forms/3?form=all"
    expect(page).to have_field("Tag", with: "PC-00003")
    press [:control, "s"]
    expect(page).to have_text("No changes to save.")
    expect(UpTack::Store::Entry.count).to eq(count)
  end

  it "keeps what is typed when the server stumbles" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: "Odile Marsh")
    allow_any_instance_of(UpTack::UseCases::Records::SaveRecord).to receive(:call).and_raise("the disk is full")
    type_into "Piece", "Jug"
    type_into "Maker", "Teodor Quill"
    said = logged { press([:control, "s"]) && page.has_text?("Something went wrong here.") }
    expect(said).to include("the disk is full")
    expect(page).to have_text("Something went wrong. Nothing was saved").and have_field(
      "Piece",
      with: "Jug"
    ).and have_field("Maker", with: "Teodor Quill")
  end

  it "keeps what is typed into a record that somebody deletes meanwhile" do
    visit "/t/pieces/forms/22?form=all"
    expect(page).to have_field("Tag", with: "PC-00022")
    UpTack::UseCases::Records::DeleteRecord.new(workspace("Senna Whitlock")).call(table: "pieces", id: 22)
    type_into "Maker note", "Still here"
    press [:control, "s"]
    expect(page).to have_text("There is no record #22 in Pieces; it may have been deleted.").and have_field(
      "Maker note",
      with: "Still here"
    )
  end

  it "takes long and odd texts whole" do
    text = "<i>First</i> line\n\u202Eright to left\u202C 👨‍👩‍👧 #{"very " * 2_000}long"
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: "Odile Marsh")
    type_into "Piece", "Jug"
    type_into "Maker", "Teodor Quill"
    find_field("Maker note").native.node.focus
    # At once, as a text comes from somewhere else.
    page.driver.browser.page.command("Input.insertText", text: text)
    press [:control, "s"]
    expect(page).to have_text("Saved: PC-00029")
    expect(pieces.find(29)["maker_note"]).to eq(text)
  end

  it "opens a record of the grid by keyboard" do
    visit "/t/pieces/records"
    expect(page).to have_css("[role=row][data-index='0']", text: "PC-00001")
    find("[role=grid]").native.node.focus
    press :Down
    press :Down
    press [:control, :Enter]
    expect(page).to have_field("Tag", with: "PC-00003")
  end

  it "undoes no change of the design while somebody types into a field" do
    change(:AddField, table: "pieces", parts: {"label" => "Glaze", "type" => "text"})
    visit "/t/pieces/forms?form=all"
    type_into "Piece", "Jug"
    find_field("Piece").native.node.focus
    press [:control, "z"]
    expect(page).to have_field("Glaze")
    expect(workspace.table("pieces").field("glaze")).not_to be_nil
  end

  it "takes every letter of a search that is typed before the search is there" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: /\w/)
    find_field("Maker note").native.node.focus
    Typist.new(page.driver.browser.page, words: nil).press("Glazed ", [:control, "k"], "kilns and shelves")
    expect(page).to have_field("Find a table, field, rule, record or command", with: "kilns and shelves")
    page.driver.browser.page.keyboard.type(:escape)
    expect(page).to have_no_css("dialog[open]")
    Typist.new(page.driver.browser.page, words: nil).press("twice")
    expect(page).to have_field("Maker note", with: "Glazed twice")
  end
end
