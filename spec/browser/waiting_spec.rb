# frozen_string_literal: true

require "browser_helper"

# Somebody else has the one lock for writing for longer than a second.
RSpec.describe "Whoever has to wait" do
  it "is told for what, how far it is and that nothing is lost" do
    visit "/t/pieces/forms/3?form=all"
    find_field("Maker note").click
    press(*"Seen.".chars)
    gate = Queue.new
    job =
      UpTack::Jobs.start(words: "Bram Tolley is changing the design") do |progress|
        progress.begin("Pieces", "Loss %", 100)
        progress.advance(34)
        UpTack::Store::Database.write { gate.pop }
      end
    press [:control, "s"]
    expect(page).to have_css("[role=status]", text: "Waiting: Bram Tolley is changing the design").and have_text(
      "34 % done"
    )
    press(*" More.".chars)
    gate << true
    job.wait(10)
    expect(page).to have_text("Saved: PC-00003").and have_no_text("Waiting:")
    press [:control, "s"]
    expect(page).to have_no_text("Saving …")
    expect(pieces.find(3)["maker_note"]).to end_with("Seen. More.")
  end
end
