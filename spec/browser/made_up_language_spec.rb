# frozen_string_literal: true

require "browser_helper"
require "support/foreign_walk"

# Every screen in the made-up language: no word is hard-wired, and no label is cut off.
RSpec.describe "The made-up language" do
  include ForeignWalk

  around do |example|
    UpTack::Core::Messages.language = UpTack::Core::MadeUpLanguage::TAG
    example.run
  ensure
    UpTack::Core::Messages.language = "en"
  end

  def said(label) = UpTack::Core::MadeUpLanguage.text(label)

  # Rules of the kinds that the demo has, opened beside the board.
  def rules
    all = workspace.project.tables.flat_map { |table| table.rules.map { |rule| [table.key, rule] } }
    Thorough.some(all.uniq { |_, rule| rule.kind }, 12).map { |table, rule| "/t/#{table}/rules?rule=#{rule.id}" }
  end

  def screens
    views = %w[
      rules rules?field=maker rules?field=received rules?field=firing rules?settings=yes forms forms/3 records bench
      history history?of=design history?of=everything map tidy import
    ]
    design = "/t/pieces/forms/design/#{workspace.table("pieces").forms.first.id}"
    [
      *rules, *views.map { |view| "/t/pieces/#{view}" }, "/t/orders/forms/12", design, "/", "/people", "/backups",
      "/outbox", "/api", "/language", "/sheet", "/import", "/guide", "/nowhere"
    ]
  end

  # What opens on a screen: the buttons that open it, or the keys.
  opened = {
    "/t/pieces/rules" => [["Legend"]],
    "/t/pieces/records" => [["Filter"], ["Export"], ["Columns"]],
    "/t/pieces/bench" => [["Suggest edge cases"], ["Sample records"], ["Save as proof"]],
    "/" => [["Project file"], ["You"], [[:control, "k"]], ["?"]],
    "/people" => [["Add a person"]]
  }.freeze

  def open_all(steps)
    steps.each do |step|
      next press(step) unless step.is_a?(String) && step.length > 1

      find(:button, said(step), match: :first).click
    end
    page.driver.wait_for_network_idle
  end

  # @return [Array<String>] what is wrong with the page as it stands, in both widths
  def faults
    plain = hard_wired(@known, @logged).map { |text| "plain: #{text.inspect}" }
    cut =
      [1280, 400].flat_map do |width|
        page.driver.resize(width, 800)
        cut_labels.map { |text| "cut off at #{width}: #{text.inspect}" }
      end
    page.driver.resize(1280, 800)
    plain + cut
  end

  def go_to(path)
    visit path
    expect(page).to have_css("h1, aside h2")
    expect(page).to have_no_css("[role=status]", text: /#{said("Loading")}/)
    page.driver.wait_for_network_idle
  end

  before do
    @logged = workspace.project.tables.flat_map { |table| [table.label, *table.fields.map(&:label)] }
    disguise
    @known = vocabulary
  end

  it "is all that stands on every screen, and fits" do
    found = {}
    note = ->(place) { faults.each { |fault| (found[fault] ||= []) << place } }
    screens.each do |path|
      go_to(path)
      note.call(path)
    end
    opened.each do |path, ways|
      ways.each do |steps|
        go_to(path)
        open_all(steps)
        note.call("#{path}, #{steps.inspect}")
      end
    end
    enter_as("Bram Tolley")
    ["/", "/t/pieces/forms"].each do |path|
      go_to(path)
      note.call("#{path}, as a clerk")
    end
    Capybara.reset_sessions!
    go_to("/")
    note.call("sign-in")
    report = found.map { |fault, places| "#{fault} (#{places.first}, #{places.length} in all)" }
    expect(report).to be_empty, report.join("\n")
  end

  it "notices a word in plain letters, and a label that is cut off" do
    go_to("/people")
    execute_script(<<~JS)
      document.querySelector("h1").insertAdjacentHTML("afterend", "<p>Sieve the glaze</p>" +
        "<button style='width: 4rem; overflow: hidden; white-space: nowrap'>ÁÉÍÓÚ ÁÉÍÓÚ ÁÉÍÓÚ</button>");
    JS
    expect(faults.join).to include("Sieve the glaze").and include("cut off at 1280: \"ÁÉÍÓÚ")
  end
end
