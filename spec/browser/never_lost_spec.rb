# frozen_string_literal: true

require "browser_helper"
require "support/typist"

# What was typed comes out once, in one record: through reloads, lost answers, refusals and other tabs.
RSpec.describe "Nothing that was typed is lost, and nothing is saved twice" do
  after { SlowServer.reset }

  def typist = @typist ||= Typist.new(page.driver.browser.page, words: nil)

  def open_form(path = "/t/pieces/forms?form=all")
    visit path
    expect(page).to have_field("Received by", with: /\w/)
  end

  def into(label) = find_field(label).native.node.focus

  def eventually(what = "it", &condition)
    page.document.synchronize(20) { condition.call || raise(Capybara::ExpectationNotMet, "#{what} did not come") }
  end

  it "brings no saved record back as a draft, in this tab or in another" do
    open_form
    type_into "Piece", "Jug"
    type_into "Maker", "Teodor Quill"
    press [:control, "s"]
    expect(page).to have_css("h1", text: "PC-00029")
    click_link "New record"
    expect(page).to have_css("h1", text: "New piece").and have_field("Piece", with: "")
    expect(page).to have_no_text("Your unsaved entries were restored.")
    other = open_new_window
    within_window(other) do
      open_form
      expect(page).to have_field("Piece", with: "").and have_no_text("Your unsaved entries were restored.")
    end
    expect(pieces.count).to eq(29)
  end

  it "keeps the field that is being typed in through a reload" do
    open_form
    into "Maker note"
    text = "Half a sentence of which not one letter may be gone, #{"and on it goes, " * 3}and"
    typist.press(text)
    typist.rest
    page.refresh
    expect(page).to have_field("Maker note", with: text).and have_text("Your unsaved entries were restored.")
    click_button "Start over"
    expect(page).to have_field("Maker note", with: "")
  end

  it "gives each tab a draft of its own, and that of a tab that went to whoever comes next" do
    open_form
    type_into "Piece", "First tab"
    other = open_new_window
    within_window(other) do
      open_form
      expect(page).to have_field("Piece", with: "")
      type_into "Piece", "Second tab"
      page.refresh
      expect(page).to have_field("Piece", with: "Second tab")
    end
    other.close
    expect(page).to have_field("Piece", with: "First tab")
    within_window(open_new_window) do
      open_form
      expect(page).to have_field("Piece", with: "Second tab")
    end
  end

  it "saves no record in which nobody typed, and says so" do
    open_form
    press [:control, :Enter]
    expect(page).to have_text("Nothing entered, so nothing was saved.")
    expect(pieces.count).to eq(28)
    expect(page).to have_field("Tag", with: "PC-00029")
  end

  it "sends a write again whose answer was lost, and does it once" do
    # For three seconds writes are lost, by turns before and after the server has done its work.
    lost = begun = 0
    now = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
    SlowServer.trouble = lambda do |env|
      next unless env["REQUEST_METHOD"] == "POST" && env["PATH_INFO"].end_with?("/records")

      begun = now.call if lost.zero?
      %i[unanswered unsent][(lost += 1) % 2] if now.call - begun < 3
    end
    open_form
    type_into "Piece", "Jug"
    type_into "Maker", "Teodor Quill"
    into "Maker note"
    typist.press("Once.", [:control, :enter])
    expect(page).to have_text("The server doesn't respond.")
    typist.press(:tab, "Bowl", :tab, "Teodor Quill", :tab)
    expect(page).to have_text("Saved: PC-00029").and have_field("Piece", with: "Bowl").and have_field(
      "Maker",
      with: "Teodor Quill"
    )
    expect([pieces.count, pieces.find(29)["maker_note"]]).to eq([29, "Once."])
  end

  it "sends again after a reload what was on its way" do
    SlowServer.trouble = ->(env) do
      :unanswered if env["REQUEST_METHOD"] == "POST" && env["PATH_INFO"].end_with?("/records")
    end
    open_form
    type_into "Piece", "Jug"
    type_into "Maker", "Teodor Quill"
    typist.press([:control, :enter])
    expect(page).to have_text("The server doesn't respond.")
    eventually("the record") { pieces.count == 29 }
    SlowServer.reset
    page.refresh
    expect(page).to have_text("Saved: PC-00029").and have_field("Piece", with: "")
    expect(pieces.count).to eq(29)
  end

  it "keeps what was typed for the next record aside while a refused one is mended" do
    open_form
    into "Piece"
    # Most of it is typed after the refusal has come: hands go on for a while.
    Typist.new(page.driver.browser.page, words: 150).press(
      "Jug",
      %i[control enter],
      :tab,
      "Bowl",
      :tab,
      "Teodor Quill"
    )
    expect(page).to have_text("Not saved. Fix 1 problem.").and have_text("For the next record:")
    expect(page).to have_css("#input-maker:focus").and have_field("Piece", with: "Jug")
    page.refresh
    expect(page).to have_field("Piece", with: "Jug").and have_text("For the next record:")
    into "Maker"
    typist.press("Isolde Penhurrow", %i[control enter])
    expect(page).to have_text("Saved: PC-00029").and have_field("Piece", with: "Bowl").and have_field(
      "Maker",
      with: "Teodor Quill"
    )
    expect(page).to have_no_text("For the next record:")
    typist.press([:control, :enter])
    expect(page).to have_text("Saved: PC-00030")
    expect([29, 30].map { |id| pieces.find(id).then { |piece| [piece["piece"], piece["maker"]] } }).to eq(
      [["Jug", 4], ["Bowl", 2]]
    )
  end

  it "asks once more for a part of a page that did not arrive, and says so where it stays away" do
    visit "/"
    expect(page).to have_css("h2", text: "Pieces")
    asked = 0
    SlowServer.lost = ->(path) { path.include?("/HistoryView-") && (asked += 1) < 3 }
    page.execute_script("history.pushState({}, '', '/t/pieces/history'); dispatchEvent(new PopStateEvent('popstate'))")
    expect(page).to have_text("Verify the change log")
    SlowServer.lost = ->(path) { path.include?("/MapView-") }
    page.execute_script("history.pushState({}, '', '/t/pieces/map'); dispatchEvent(new PopStateEvent('popstate'))")
    expect(page).to have_text("Part of this page didn't load.")
    SlowServer.reset
    click_button "Reload"
    expect(page).to have_css("nav a", text: "Map")
    expect(page).to have_no_text("Part of this page didn't load.")
  ensure
    SlowServer.reset
  end

  it "frees the keys with Escape while it waits for where to go, and shows what was held" do
    open_form
    SlowServer.delay = 3
    into "Piece"
    typist.press("Jug", :tab, "Teodor", :escape)
    expect(page).to have_text("Typed but not entered: Teodor")
    SlowServer.reset
    type_into "Maker note", "Goes on."
    expect(page).to have_field("Maker note", with: "Goes on.").and have_field("Piece", with: "Jug")
  end

  it "holds the keys for the next record when a save begins while the cursor is still on its way" do
    open_form
    type_into "Maker", "Teodor Quill"
    into "Piece"
    SlowServer.delay = 1
    typist.press("Jug", :tab)
    click_button "Save and next"
    typist.press(:tab, "Bowl")
    expect(page).to have_text("Saved: PC-00029")
    SlowServer.reset
    expect(page).to have_field("Piece", with: "Bowl").and have_field("Maker", with: "")
    expect(pieces.find(29).to_h).to include("piece" => "Jug", "maker" => 2)
  end

  it "puts the cursor into the reason of a warning, and into no hidden field" do
    open_form
    {
      "Piece" => "Jug",
      "Maker" => "Teodor Quill",
      "Clay weight g" => "6000",
      "Wet weight g" => "6055"
    }.each { |label, text| type_into label, text }
    typist.press(%i[control enter], :tab)
    expect(page).to have_text("More than 5 kg")
    eventually("the cursor") { evaluate_script("document.activeElement.matches('[data-reason]')") }
    typist.press("A commission.", [:control, :enter])
    expect(page).to have_text("Saved: PC-00029")
  end

  it "says of a message about a field of another form where it can be mended, and goes there" do
    id = (1..28).find { |each| pieces.find(each)["maker_note"].nil? }
    change(
      :PinRule,
      table: "pieces",
      rule: {"kind" => "required", "field" => "maker_note", "message" => "Say something."}
    )
    form = workspace.table("pieces").forms.find { |each| !each.stops.include?("maker_note") }
    visit "/t/pieces/forms/#{id}?form=#{form.id}"
    expect(page).to have_css("[data-input]")
    press [:control, "s"]
    expect(page).to have_text("is not on this form.")
    expect(focused).not_to be_nil
    click_link "Open with all fields", match: :first
    expect(page).to have_field("Maker note")
    eventually("the cursor") { focused == "input-maker_note" }
  end

  it "says of keys that mean nothing where they are pressed" do
    open_form
    into "Firing"
    press "x"
    expect(page).to have_text("No choice starts with “x”. Choices: Bisque, Glaze, Lustre, Raku.")
    press "r"
    find_button("Save and next").native.node.focus
    press "q"
    expect(page).to have_text("“q” was typed outside a field.")
    into "Shelf code"
    press "1"
    expect(box("Shelf code")).to have_text("“1” doesn't fit")
  end

  it "types lines on without a pause: over a default, into a new line, and past what has no place" do
    visit "/t/orders/forms"
    expect(page).to have_css("[data-line-add]")
    find("[data-line-add]").native.node.focus
    typist.press("Glaze test", :tab, "3", :tab, "4.50", :enter, "Kiln wash", :tab, "2", :tab, "12")
    typist.rest
    cells = -> { all("[data-line-input]").map(&:value) }
    eventually("the lines") { cells.call.length == 6 }
    expect(cells.call).to eq(["Glaze test", "3.0", "4.50", "Kiln wash", "2.0", "12"])
  end
end
