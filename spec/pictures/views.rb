# frozen_string_literal: true

require_relative "camera"

# A picture of each view, for the README.
class Views < Camera
  def run
    open_demo
    picture("screenshots/tables.png", "/") { page.has_css?("h2", text: "Pieces") }
    UpTack::Store::Event.add("signed_in", {"device" => "Firefox on Linux"}, person: person("Bram Tolley"))
    UpTack::Store::Session.begin(person("Bram Tolley"), device: "Firefox on Linux")
    picture("screenshots/people.png", "/people") { page.has_text?("Firefox on Linux") }
    picture("screenshots/board.png", "/t/pieces/rules") { page.has_css?("[data-rule] [aria-label=broken]") }
    picture("screenshots/rule.png", "/t/pieces/rules") do
      click_button "Weight lost % =", match: :first
      write_formula "round(wet_weight / (wet_weight - fired_weight), 1)"
      page.has_text?("14 of 28 records would change")
    end
    picture("screenshots/link.png", "/t/pieces/forms?form=all") do
      page.has_field?("Received by", with: "Odile Marsh")
      find_field("Maker").native.node.focus
      press(*"ansa".chars)
      page.has_css?("li[role=option]")
    end
    picture("screenshots/mask.png", "/t/pieces/rules?field=received_by&stage=mask") do
      fill_in "Type a correct example", with: "KD-017"
      find("input[name='mask-reading']", match: :first).click
      find_field("Try the mask").native.node.focus
      press(*"kd01".chars)
      page.has_text?("one more digit is missing")
    end
    picture("screenshots/decision.png", "/t/pieces/rules") do
      find("[data-rule]", text: "Firing programme", match: :first).click
      find("input[aria-label='Row 3, Firing']").set("Raku")
      page.has_text?("Gaps: no row for")
    end
    picture("screenshots/designer.png", "/t/pieces/forms/design/#{workspace.table("pieces").forms.first.id}") do
      find("[data-handle]", match: :first).click
      page.has_css?("section[aria-label='Preview'] #input-live-received_by")
    end
    picture("screenshots/lines.png", "/t/orders/forms/12") {
      page.has_field?("Line 3, What", with: "Bisque firing, one shelf")
    }
    picture("screenshots/map.png", "/t/pieces/map?pick=pieces.verdict") {
      page.has_css?(".react-flow__node", text: "Verdict")
    }
    Capybara.reset_sessions!
    picture("screenshots/sign_in.png", "/", as: nil) { page.has_text?("Try the demo as") }
    picture("screenshots/tidy.png", "/t/members/tidy") { page.has_css?("ins") }
    picture("screenshots/form.png", "/t/pieces/forms") do
      {"Tag" => "PC-00029", "Clay weight g" => "640", "Wet weight g" => "700"}.each do |label, text|
        type_into label, text
      end
      press [:control, "s"]
      page.has_text?("Not saved")
    end
    picture("screenshots/form_narrow.png", "/t/members/forms/3", width: 400) {
      page.has_field?("Name", with: "Wilmet Farrow")
    }
    picture("screenshots/records.png", "/t/pieces/records?sort=-received,piece") do
      page.has_css?("[role=row][data-index='9']")
      select "sum", from: "Total of Clay weight g", visible: :all
      find("[role=grid]").native.node.focus
      press :Down, :Right, [:Shift, :Down], [:Shift, :Down], [:Shift, :Right]
      find("[role=row][data-index='5'] input[type=checkbox]").click
      find("[role=row][data-index='7'] input[type=checkbox]").click(:shift)
      page.has_text?("3 selected")
    end
    imports
    picture("screenshots/bench.png", "/t/pieces/bench") do
      page.has_no_css?("[data-proof] [aria-label='queued']")
      find("[data-proof]", text: "Absorption exactly on the limit").click
      page.has_text?("but Verdict is blank")
      click_button "Why is Verdict blank?"
      page.has_text?("Verdict is blank because")
      page.has_text?("small mistakes in your rules", wait: 60)
      page.execute_script("document.querySelector('[data-proof][aria-current=true]').scrollIntoView({block: " \
        "'center'}); document.querySelector(\"section[aria-label='Trial record']\").scrollTo(0, 0)")
    end
    picture("screenshots/sheet.png", "/sheet") do
      page.has_text?("5 of 5 cases covered")
      page.execute_script("[...document.querySelectorAll('dt')].find((each) => " \
        "each.textContent.startsWith('Peak')).scrollIntoView()")
    end
    picture("screenshots/history.png", "/t/pieces/history") { page.has_text?("Mon 23 Nov 2026") }
    UpTack::Store::Database.close
  end

  # A file tried on the rules.
  def imports
    picture("screenshots/import.png", "/t/pieces/import") do
      bring(File.expand_path("../../demo/imports/pieces_to_fix.csv", __dir__))
      click_button "Preview"
      page.has_text?("nothing saved yet")
      page.execute_script("document.querySelector('[aria-live] [role=status]').scrollIntoView({block: 'start'})")
    end
  end

  def bring(path)
    find("input[type=file]", visible: :all).attach_file(path)
    page.has_text?("Column in the file")
  end
end
