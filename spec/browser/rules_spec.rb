# frozen_string_literal: true

require "browser_helper"

# Masks, choices that depend on each other, links by name, clean-ups and
# validations, as clerks and builders meet them.
RSpec.describe "Rules, as records are typed" do
  def members = UpTack::Store::RecordTable.new(workspace.table("members"))
  def into(label) = find_field(label).native.node.focus
  def caret = evaluate_script("document.activeElement.selectionStart")

  def open_form(table = "pieces", id = nil)
    visit "#{["/t/#{table}/forms", id].compact.join("/")}?form=all"
    expect(page).to have_field((table == "pieces") ? "Received by" : "Name", with: /\w/)
  end

  it "follows a mask key by key: letters turn, separators come by themselves, the caret stays where one types" do
    open_form
    into "Shelf code"
    press(*"kd-x017".chars)
    expect(find_field("Shelf code").value).to eq("KD-017")
    press :Left, :Left, :Backspace
    expect([find_field("Shelf code").value, caret]).to eq(["KD-17", 3])
    press "9"
    expect([find_field("Shelf code").value, caret]).to eq(["KD-917", 4])
    press :Home, :Delete
    press "r"
    expect([find_field("Shelf code").value, caret]).to eq(["RD-917", 1])
    press [:control, "a"], :Backspace
    expect(find_field("Shelf code").value).to eq("")
  end

  it "says what is missing in what is half typed, and nothing while one types" do
    open_form
    into "Shelf code"
    press(*"kd01".chars)
    expect(box("Shelf code")).to have_no_css(".text-error")
    press :Tab
    expect(box("Shelf code")).to have_text("One more digit is missing.").and have_field(with: "KD-01")
    into "Shelf code"
    press :End, "7", :Tab
    expect(box("Shelf code")).to have_no_text("missing").and have_field(with: "KD-017")
  end

  it "takes what is pasted with other separators, keeps what does not fit, and says no to a megabyte" do
    open_form
    into "Shelf code"
    paste "zz 404"
    expect(page).to have_field("Shelf code", with: "ZZ-404")
    press [:control, "a"]
    paste "ZZ-4X4"
    press :Tab
    expect(box("Shelf code")).to have_field(with: "ZZ-4X4").and have_text("A digit is expected at position 5, not “X”.")
    into "Shelf code"
    paste "7" * 1_048_576
    expect(box("Shelf code")).to have_text(
      "Not pasted: the text has 1,048,576 characters; this field takes up to 6."
    ).and have_field(with: "ZZ-4X4")
  end

  it "shows an old text that no mask fits as it is" do
    change(
      :UnpinRule,
      table: "members",
      rule: workspace.table("members").rules.find { |rule| rule.kind == "mask" && rule.field == "phone" }.id
    )
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "members", id: 3,
      typed: {"phone" => "ring the bell"})
    change(
      :PinRule,
      table: "members",
      rule: {"kind" => "mask", "field" => "phone", "mask" => "\"0\" 1*2DIGIT \" \" 3DIGIT \" \" 4DIGIT"}
    )
    open_form "members", 3
    expect(page).to have_field("Phone", with: "ring the bell")
    type_into "Phone", "1555 0163"
    expect(page).to have_field("Phone", with: "015 550 163")
  end

  it "finds a link by keyboard alone, however slowly, and never takes one of two silently" do
    open_form
    into "Maker"
    press(*"ve".chars)
    expect(page).to have_css("li[role=option]", count: 2)
    press "l"
    expect(page).to have_css("li[role=option]", text: "01 555 0142").and have_css(
      "li[role=option]",
      text: "01 555 0190"
    )
    press "t", :Tab
    expect(box("Maker")).to have_text("2 records match “velt”. Choose one with the arrow keys.")
    into "Maker"
    press [:control, "a"], *"ansa velt".chars
    expect(page).to have_css("li[role=option]", count: 2)
    press :Down, :Enter
    expect(page).to have_field("Maker's phone", with: "01 555 0190")
    into "Maker"
    press [:control, "a"], *"quill".chars
    expect(page).to have_css("li[role=option]", count: 1)
    press :Tab
    expect(page).to have_field("Maker", with: "Teodor Quill").and have_field("Maker's phone", with: "01 555 0117")
  end

  it "makes a linked record on the spot, which comes back chosen" do
    open_form
    into "Maker"
    press(*"Ilse Corran".chars)
    expect(page).to have_text("No matching record.")
    press :Insert
    expect(page).to have_css("dialog h2", text: "New member")
    within("dialog") { expect(page).to have_field("Name", with: "Ilse Corran") }
    page.evaluate_script("document.getElementById('input-new-phone').focus()")
    press(*"015550199".chars, :Tab)
    press [:control, "s"]
    expect(page).to have_css("dialog", text: "Not saved: 1 problem.")
    page.evaluate_script("document.getElementById('input-new-phone').focus()")
    press :End, "9", :Tab
    press [:control, "s"]
    expect(page).to have_no_css("dialog").and have_field("Maker", with: "Ilse Corran").and have_field(
      "Maker's phone",
      with: "015 550 1999"
    )
    expect(members.find(13)["name"]).to eq("Ilse Corran")
  end

  it "narrows what is offered, and clears what no longer belongs" do
    open_form
    select "Porcelain", from: "Clay family"
    into "Clay"
    press :Down
    expect(page).to have_css("li[role=option]", count: 1, text: "Snowfall")
    press :Enter
    expect(page).to have_field("Clay's limit", with: /./).or have_css("output#input-clay_limit", text: "1280 °C")
    select "Stoneware", from: "Clay family"
    expect(page).to have_field("Clay", with: "")
    expect(box("Clay")).to have_text("cleared: “Snowfall” is not available for this Clay family")
    expect(find_field("Clay family")).to have_no_css("option", text: "Terracotta")
  end

  it "tells all refusals together, leads to them, and lets a warning pass with a reason" do
    open_form
    {
      "Piece" => "Jug",
      "Maker" => "Teodor Quill",
      "Clay weight g" => "6000",
      "Wet weight g" => "6000",
      "Absorption %" => "101"
    }.each { |label, text| type_into label, text }
    press [:control, "s"]
    expect(find("[role=alert]", text: "Not saved. Fix 3 problems.")).to have_button(
      "Absorption %: Absorption must be between 0 and 100 %."
    ).and have_button("Clay weight g: More than 5 kg")
    click_button "Wet weight g: Clay and tare"
    expect(focused).to eq("input-wet_weight")
    expect(box("Tare g")).to have_css("[class*='tint-lit']")
    type_into "Wet weight g", "6055"
    type_into "Absorption %", "100"
    within(box("Clay weight g")) { fill_in "Save anyway – reason", with: "A commission." }
    press :Tab
    expect(box("Clay weight g")).to have_no_text("More than 5 kg")
    press [:control, "s"]
    expect(page).to have_text("Saved: PC-00029")
    visit "/t/pieces/history"
    expect(page).to have_text("Saved anyway; reason: A commission.")
  end

  it "types right in the grid by the same rules" do
    visit "/t/pieces/records"
    expect(page).to have_css("[role=row][data-index='0']", text: "PC-00001")
    find("[role=grid]").native.node.focus
    press :F2
    expect(page).to have_css("[data-cell-editor=tag] input")
    press [:control, "a"], *"pc1".chars, :Enter
    expect(find("[data-cell-editor=tag]")).to have_text("Four more digits are missing.")
    press :Escape
    expect(page).to have_no_css("[data-cell-editor]")
    press :Right, *"Broth bowl".chars
    expect(page).to have_css("[data-cell-editor=piece] input")
    press :Enter
    expect(page).to have_no_css("[data-cell-editor]").and have_css("[role=row][data-index='0']", text: "Broth bowl")
    expect([pieces.find(1)["piece"], UpTack::Store::Entry.last.way]).to eq(["Broth bowl", "grid"])
    press [:control, "z"]
    expect(page).to have_css("[role=row][data-index='0']", text: "Soup bowl")
  end

  it "finds a mask by example, and shows its effect at once" do
    visit "/t/pieces/rules?field=received_by&stage=mask"
    fill_in "Type a correct example", with: "KD-017"
    choose "two uppercase letters, “-”, three digits", exact: false, allow_label_click: true
    expect(page).to have_text("28 of 28 existing records will be refused when they are next saved.")
    find_field("Try the mask").native.node.focus
    press(*"kd01".chars)
    expect(page).to have_text("Not yet: one more digit is missing.")
    press "7"
    expect(page).to have_text("Complete.")
    press [:control, :Enter]
    expect(page).to have_no_css("aside").and have_button("Received by has the format two uppercase letters")
  end

  it "reviews suggestions side by side, takes them, and takes them back" do
    visit "/t/members/tidy"
    expect(page).to have_css("li", count: 3).and have_css("del", text: "UNNIVA").and have_css("ins", text: "unniva")
    click_button "Ignore until it changes: Name: dunstan eyre"
    expect(page).to have_text("Show 1 ignored suggestions").and have_no_text("dunstan")
    click_button "Accept all 2"
    within("dialog") { click_button "Accept all 2" }
    expect(page).to have_text("No suggestions left.")
    visit "/t/members/history"
    expect(page).to have_text(/Odile Marsh\s*Cleaned up Name\s*2 records/)
    click_button "Undo all of it"
    expect(page).to have_text("undone")
    expect(members.find(12)["name"]).to eq("SUNNIVA BROOK")
  end

  it "has nothing that axe-core finds on its new pages" do
    %w[
      /t/members/tidy
      /outbox
      /t/pieces/rules?field=firing&stage=fill
      /t/members/rules?field=name&stage=tidy
      /t/pieces/rules?field=collect_by
      /t/clays/rules?field=family
      /t/pieces/rules?field=peak&stage=validate
    ].each do |path|
      visit path
      expect(page).to have_css("h1, h2")
      page.driver.wait_for_network_idle
      expect([path, accessibility_problems]).to eq([path, []])
    end
  end
end
