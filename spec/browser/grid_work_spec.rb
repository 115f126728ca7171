# frozen_string_literal: true

require "browser_helper"
require "support/grid_help"
require "support/slow_server"

# A table kept in the grid alone, by the keyboard: filled, sorted, searched and fixed.
RSpec.describe "Work in the grid" do
  include GridHelp

  def eventually(seconds = 15) =
    page.document.synchronize(seconds) { raise Capybara::ExpectationNotMet, "not yet" unless yield }

  def shelves
    change(:AddTable, label: "Shelves", one: "Shelf")
    [%w[Rank number], %w[Least number], %w[Most number]].each do |label, type|
      change(:AddField, table: "shelves", parts: {"label" => label, "type" => type})
    end
    change(
      :PinRule,
      table: "shelves",
      rule: {
        "kind" => "check",
        "field" => "least",
        "formula" => "least <= most",
        "message" => "Least is not above most."
      }
    )
    UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(
      table: "shelves",
      drafts:
        %w[Ash Beech Cedar Deal].each_with_index.map do |name, at|
          {typed: {"name" => name, "rank" => at * 10, "least" => 1, "most" => 5}}
        end,
      summary: "Shelves"
    )
  end

  def ranks = (1..4).map { |id| shelf(id)["rank"]&.to_i }

  def fill_ranks_down
    shelves
    open_grid("/t/shelves/records")
    cell(0, "rank").click
    cell(3, "rank").click(:shift)
    hands.press([:control, "d"])
    eventually { ranks == [0, 0, 0, 0] }
  end

  def shelf(id) = UpTack::Store::RecordTable.new(workspace.table("shelves")).find(id)

  it "fills an empty table from the row at the end, by hand and by a block that is pasted" do
    change(:AddTable, label: "Glazes", one: "Glaze")
    change(:AddField, table: "glazes", parts: {"label" => "Heat", "type" => "number"})
    open_grid("/t/glazes/records")
    expect(page).to have_text("Type the first one in the row below")
    hands.press("Celadon", :tab, "1240", :enter, "Shino", :tab, "1 220", :enter)
    expect(page).to have_css("[role=row][data-index='1']", text: "Shino").and have_css(
            "[role=row][data-index='2'] [aria-label='Type a new record here']"
          )
    paste("Tenmoku\t1260\nRaku\tnine\nSalt\t1300\n")
    expect(page).to have_text("2 records saved, 1 needs fixing")
    click_button "Show it"
    expect(page).to have_css("[aria-invalid=true]", text: "nine")
    hands.press("980", :enter)
    eventually { UpTack::Store::RecordTable.new(workspace.table("glazes")).count == 5 }
    found = []
    UpTack::Store::RecordTable
      .new(workspace.table("glazes"))
      .each { |_, row| found << [row["name"], row["heat"].to_i] }
    expect(found).to contain_exactly(
      ["Celadon", 1240],
      ["Shino", 1220],
      ["Tenmoku", 1260],
      ["Salt", 1300],
      ["Raku", 980]
    )
    expect(accessibility_problems).to eq([])
  end

  # On a busy machine any work may be answered as a job; whoever presses the next key notices nothing of it.
  it "undoes and does again by keys where each takes long" do
    stub_const("UpTack::Web::Helpers::Background::PATIENCE", -1)
    fill_ranks_down
    3.times do
      hands.press([:control, "z"])
      eventually { ranks == [0, 10, 20, 30] }
      hands.press([:control, "y"])
      eventually { ranks == [0, 0, 0, 0] }
    end
    # What is typed while one is on its way stays, in the cell where the keys were heard.
    hands.press([:control, "z"], :down, :down, :down, :down, "50", :enter)
    eventually { [*ranks, shelf(5)&.fetch("rank")&.to_i] == [0, 10, 20, 30, 50] }
  end

  it "undoes and does again, cuts, fills down and to the right, repeats a block, and draws it further by its corner" do
    fill_ranks_down
    hands.press([:control, "z"])
    eventually { ranks == [0, 10, 20, 30] }
    expect(page).to have_text("undone")
    hands.press([:control, "y"])
    eventually { ranks == [0, 0, 0, 0] }
    hands.press([:control, "z"])
    eventually { ranks == [0, 10, 20, 30] }
    paste("1\n2")
    eventually { ranks == [1, 2, 1, 2] }
    cell(1, "rank").click
    from, to = find("[data-handle]").native, cell(3, "rank").native
    page.driver.browser.mouse.move(x: from.node.find_position[0], y: from.node.find_position[1]).down
    page.driver.browser.mouse.move(x: to.node.find_position[0], y: to.node.find_position[1]).up
    eventually { ranks == [1, 2, 2, 2] }
    cell(0, "most").click
    hands.press([:control, "r"])
    cell(0, "least").click
    cell(0, "most").click(:shift)
    hands.press([:control, "r"])
    eventually { shelf(1).values_at("least", "most") == [1, 1] }
    cell(2, "rank").click
    page.execute_script("window.cut = new DataTransfer(); document.activeElement.dispatchEvent(new " \
      "ClipboardEvent('cut', {clipboardData: window.cut, bubbles: true, cancelable: true}))")
    eventually { ranks == [1, 2, nil, 2] }
    expect(page.evaluate_script("window.cut.getData('text/plain')")).to eq("2")
  end

  it "finds a text in all records, and shows those in which a plain word stands" do
    open_grid
    hands.press([:control, "f"])
    fill_in "Find in all records", with: "glaze"
    expect(page).to have_text(/Record 1 of \d+/)
    # From column to column of a record, then on to the next one.
    hands.press(*[:enter] * 6)
    expect(page).to have_text(/Record [2-6] of \d+/)
    fill_in "Find in all records", with: "no such word"
    expect(page).to have_text("No record in this view contains")
    hands.press(:escape)
    expect(page.evaluate_script("document.activeElement.getAttribute('role')")).to eq("grid")
    click_button "Filter"
    write_formula "teodor"
    expect(page).to have_text("Shows records that contain “teodor” in any field.").and have_text(/\d of 28 records/)
    count = UpTack::UseCases::Records::ListRecords.new(workspace).call(table: "pieces", search: "teodor").records.length
    expect(count).to be_between(1, 27)
    expect(page).to have_css("[role=row][data-index='#{count - 1}']").and have_text("#{count} of 28")
  end

  it "lets a row wait for its other cell where a rule holds two together, and gives it up with Esc" do
    shelves
    open_grid("/t/shelves/records")
    cell(1, "least").click
    hands.press("8", :tab)
    expect(page).to have_text("1 row needs fixing: ").or have_text("Least is not above most.")
    hands.press("9", :enter)
    eventually { shelf(2).values_at("least", "most") == [8, 9] }
    expect(page).to have_no_text("needs fixing")
    cell(2, "least").click
    hands.press("8", :enter)
    expect(page).to have_css("[role=row][data-index='2'] [aria-invalid=true]", text: "8")
    hands.press(:up, :escape)
    expect(page).to have_text("Changes discarded. The row is as it was saved.").and have_no_css("[aria-invalid=true]")
    expect(shelf(3).values_at("least", "most")).to eq([1, 5])
  end

  it "keeps a new row back by a warning, and saves it with the reason that is typed in its cell" do
    shelves
    change(
      :PinRule,
      table: "shelves",
      rule: {
        "kind" => "limits",
        "field" => "rank",
        "low" => "0",
        "high" => "100",
        "severity" => "warn",
        "message" => "That high?"
      }
    )
    open_grid("/t/shelves/records")
    # What the rules would make of the row is told only after the row was refused.
    SlowServer.trouble = ->(env) { env["PATH_INFO"].end_with?("/draft") && Kernel.sleep(0.7) && nil }
    cell(4, "name").click
    hands.press("Elm", :tab, "500", :enter)
    expect(page).to have_text("1 row needs fixing").and have_text("That high?")
    page.driver.wait_for_network_idle(duration: 1, timeout: 20)
    expect(page).to have_text("1 row needs fixing").and have_text("That high?")
    click_button "Show it"
    hands.press(:f2)
    expect(page).to have_field("Save anyway – reason")
    # Beneath the last rows it stands above the cell, where it can be read.
    expect(
      page.evaluate_script("document.querySelector('[id^=cell-below]').getBoundingClientRect().bottom <= innerHeight")
    ).to be(true)
    find("[data-reason]").native.node.focus
    hands.press("The loft", :enter)
    eventually { UpTack::Store::RecordTable.new(workspace.table("shelves")).count == 5 }
    expect(shelf(5)["rank"]).to eq(500)
    expect(entries(record: 5, table: workspace.table("shelves")).first.passed).to include("The loft")
    expect(page).to have_no_text("needs fixing")
  ensure
    SlowServer.reset
  end

  it "shows what is wrong with a cell of the last rows above it, not beneath the foot" do
    open_grid
    press [:control, :End]
    last = find("[role=row][data-index='27'] [role=gridcell][data-writes$='.hold']")
    last.click
    hands.press("500", :enter)
    expect(page).to have_css("[id=cell-below-hold] [role=alert]")
    box =
      page.evaluate_script(
        "(() => { const it = document.querySelector('#cell-below-hold').getBoundingClientRect(); " \
          "const input = document.querySelector('#cell-hold').getBoundingClientRect(); const foot = " \
          "document.querySelector('[role=grid]').getBoundingClientRect().bottom; return [it.top, " \
          "it.bottom, input.top, input.bottom, foot]; })()"
      )
    expect(box[1] <= box[2] + 1 || box[1] <= box[4] - 40).to be(true), box.inspect
  end

  it "leaves the cursor where the hand has put it while a block is being written" do
    shelves
    open_grid("/t/shelves/records")
    cell(0, "rank").click
    SlowServer.delay = 0.8
    paste("1\n2\n")
    cell(3, "most").click
    hands.press("8", :enter)
    eventually { shelf(4)["most"] == 8 && shelf(2)["rank"] == 2 }
    expect([shelf(1).values_at("rank", "most"), shelf(3)["rank"]]).to eq([[1, 5], 20])
  ensure
    SlowServer.reset
  end

  it "goes where a click leads while an answer is awaited, with the keys that follow it" do
    shelves
    open_grid("/t/shelves/records")
    SlowServer.delay = 1
    cell(3, "rank").click
    hands.press("31", :enter)
    cell(1, "most").click
    hands.press("7", :enter)
    eventually { shelf(2)["most"] == 7 }
    expect([shelf(4)["rank"], UpTack::Store::RecordTable.new(workspace.table("shelves")).count]).to eq([31, 4])
  ensure
    SlowServer.reset
  end

  it "leaves a row where it is while its sorted column is typed in, and goes on with the next record" do
    shelves
    open_grid("/t/shelves/records?sort=name")
    cell(0, "name").click
    SlowServer.delay = 0.1
    hands.press("Zelkova", :tab, "7", :enter, "Birch", :enter)
    eventually { shelf(2)["name"] == "Birch" }
    expect([shelf(1).values_at("name", "rank"), shelf(3)["name"]]).to eq([["Zelkova", 7], "Cedar"])
    expect(page).to have_css("[role=row][data-index='3']", text: "Zelkova").and have_css(
      "[role=row][data-index='0']",
      text: "Birch"
    )
  ensure
    SlowServer.reset
  end

  it "asks as the form does when somebody else changed the cell, and keeps the keyboard" do
    shelves
    open_grid("/t/shelves/records")
    cell(0, "rank").click
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "shelves", id: 1, typed: {"rank" => "77"})
    hands.press("88", :enter)
    expect(page).to have_text("Odile Marsh changed it to “77” in the meantime.").and have_no_css("dialog")
    hands.press(:up, :enter)
    within("dialog") do
      expect(page).to have_text("77").and have_text("88")
      click_button "Save selected values"
    end
    eventually { shelf(1)["rank"] == 88 }
    expect(page).to have_no_css("dialog[open]")
    expect(page.evaluate_script("document.activeElement.getAttribute('role')")).to eq("grid")
  end
end
