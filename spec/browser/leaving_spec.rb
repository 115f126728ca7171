# frozen_string_literal: true

require "browser_helper"
require "support/typist"

# Whoever saves and goes elsewhere at once meant it.
RSpec.describe "A save whose page goes right after it" do
  after { SlowServer.reset }

  def write?(env) = env["REQUEST_METHOD"] != "GET" && env["PATH_INFO"].match?(%r{/records(/\d+)?\z})

  def eventually(&condition)
    page.document.synchronize(20) { condition.call || raise(Capybara::ExpectationNotMet, "it did not come") }
  end

  # Types into the record's note and saves in the same breath, and has another page in place of the form.
  def typed_saved_and_gone(path, text)
    visit path
    expect(page).to have_field("Received by", with: /\w/)
    find_field("Maker note").native.node.focus
    Typist.new(page.driver.browser.page, words: nil).press(text, [:control, "s"])
    visit "/t/members/records"
  end

  # What becomes of the line: each answer late, the first writes lost before or after the server has done its work.
  troubles = {
    "whose last answer is late" => -> { SlowServer.delay = 0.4 },
    "that gets lost" => lambda do
      lost = 0
      SlowServer.trouble = ->(env) { :unsent if write?(env) && (lost += 1) <= 2 }
    end,
    "whose answer gets lost" => lambda do
      lost = 0
      SlowServer.trouble = ->(env) { :unanswered if write?(env) && (lost += 1) <= 2 }
    end
  }
  troubles.each do |name, trouble|
    it "is done once, #{name}" do
      before = UpTack::Store::ChangeLog.latest
      instance_exec(&trouble)
      typed_saved_and_gone("/t/pieces/forms/3?form=all", "Gone, once.")
      eventually { pieces.find(3)["maker_note"].end_with?("Gone, once.") }
      typed_saved_and_gone("/t/pieces/forms/4?form=all", "Gone, twice.")
      eventually { pieces.find(4)["maker_note"].to_s.end_with?("Gone, twice.") }
      SlowServer.reset
      visit "/t/pieces/forms/4?form=all"
      expect(page).to have_field("Maker note", with: /Gone, twice\.\z/)
      expect(page).to have_no_text("Your unsaved entries were restored.")
      told = UpTack::Store::Entry.where("id > ?",
        before).where(table_id: workspace.table("pieces").id).pluck(:record_id)
      expect(told).to eq([3, 4])
    end
  end

  it "is told on the next page where it was refused, and what was typed waits in its form" do
    SlowServer.delay = 0.4
    typed_saved_and_gone("/t/pieces/forms?form=all", "No piece, no maker.")
    SlowServer.reset
    expect(page).to have_text("The record you left was not saved.")
    click_button "Open it"
    expect(page).to have_field("Maker note", with: "No piece, no maker.")
    expect(page).to have_text("Your unsaved entries were restored.")
    expect(pieces.count).to eq(28)
  end
end
