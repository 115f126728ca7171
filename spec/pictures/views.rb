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
      type_maker
    end
    picture("screenshots/mask.png", "/t/pieces/rules?field=received_by&stage=mask") { write_mask }
    picture("screenshots/decision.png", "/t/pieces/rules") do
      find("[data-rule]", text: "Firing programme", match: :first).click
      find("input[aria-label='Row 3, Firing']").set("Raku")
      page.has_text?("Gaps: no row for")
    end
    picture("screenshots/designer.png", "/t/pieces/forms/design/#{workspace.table("pieces").forms.first.id}") do
      pick_place
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
      select_three
    end
    picture("screenshots/import.png", "/t/pieces/import") { preview_import }
    picture("screenshots/bench.png", "/t/pieces/bench") do
      choose_broken_proof
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
end
