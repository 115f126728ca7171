# frozen_string_literal: true

require "browser_helper"

# What must never be lost, and who must not be left out.
RSpec.describe "Care in the interface" do
  it "keeps what is typed through a reload" do
    visit "/t/pieces/forms?form=all"
    type_into "Piece", "Half a jug"
    expect(box("Piece")).to have_text("entered")
    visit "/t/pieces/records"
    visit "/t/pieces/forms?form=all"
    expect(page).to have_text("Your unsaved entries were restored.").and have_field("Piece", with: "Half a jug")
    click_button "Start over"
    expect(page).to have_field("Piece", with: "")
  end

  it "keeps what is typed while the server can't be reached, and saves it afterwards" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_field("Received by", with: "Odile Marsh")
    page.driver.browser.network.blocklist = [%r{/api/}]
    type_into "Piece", "Jug"
    type_into "Maker", "Wilmet Farrow"
    expect(page).to have_text("Up Tack can't be reached. Your entries are kept here")
    press [:control, "s"]
    expect(page).to have_field("Piece", with: "Jug").and have_field("Maker", with: "Wilmet Farrow")
    page.driver.browser.network.blocklist = []
    press [:control, "s"]
    expect(page).to have_text("Saved: PC-00029")
  end

  it "lets the second of two people choose field by field" do
    visit "/t/pieces/forms/20?form=all"
    expect(page).to have_field("Tag", with: "PC-00020")
    save_piece({"maker_note" => "Chipped at the foot.", "absorption" => "3"}, id: 20, by: "Senna Whitlock")
    type_into "Maker note", "Fine as it is."
    press [:control, "s"]
    changed = "Senna Whitlock changed this record in the meantime."
    expect(page).to have_css("[role=alert]", text: changed).and have_no_css(
            "dialog"
          )
    press [:control, "s"]
    within("dialog") do
      expect(page).to have_text("Someone else changed this record while you were editing it").and have_text(
              "changed by Senna Whitlock"
            ).and have_text("Chipped at the foot.")
      click_button "Save selected values"
    end
    expect(page).to have_no_css("dialog")
    expect(page).to have_field("Absorption %", with: "3.0")
    expect(pieces.find(20)).to include("maker_note" => "Fine as it is.", "absorption" => number("3"))
  end

  it "types a record from the first field to the saved one without a mouse" do
    visit "/t/pieces/forms?form=all"
    expect(page).to have_css("#input-tag:focus")
    [
      "PC-00029",
      "Jug",
      "Teodor Quill",
      nil,
      nil,
      nil,
      "KD-900",
      nil,
      nil,
      nil,
      "1000",
      nil,
      "20",
      "640",
      nil,
      "695",
      nil
    ].each do |text|
      press(*text.chars) if text
      press :Enter
    end
    expect(page).to have_css("#input-received:focus")
    press %i[control Enter]
    expect(page).to have_text("Saved: PC-00029").and have_css("h1", text: "New piece").and have_field(
      "Tag",
      with: "PC-00030"
    )
    expect(pieces.find(29)).to include("wet_weight" => number("695"), "firing" => "Bisque", "maker" => 2)
    expect(page).to have_css("#input-tag:focus")
  end

  it "goes over the board by arrow keys, opens, closes and comes back to the same place" do
    visit "/t/pieces/rules"
    find_button("Hold minutes number").native.node.focus
    press :Right
    expect(focused).to eq("Pin a rule on Hold minutes: Default")
    press :Right
    expect(focused).to start_with("Firing programme: Peak °C, Ramp °C an hour and Hold minutes are set")
    2.times { press :Right }
    expect(focused).to eq("Pin a rule on Hold minutes: Calculate")
    2.times { press :Right }
    expect(focused).to eq("0 to 90: Hold minutes must be between 0 and 90.")
    2.times { press :Up }
    expect(focused).to eq("600 to 1300: Peak °C must be between 600 and 1300.")
    press :Enter
    expect(page).to have_css("aside h2", text: "Peak °C")
    press :Escape
    expect(page).to have_no_css("aside")
    expect(page).to have_css("[data-rule]:focus")
    press "?"
    expect(page).to have_css("dialog", text: "from tack to tack")
    press :Escape
  end

  it "keeps a change of a rule as a draft on its place until it is deleted" do
    visit "/t/pieces/rules"
    click_button "Hold minutes must be between 0 and 90."
    fill_in "Maximum", with: "5"
    expect(page).to have_text("24 of 28 existing records will be refused")
    press :Escape
    press :Escape
    expect(page).to have_no_css("aside").and have_css("[data-rule]", text: "draft")
    page.refresh
    find("[data-rule]", text: "draft", match: :first).click
    expect(page).to have_field("Maximum", with: "5").and have_text("Draft: it is kept here")
    click_button "Delete draft"
    expect(page).to have_no_css("aside").and have_button("Hold minutes must be between 0 and 90.").and have_no_css(
      "[data-rule]",
      text: "draft"
    )
  end

  it "finds tables, fields, rules and records by typing" do
    visit "/"
    expect(page).to have_css("h2", text: "Pieces")
    press [:control, "k"]
    press(*"absorp".chars)
    expect(page).to have_css("[cmdk-item]", text: "Absorption % must be between 0 and 100.")
    find("dialog input").fill_in with: "PC-00014"
    find("[cmdk-item]", text: "PC-00014", match: :first).click
    expect(page).to have_field("Tag", with: "PC-00014")
  end

  it "finds the beginnings of words first, keeps its list at the top, and any record through the server" do
    UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(
      table: "clays",
      drafts:
        Array.new(400) do |at|
          {typed: {"name" => "Trial body #{at}", "family" => "Stoneware", "limit" => "1200"}}
        end,
      summary: "Trials"
    )
    visit "/"
    expect(page).to have_css("h2", text: "Pieces")
    press [:control, "k"]
    press(*"trial body 39".chars)
    expect(page).to have_css("[cmdk-item][data-selected=true]", text: "Trial body 39")
    find("dialog input").fill_in with: ""
    press :PageDown, *"st".chars
    expect(first("[cmdk-item]").text).to match(/\bSt/i)
    expect(page.evaluate_script("document.querySelector('[cmdk-list]').scrollTop")).to eq(0)
    find("dialog input").fill_in with: "Trial body 399"
    find("[cmdk-item]", text: "Trial body 399").click
    expect(page).to have_field(with: "Trial body 399")
  end

  it "answers addresses that lead nowhere, and empty tables" do
    visit "/t/nothing/rules"
    expect(page).to have_text("There is no table").and have_link("Go to the tables")
    visit "/t/pieces/forms/999?form=all"
    expect(page).to have_text("This record no longer exists.")
    change(:AddTable, label: "Glazes")
    visit "/t/glazes/records"
    expect(page).to have_text("No records yet.")
    change(:RemoveField, table: "glazes", field: "name")
    visit "/t/glazes/forms"
    expect(page).to have_text("This table has no fields yet.")
  end

  it "shows HTML in values as the text it is" do
    save_piece(
      {"piece" => "<img src=x onerror=\"document.title='broken'\">", "maker" => 2, "received_by" => "<b>bold</b>"}
    )
    %w[/t/pieces/records /t/pieces/history /t/pieces/forms/29?form=all].each { |path| visit path }
    expect(page).to have_field("Received by", with: "<b>bold</b>")
    expect(page.title).not_to eq("broken")
  end

  %w[
    /
    /t/pieces/rules
    /t/pieces/rules?rule=r54
    /t/members/rules?field=note&stage=calculate
    /t/pieces/rules?field=maker
    /language
    /t/pieces/records?filter=peak%20%3E%20900
    /t/pieces/forms?form=all
    /t/pieces/records
    /t/pieces/bench
    /t/pieces/bench?show=edges
    /t/pieces/history
    /t/pieces/history?of=design
    /sheet
  ].each do |path|
    it "is found without fault by axe-core at #{path}" do
      visit path
      expect(page).to have_css("h1")
      expect(page).to have_no_text("Loading …")
      expect(accessibility_problems).to be_empty
      page.execute_script("document.documentElement.dataset.theme = 'lamplight'")
      expect(accessibility_problems).to be_empty
    end
  end

  it "asks with the focus on what loses nothing" do
    visit "/t/pieces/forms/3?form=all"
    click_button "Delete"
    expect(page).to have_css("dialog button:focus", text: "Cancel")
    press :Escape
    expect(page).to have_no_css("dialog")
    expect(pieces.find(3)).not_to be_nil
  end

  it "fits a telephone's width" do
    page.driver.resize(400, 800)
    ["/t/pieces/forms?form=all", "/t/pieces/records", "/t/pieces/bench", "/"].each do |path|
      visit path
      expect(page).to have_css("h1")
      expect(evaluate_script("document.documentElement.scrollWidth")).to be <= 400
    end
  ensure
    page.driver.resize(1280, 800)
  end

  it "shows each call of the API as a shell would make it, and makes it" do
    visit "/api"
    fill_in "Search endpoints", with: "listRecords"
    find("#listRecords summary").click
    within("#listRecords") do
      expect(page).to have_text(%r{curl -H "Authorization: Bearer \$TOKEN" 'http://[^']+/api/tables/\{table\}/records'})
      expect(page).to have_button("Send", disabled: true)
      fill_in "table", with: "titles"
      fill_in "filter", with: "spoken = \"Mister\""
      click_button "Send"
      expect(page).to have_text("Response: 200").and have_text("Mister").and have_no_text("Doctor")
      fill_in "table", with: "nowhere"
      click_button "Send"
      expect(page).to have_text("Response: 404")
    end
    expect(accessibility_problems).to eq([])
    fill_in "Search endpoints", with: "createRecord"
    find("#createRecord summary").click
    within("#createRecord") do
      fill_in "table", with: "titles"
      fill_in "Body", with: JSON.generate(typed: {text: "O'Sir", spoken: "Sir"})
      expect(page).to have_text("-X POST").and have_text("O'\\''Sir")
      click_button "Send"
      expect(page).to have_text("Response: 201")
    end
    expect(UpTack::Store::RecordTable.model("titles").last.text).to eq("O'Sir")
  end
end
