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
  # @yield the page has what is to be seen once the block ends
  def picture(file, path, width: 1280, height: 800, crop: nil, as: "Odile Marsh")
    return if @only.any? && @only.none? { |name| File.basename(file, ".*") == name || file.start_with?(name) }

    enter_as(as) if as
    page.driver.resize(width, height)
    visit path
    yield if block_given?
    page.has_no_css?("[role=status]", text: "Loading …")
    page.driver.wait_for_network_idle
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
end
