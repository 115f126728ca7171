# frozen_string_literal: true

require "browser_helper"

# The same pages by finger on a telephone, and by ear.
RSpec.describe "By finger and by ear" do
  def small_controls
    page.evaluate_script(<<~JS)
      (() => {
      const fields = "select, input:not([type=checkbox]):not([type=radio]), textarea";
      const controls = [...document.querySelectorAll(`button, ${fields}, header a, nav a, summary`)];
      const box = (each) => each.getBoundingClientRect();
      const shown = (each) =>
        box(each).width > 1 && box(each).height > 1 && !each.closest(".sr-only, [aria-hidden=true]") &&
        getComputedStyle(each).opacity !== "0";
      const name = (each) => (each.getAttribute("aria-label") || each.textContent || each.id).trim().slice(0, 40);
      return controls
        .filter((each) => shown(each) && box(each).height < 43.5)
        .map((each) => name(each) + " " + box(each).height);
      })()
    JS
  end

  def small_letters =
    page.evaluate_script(
      "[...document.querySelectorAll('input, select, textarea')].filter((each) => " \
        "each.getBoundingClientRect().width > 1 && parseFloat(getComputedStyle(each).fontSize) < " \
        "16).map((each) => each.id || each.getAttribute('aria-label'))"
    )

  # Role and name that Chromium tells a screen reader of the element that has the cursor.
  def spoken_field
    browser = page.driver.browser.page
    element = browser.command("Runtime.evaluate", expression: "document.activeElement").dig("result", "objectId")
    nodes = browser.command("Accessibility.getPartialAXTree", objectId: element, fetchRelatives: false)["nodes"]
    nodes.first.values_at("role", "name").map { |each| each && each["value"].to_s }
  end

  {
    "a form" => "/t/pieces/forms?form=all",
    "the grid" => "/t/pieces/records",
    "the board" => "/t/pieces/rules",
    "a rule" => "/t/pieces/rules?field=piece&stage=validate",
    "the tables" => "/"
  }.each do |name, path|
    it "reaches every control of #{name} with a finger, at 400 pixels and without scrolling sideways" do
      Capybara.current_driver = :telephone
      enter_as("Odile Marsh")
      visit path
      expect(page).to have_css("h1").and have_no_css("[role=status]", text: "Loading …")
      page.driver.wait_for_network_idle
      expect([small_controls, small_letters]).to eq([[], []])
      expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 400
    end
  end

  it "keeps messages off the buttons that save" do
    Capybara.current_driver = :telephone
    enter_as("Odile Marsh")
    visit "/t/clays/forms?form=all"
    fill_in "Name", with: "Shale"
    select "Stoneware", from: "Family"
    fill_in "Limit °C", with: "1200"
    press [:control, "s"]
    expect(page).to have_css("[data-sonner-toast]")
    covered = page.evaluate_script(<<~JS)
      [...document.querySelectorAll(".fixed button")].filter((each) => {
        const box = each.getBoundingClientRect();
        return !each.contains(document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2));
      }).map((each) => each.textContent)
    JS
    expect(covered).to eq([])
  end

  it "says where the cursor goes, what rules filled and what is refused" do
    visit "/t/pieces/forms?form=all"
    type_into "Shelf code", "ka444"
    expect(page).to have_css("[data-spoken]", text: "Kiln set by a rule: Big kiln.", visible: :all)
    type_into "Hold minutes", "500"
    expect(page).to have_css("[data-spoken]", text: "Hold minutes: ", visible: :all)
    # Whatever has the cursor has a name, also what holds the keys until it is known which field comes next.
    told =
      {"Clay weight g" => "640", "Piece" => "Mug", "Shelf code" => "kb333"}.flat_map do |label, text|
        find_field(label).native.node.focus
        [*text.chars, :Tab, nil, nil, nil].map do |key|
          press(key) if key
          spoken_field
        end
      end
    told.reject! { |role, _| role == "none" } # Nothing has it between two fields.
    expect(told.length).to be > 15
    expect(told.map(&:first)).to all(match(/textbox|combobox|spinbutton/))
    expect(told.map(&:last)).to all(match(/\w/))
    live =
      page.driver.browser.page.command("Accessibility.getFullAXTree")["nodes"].select do |node|
        node["properties"].to_a.any? { |each| each["name"] == "live" && each.dig("value", "value") == "polite" }
      end
    expect(live).not_to be_empty
  end
end
