# frozen_string_literal: true

require "rspec"
require "browser_helper"

# Takes pictures of the demo, each from a page of its own.
class Camera
  include Capybara::DSL
  include BrowserHelp
  include StoreHelp

  FOLDER = File.expand_path("../../docs", __dir__)

  # @param only [Array<String>] names of pictures or their folders, all where there are none
  def initialize(only)
    @only = only
  end

  # @param file [String] beneath docs
  # @param crop [String, nil] CSS selector of what is shown, the whole page without it
  # @param as [String] who is signed in
  # @param idle [Boolean] whether everything that was asked is answered by then
  # @yield the page has what is to be seen once the block ends
  def picture(file, path, width: 1280, height: 800, crop: nil, as: "Odile Marsh", idle: true)
    return if @only.any? && @only.none? { |name| File.basename(file, ".*") == name || file.start_with?(name) }

    enter_as(as) if as
    page.driver.resize(width, height)
    visit path
    yield if block_given?
    page.has_no_css?("[role=status]", text: "Loading …")
    page.driver.wait_for_network_idle if idle
    shot = {selector: crop}.compact
    shot = shot.merge(format: "webp", quality: 80) if file.end_with?(".webp")
    page.save_screenshot(File.join(FOLDER, file), **shot) # rubocop:disable Lint/Debugger
    page.execute_script("localStorage.clear()")
    puts "docs/#{file}"
  end

  def open_demo
    StoreHelp.open_copy
    UpTack::Proving.wake
    UpTack::Proving.join
  end

  private

  def write_mask
    fill_in "Type a correct example", with: "KD-017"
    find("input[name='mask-reading']", match: :first).click
    find_field("Try the mask").native.node.focus
    press(*"kd01".chars)
    page.has_text?("one more digit is missing")
  end

  def type_maker
    find_field("Maker").native.node.focus
    press(*"ansa".chars)
    page.has_css?("li[role=option]")
  end

  # In the designer: what is chosen shows its settings, and the preview beside it is alive.
  def pick_place
    find("[data-handle]", match: :first).click
    page.has_css?("section[aria-label='Preview'] #input-live-received_by")
  end

  def select_three
    find("[role=row][data-index='5'] input[type=checkbox]").click
    find("[role=row][data-index='7'] input[type=checkbox]").click(:shift)
    page.has_text?("3 selected")
  end

  def choose_broken_proof
    page.has_no_css?("[data-proof] [aria-label='queued']")
    find("[data-proof]", text: "Absorption exactly on the limit").click
    page.has_text?("but Verdict is blank")
  end

  # The tables of another program's database.
  def look_at_tables
    find("input[type=file]", visible: :all)
      .attach_file(UpTack::Installation.path("demo", "imports", "kiln_club.sql"))
    click_button(text: "Courses")
    page.has_text?("Ends on must be on or after Starts on.")
  end

  # A file tried on the rules.
  def preview_import
    find("input[type=file]", visible: :all)
      .attach_file(UpTack::Installation.path("demo", "imports", "pieces_to_fix.csv"))
    page.has_text?("Column in the file")
    click_button "Preview"
    page.has_text?("nothing saved yet")
    page.execute_script("document.querySelector('[aria-live] [role=status]').scrollIntoView({block: 'start'})")
  end
end
