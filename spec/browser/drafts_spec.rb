# frozen_string_literal: true

require "browser_helper"
require "support/slow_server"

# A builder who is called away: whatever is half written, and however it is left, is found again.
RSpec.describe "Half-written rules, fields, tables and forms" do
  random = Random.new(RSpec.configuration.seed)
  written = "input:not([type]), input[type=text], textarea, [contenteditable=true]"

  # Everything that stands in what can be typed in, as one text.
  def standing(place) =
    page.evaluate_script(
      "[...document.querySelectorAll(#{place.to_json} + ' input, ' + #{place.to_json} + ' " \
        "textarea')].map((each) => each.value).join(' ') + ' ' + " \
        "[...document.querySelectorAll(#{place.to_json} + ' [contenteditable=true]')].map((each) " \
        "=> each.textContent).join(' ')"
    )

  def holds?(place, mark)
    page
      .document
      .synchronize(15) do
        raise Capybara::ExpectationNotMet, "#{mark} is not in #{place}" unless standing(place).include?(mark)
      end
  end

  # How somebody may be led away from a panel.
  ways = {
    "Esc twice" => -> { 2.times { press :Escape } },
    "the close button" => -> { find("aside button[aria-label='Close']", match: :first).click },
    "another tack" => -> { all("[data-rule]").to_a.sample(random: random).click },
    "a link at the top" => -> { click_link "Records", match: :first },
    "the way back" => -> { page.go_back },
    "a reload" => -> { page.refresh },
    "another address" => -> { visit "/" }
  }

  it "are found again on their places after any way of leaving them" do
    places =
      workspace
        .table("pieces")
        .rules
        .reject { |rule| rule.kind == "mask" }
        .sample(3, random: random)
        .map { |rule| "?rule=#{rule.id}" }
    places += workspace.table("pieces").fields.sample(1, random: random).map { |field| "?field=#{field.key}" }
    places += ["?field=piece&stage=validate", "?settings=yes"]
    left = places.each_with_index.map do |address, number|
      visit "/t/pieces/records"
      visit "/t/pieces/rules#{address}"
      expect(page).to have_css("aside [data-faults]")
      page.execute_script("document.querySelectorAll('aside details').forEach((each) => { each.open = true })")
      mark = "half#{number}"
      find("aside [data-faults]").all(written).to_a.sample(random: random).click
      press :End, *mark.chars
      holds?("aside", mark)
      way = ways.keys[number % ways.length]
      instance_exec(&ways[way])
      [address, mark, way]
    end
    left.each do |address, mark, way|
      visit "/t/pieces/rules#{address}"
      expect(page).to have_css("aside", text: "Draft"), "#{address} after #{way}"
      holds?("aside", mark)
    end
    visit "/t/pieces/rules"
    expect(page).to have_css("[data-rule], [data-stop]", text: "draft", minimum: 5)
    expect(accessibility_problems).to eq([])
  end

  it "include a form that is laid out, a new field's name, and what was written for another kind" do
    visit "/t/pieces/forms/design/new"
    fill_in "Name", with: "Night shift"
    click_link "Rules", match: :first
    fill_in "Add a field", with: "Kiln log"
    page.refresh
    expect(page).to have_field("Add a field", with: "Kiln log")
    page.go_back
    expect(page).to have_field("Name", with: "Night shift")
    visit "/t/pieces/rules?field=piece&stage=validate"
    write_formula "len(piece) < 40"
    choose "Unique"
    expect(page).to have_no_css("aside [contenteditable=true]", text: "len")
    choose "Custom check"
    holds?("aside", "len(Piece) < 40")
  end

  it "say at their button why they can't be saved, and lead to the place" do
    visit "/t/pieces/rules?field=stage"
    expect(page).to have_css("aside [data-faults]")
    page.execute_script("document.querySelector('aside [data-faults]').scrollTo(0, 9999)")
    fill_in "Name", with: "Piece"
    press [:control, :Enter]
    expect(page).to have_css("aside > div[role=alert]").and have_button("Show it")
    expect(page.evaluate_script("document.activeElement.closest('[data-part]').dataset.part")).to eq("label")
    click_button "Delete draft"
    expect(page).to have_no_css("aside")
  end

  it "takes what is typed while something is still being saved" do
    visit "/t/pieces/rules"
    find_field("Add a field").native.node.focus
    SlowServer.delay = 0.6
    press(*"Shelf mark".chars, :Enter, *"Kiln log".chars, :Enter, *"Third".chars)
    expect(page).to have_button("Shelf mark text").and have_button("Kiln log text")
    expect(page).to have_field("Add a field", with: "Third")
    SlowServer.reset

    rules = workspace.table("pieces").rules.map(&:id)
    visit "/t/pieces/rules?field=clay_weight&stage=validate"
    find("input[aria-label='Custom check']").click
    write_formula "clay_weight < 9000"
    SlowServer.delay = 0.6
    press [:control, :Enter]
    press(*" or maker = 2".chars)
    pinned = page.document.synchronize do
      found = workspace.table("pieces").rules.reject { |rule| rules.include?(rule.id) }
      found.any? ? found : raise(Capybara::ExpectationNotMet)
    end
    expect(pinned.map { |rule| rule.attributes["formula"] }).to eq(["clay_weight < 9000"])
    holds?("aside", "< 9000 or Maker = 2")
    expect(page).to have_current_path(/rule=#{pinned.first.id}/, url: true).and have_button("Save rule")
  ensure
    SlowServer.reset
  end
end
