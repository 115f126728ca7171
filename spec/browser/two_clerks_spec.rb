# frozen_string_literal: true

require "browser_helper"
require "support/grid_help"

# Two people who type into the same records at the same time, each with keys that wait for nothing, and
# one whose line breaks while she fills the grid.
RSpec.describe "Two clerks" do
  include GridHelp

  random = Random.new(RSpec.configuration.seed)
  rows = 5

  before do
    change(:AddTable, label: "Slips", one: "Slip")
    %w[Note Last].each { |label| change(:AddField, table: "slips", parts: {"label" => label, "type" => "text"}) }
  end

  after { SlowServer.reset }

  def slips = UpTack::Store::RecordTable.new(workspace.table("slips"))

  def eventually(what) =
    page.document.synchronize(60) { yield || raise(Capybara::ExpectationNotMet, "#{what} did not come") }

  # Opens the grid for somebody at a cell, and gives their hands.
  def sit_down(name, row, field)
    enter_as(name)
    visit "/t/slips/records"
    cell(row, field).click
    Typist.new(page.driver.browser.page, words: nil)
  end

  [0, 0.3].each do |delay|
    it "fill neighbouring cells of the same rows, and every value stays, answers #{(delay * 1000).to_i} ms late" do
      rows.times do |index|
        UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "slips", typed: {"name" => "Slip #{index}"})
      end
      odile = sit_down("Odile Marsh", 0, "note")
      bram = Capybara.using_session(:bram) { sit_down("Bram Tolley", 0, "last") }
      SlowServer.delay = delay
      kept =
        Array.new(rows) do |index|
          {"note" => "Note #{index} #{random.rand(999)}", "last" => "Last #{index} #{random.rand(999)}"}
        end
      kept.each do |values|
        odile.press(values["note"], :enter)
        bram.press(values["last"], :enter)
      end
      eventually("all that was typed") do
        Array.new(rows) { |index| slips.find(index + 1).slice("note", "last") } == kept
      end
    end
  end

  it "type into the same cells: one value is kept, the other waits in sight, and is kept if it is chosen" do
    rows.times do |index|
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "slips", typed: {"name" => "Slip #{index}"})
    end
    odile = sit_down("Odile Marsh", 0, "note")
    bram = Capybara.using_session(:bram) { sit_down("Bram Tolley", 0, "note") }
    SlowServer.delay = 0.2
    typed = Array.new(rows) { |index| ["Odile #{index} #{random.rand(999)}", "Bram #{index} #{random.rand(999)}"] }
    typed.each do |one, other|
      odile.press(one, :enter)
      bram.press(other, :enter)
    end
    waits = -> {
      evaluate_script("Object.keys(localStorage).filter((name) => " \
          "name.startsWith('up-tack-mend/')).flatMap((name) => " \
          "JSON.parse(localStorage.getItem(name))).map((each) => each.typed.note)")
    }
    seen = lambda do
      stored = Array.new(rows) { |index| slips.find(index + 1)["note"] }
      [stored, waits.call + Capybara.using_session(:bram) { waits.call }]
    end
    eventually("both values of each cell") { seen.call.flatten.compact.sort == typed.flatten.sort }
    SlowServer.reset
    typed.each_with_index do |(one, _), row|
      next if slips.find(row + 1)["note"] == one

      cell(row, "note").click
      odile.press(:enter)
      within("dialog") { click_button "Save selected values" }
      eventually("what was chosen") { slips.find(row + 1)["note"] == one }
    end
  end

  it "lose nothing while one of them saves, and letters typed on do not fall into the other record" do
    2.times do |index|
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "slips", typed: {"name" => "Slip #{index}"})
    end
    visit "/t/slips/forms/1?form=all"
    expect(page).to have_field("Name", with: "Slip 0")
    find_field("Note").native.node.focus
    UpTack::UseCases::Records::SaveRecord.new(workspace("Bram Tolley")).call(table: "slips", id: 1,
      typed: {"note" => "Bram's"})
    SlowServer.delay = 0.2
    hands = Typist.new(page.driver.browser.page, words: 120, random: random)
    hands.press("Odile's", %i[control enter], "Next slip", :tab, "Its note")
    expect(page).to have_css("[role=alert]", text: "Bram Tolley changed this record in the meantime.").and have_text(
            "For the next record: Next slip⇥Its note"
          )
    expect(page).to have_field("Note", with: "Odile's")
    SlowServer.reset
    click_button "Compare and choose"
    within("dialog") { click_button "Save selected values" }
    eventually("what was chosen") { slips.find(1)["note"] == "Odile's" }
    expect(page).to have_css("h1", text: "New slip")
    expect(page).to have_field("Name", with: "Next slip").and have_field("Note", with: "Its note")
  end

  # FREEZE=10 for as long as a clerk might wait.
  it "fills the grid while the server stands still, breaks off before and after its work, and comes back" do
    frozen, lost, begun = Float(ENV.fetch("FREEZE", "2")), 0, nil
    clock = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
    SlowServer.trouble = lambda do |env|
      next if env["REQUEST_METHOD"] == "GET"

      begun ||= clock.call
      next Kernel.sleep([begun + frozen - clock.call, 0].max) && nil if clock.call < begun + frozen

      %i[unanswered unsent][(lost += 1) % 2] if env["PATH_INFO"].end_with?("/batch") && clock.call < begun + frozen + 3
    end
    hands = sit_down("Odile Marsh", 0, "name")
    kept =
      Array.new(rows) do |index|
        {"name" => "Slip #{index} #{random.rand(99)}", "note" => "Note #{index}", "last" => "Last #{index}"}
      end
    kept.each { |values| hands.press(values["name"], :tab, values["note"], :tab, values["last"], :enter) }
    eventually("all rows") { slips.count >= rows && !page.has_css?("[data-waiting]", wait: 0) && lost > 1 }
    expect(Array.new(rows) { |index| slips.find(index + 1).slice("name", "note", "last") }).to eq(kept)
    expect(slips.count).to eq(rows)
  end

  it "saves once what was on its way, or not yet sent, when the page went, in the tab where it was typed" do
    # Answers are lost, and the page is loaded again in the middle; another tab looks on.
    SlowServer.trouble = ->(env) do
      %i[unanswered unsent].sample(random: random) if env["PATH_INFO"].end_with?("/batch")
    end
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "slips", typed: {"name" => "There"})
    hands = sit_down("Odile Marsh", 1, "name")
    hands.press("First", :tab, "One", :enter, "Second", :tab, "Two", :tab)
    hands.rest
    expect(page).to have_text("The server doesn't respond.")
    cell(0, "note").click
    hands.press("Noted", :enter, "and more")
    expect(page).to have_text("Typed ahead: and more")
    within_window(open_new_window) do
      visit "/t/slips/records"
      expect(page).to have_css("[role=row][data-index='0']", text: "There")
    end
    SlowServer.reset
    page.refresh
    expect(page).to have_text("Typed but not entered: and more")
    eventually("what was typed") { slips.count == 3 && slips.find(1)["note"] == "Noted" }
    expect([2, 3].map { |id| slips.find(id).values_at("name", "note") }).to eq([%w[First One], %w[Second Two]])
    visit "/t/slips/records"
    expect(page).to have_text("3 records")
    expect(slips.count).to eq(3)
  end
end
