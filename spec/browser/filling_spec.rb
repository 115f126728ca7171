# frozen_string_literal: true

require "browser_helper"

RSpec.describe "Filling fields from others, and forms that know where the cursor goes next" do
  def focus_on(name) = find_field(name).native.node.focus
  def cell(row, label) = find("input[aria-label='Row #{row}, #{label}']")
  def at?(id) = page.has_css?("##{id}:focus")
  def record(id, table = "pieces") = UpTack::Store::RecordTable.new(workspace.table(table)).find(id)

  it "pastes a decision table from a spreadsheet, marks what can't be read, finds the gap, and fills by it" do
    unpin("pieces", "decision", "peak")
    visit "/t/pieces/rules?field=peak&stage=fill"
    find("input[aria-label='Decision table']").click
    focus_on "Paste a block from a spreadsheet here"
    paste "Firing\tClay family\tPeak °C\tHold minutes\r\nBisque\t\t1000\t20\r\nGlace\tStoneware; " \
            "Porcelain\t1222\t12\r\nRaku\t\thot\t\r\n"
    expect(page).to have_text("3 rows pasted.").and have_text("2 cells are invalid:").and have_text(
                  "did you mean Glaze?"
                )
    expect(page).to have_css("input[aria-invalid=true]", count: 2)
    cell(2, "Firing").set("Glaze")
    cell(3, "Peak °C").set("980")
    expect(page).to have_text("Gaps: no row for").and have_text(
            "Firing is Glaze or Lustre, Clay family is Earthenware"
          ).and have_text("Firing is Lustre, Clay family is Stoneware or Porcelain")
    fill_in "Table name", with: "Programme"
    # Arrows go through the cells, Alt and arrow takes the row along, Enter at the end adds one.
    cell(3, "Firing").native.node.focus
    press [:alt, :Up]
    expect(page).to have_css("input[aria-label='Row 2, Firing']:focus")
    expect(cell(2, "Firing").value).to eq("Raku")
    press :Down, :Enter
    expect(page).to have_css("input[aria-label='Row 4, Firing']:focus")
    paste "Glaze\tEarthenware\t1100\t10\nLustre\t\t760\t15\n"
    expect(page).to have_text("2 rows pasted.").and have_text(
            "Firing is blank, Clay family is Earthenware"
          ).and have_text("Firing is Glaze, Clay family is blank").and have_no_text("Firing is Lustre,")
    click_button "Add row"
    cell(6, "Hold minutes").set("0")
    expect(page).to have_text("Complete: every combination is covered and no rows conflict.")
    within("section[aria-label='Effect on existing records']") { expect(page).to have_text("→ row 1") }
    expect(accessibility_problems).to eq([])
    press [:control, :Enter]
    expect(page).to have_css("[data-rule]", text: "Programme")
    visit "/t/pieces/forms?form=all"
    select "Raku", from: "Firing"
    expect(page).to have_field("Peak °C", with: "980")
    expect(box("Peak °C")).to have_text("row 2 of Programme")
    type_into "Peak °C", "950"
    select "Bisque", from: "Firing"
    expect(page).to have_field("Peak °C", with: "1000")
  end

  it "shows the gap of the verdict on the board, in the editor and on the map, and a circle when it is written" do
    visit "/t/pieces/rules"
    expect(page).to have_css(
      "[data-rule][title*='No rule sets Verdict where Absorption % equals Absorption limit % of Clay.']",
      minimum: 1
    )
    find("[data-rule]", text: "watertight below", match: :first).click
    within("aside ul[aria-label='Warnings']") do
      click_button "Try it", match: :first
      expect(page).to have_text("Result: Verdict is blank")
    end
    expect(page).to have_text("No rule sets Verdict where Absorption % equals Absorption limit % of Clay.")
    visit "/t/pieces/rules?field=hold&stage=fill"
    find("input[aria-label='Fill']").click
    write_formula "peak / 50"
    expect(page).to have_text("all set Hold minutes. They run in this order; the last one wins.")
    write_formula "peak + hold"
    expect(page).to have_text("Circular reference in Hold minutes")
  end

  it "lets a clerk type ten pieces without a mouse, losing no letter, with the cursor passing over what is filled" do
    enter_as("Bram Tolley")
    visit "/t/pieces/forms?form=#{workspace.table("pieces").forms.first.id}"
    expect(page).to have_field("Tare g", with: "55")
    expect(at?("input-maker")).to be(true)
    press(*"teodor".chars, :Enter)
    expect(at?("input-piece")).to be(true)
    press(*"Mug 0".chars, :Enter)
    expect(at?("input-clay_family")).to be(true)
    press(*"Stone".chars, :Enter, *"harb".chars, :Enter)
    expect(at?("input-shelf_code")).to be(true)
    press(*"ka100".chars, :Enter)
    expect(at?("input-clay_weight")).to be(true)
    expect([box("Kiln"), box("Zone")].map { |each| each.find("[data-input]").value }).to eq(["Big kiln", "A"])
    press(*"640".chars, :Enter, *"695".chars, :Enter)
    expect(page).to have_css("button:focus", text: "Save and next")
    press [:control, :Enter]
    (1..9).each do |count|
      expect(page).to have_text("Saved: PC-000#{28 + count}").and have_css("#input-piece:focus")
      expect(page).to have_field("Maker", with: "Teodor Quill")
      # The hand is faster than the answers: what is typed meanwhile goes where the cursor will be.
      press(
        *"Mug #{count}".chars,
        :Enter,
        *"gb20#{count}".chars,
        :Enter,
        *(600 + count).to_s.chars,
        :Enter,
        *(655 + count).to_s.chars,
        :Enter
      )
      expect(page).to have_css("button:focus", text: "Save and next")
      press [:control, :Enter]
    end
    expect(page).to have_text("Saved: PC-00038")
    typed =
      (29..38).map do |id|
        record(id).values_at("piece", "maker", "clay", "shelf_code", "kiln", "zone", "clay_weight", "wet_weight")
      end
    expect(typed.first).to eq(["Mug 0", 2, 2, "KA-100", "Big kiln", "A", 640, 695])
    expect(typed.drop(1)).to eq(
      (1..9).map { |count| ["Mug #{count}", 2, 2, "GB-20#{count}", "Small kiln", "B", 600 + count, 655 + count] }
    )
  end

  it "holds one rule on both forms, which only add to it" do
    reception, desk = workspace.table("pieces").forms.map(&:id)
    {reception => 20, desk => 21}.each do |form, id|
      visit "/t/pieces/forms/#{id}?form=#{form}"
      expect(page).to have_field("Piece", with: /\w/)
      type_into "Piece", ""
      expect(box("Piece")).to have_text("Enter what it is, for example bowl, mug, tile.")
      press [:control, "s"]
      expect(page).to have_text("Not saved. Fix 1 problem.")
    end
    expect(page).to have_css("output#input-loss").and have_no_field("Shelf code")
    expect(accessibility_problems).to eq([])
  end

  it "opens the second phone only with a first, and clears it when the first goes" do
    visit "/t/members/forms/9"
    expect(page).to have_css("output#input-second_phone")
    expect(box("Second phone")).to have_text("not editable at the moment")
    type_into "Phone", "01 555 0199"
    expect(page).to have_field("Second phone")
    type_into "Second phone", "01 555 0198"
    type_into "Phone", ""
    expect(page).to have_css("output#input-second_phone", exact_text: "")
    press [:control, "s"]
    expect(page).to have_text("No changes to save.").or have_text("Saved")
    expect(record(9, "members").values_at("phone", "second_phone")).to eq([nil, nil])
  end

  it "types an order with its lines, the total right while it is typed, and keeps all of it over a reload" do
    visit "/t/orders/forms"
    expect(page).to have_text("No lines yet.")
    type_into "Member", "Teodor"
    focus_on "What"
    press(*"Two bags".chars, :Enter)
    expect(page).to have_css("button:focus", text: "Add a line")
    press :Enter
    expect(page).to have_css("[data-line-input=what]:focus")
    press(*"Bag".chars, :Enter)
    expect(page).to have_css("[data-line-input=quantity]:focus")
    press [:control, "a"], "2", :Enter
    expect(page).to have_css("[data-line-input=price]:focus")
    press(*"9.50".chars, :Enter)
    expect(page).to have_field("Line 1, Quantity", with: "2.0").and have_field("Line 1, Price €", with: "9.50")
    expect(page).to have_css("[data-line-input=what]:focus").and have_css(
      "output[id*=total]",
      text: "19.00"
    ).and have_css("#input-amount", text: "19.00")
    press(*"Firing".chars, :Enter)
    expect(page).to have_no_field("Agreed price €")
    visit "/t/orders/forms"
    expect(page).to have_text("Your unsaved entries were restored.").and have_css("#input-amount", text: "19.00")
    press [:control, "s"]
    expect(page).to have_text("Not saved. Fix 1 problem.").and have_text("Enter a price.")
    find_field("Line 2, Price €").native.node.focus
    press(*"5".chars, :Tab)
    expect(page).to have_css("#input-amount", text: "24.00")
    press [:control, "s"]
    expect(page).to have_text("Saved: OR-")
    expect(page).to have_field("Line 2, What", with: "Firing")
    find_button("Remove line 1").click
    expect(page).to have_css("#input-amount", text: "5.00")
    press [:control, "s"]
    expect(page).to have_no_field("Line 2, What")
    expect(UpTack::Store::RecordTable.new(workspace.table("orders")).page(limit: 50).last.last["amount"]).to eq(5)
  end

  it "lays a form out by keys, running beside it, and lets a clerk use it" do
    visit "/t/members/forms"
    click_link "New form"
    expect(find("input[data-first]").value).to eq("Member form")
    find("input[data-first]").set("Key desk")
    find("[data-item=phone] [data-handle]").native.node.focus
    press [:alt, :Up], [:alt, :Up], [:alt, :Right]
    expect(all("[data-item]").first(2).map { |item| item["data-item"] }).to eq(%w[phone name]).or eq(%w[name phone])
    press :Enter
    within("[data-item=phone]") do
      fill_in "Hint", with: "Ask for it"
      click_button "Visible, editable, required or read-only while …"
      find("select[aria-label='Field state']").select("Required")
    end
    write_formula "name is not blank"
    within("section[aria-label='Preview']") do
      expect(page).to have_text("Ask for it")
      find_field("Name").set("Runa")
      find_field("Name").native.node.focus
      press :Tab
      expect(page).to have_css("label", text: "Phone").and have_text("required")
    end
    find("[data-item=note] [data-handle]").native.node.focus
    press :Delete
    expect(page).to have_no_css("[data-item=note]")
    expect(accessibility_problems).to eq([])
    press [:control, :Enter]
    expect(page).to have_text("Form saved: Key desk").and have_link("Key desk")
    expect(page).to have_no_field("Note")
    click_link "Change this form"
    click_button "Delete form"
    expect(page).to have_text("Form deleted: Key desk")
    visit "/t/members/rules"
    expect(page).to have_css("[data-row]")
    press [:control, "z"]
    expect(page).to have_text("Undone")
    expect(workspace.table("members").forms.map(&:name)).to eq(["Key desk"])
  end

  it "says what writes a field in one key, and draws it" do
    visit "/t/pieces/forms?form=all"
    focus_on "Peak °C"
    press :F8
    expect(page).to have_css("dialog", text: "What sets Peak °C in Pieces?").and have_css(
      "dialog",
      text: "by the decision table Firing programme (4 rows)"
    )
    click_link "Show on the map"
    expect(page).to have_css(".react-flow__node", text: "Firing programme").and have_css(
      "aside",
      text: /affects/i
    )
    expect(accessibility_problems).to eq([])
    find("input[aria-label='List']").click
    expect(page).to have_css("tr", text: "Peak °C, Ramp °C an hour and Hold minutes are set from Firing")
    click_button "Show everything"
    expect(page).to have_css("tr", text: "No rule sets Verdict where Absorption % equals Absorption limit % of Clay.")
    expect(page).to have_css("tr", text: "Limit °C (Clays)")
  end
end
