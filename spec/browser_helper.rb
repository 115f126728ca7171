# frozen_string_literal: true

require "capybara/rspec"
require "capybara/cuprite"
require "web_helper"
require "support/slow_server"

FLAGS =
  %w[
    no-sandbox
    disable-gpu
    disable-quic
    disable-background-networking
    disable-component-update
    disable-sync
    no-first-run
  ].to_h { |flag| [flag, nil] }
# A telephone: a finger in the place of a mouse (Blink's settings of the primary pointer), and a narrow page.
FINGER = {
  "blink-settings" => "primaryPointerType=2,availablePointerTypes=2,primaryHoverType=1,availableHoverTypes=1"
}.freeze
{chromium: [{}, [1280, 800]], telephone: [FINGER, [400, 800]]}.each do |name, (more, size)|
  Capybara.register_driver(name) do |app|
    Capybara::Cuprite::Driver.new(
      app,
      browser_path: "/usr/bin/chromium-headless-shell",
      window_size: size,
      process_timeout: 30,
      timeout: 20,
      js_errors: true,
      browser_options: FLAGS.merge(more)
    )
  end
end
Capybara.app = SlowServer.new(UpTack::Web::Application)
Capybara.server = :puma, {Silent: true, Threads: "1:4"}
Capybara.default_driver = :chromium
# Long enough for a busy machine; nothing waits longer than it must.
Capybara.default_max_wait_time = 20
Capybara.enable_aria_label = true

# Short ways to the interface for its specs.
module BrowserHelp
  # Signs somebody in without going through the page for it.
  def enter_as(name)
    _session, token = UpTack::Store::Session.begin(person(name))
    value = Rack::Utils.escape(UpTack::Web::Guard::Cookies.seal(token))
    page.driver.set_cookie(
      UpTack::Web::Guard::Cookies::NAME,
      value,
      domain: "127.0.0.1",
      path: "/",
      httpOnly: true,
      sameSite: "Strict"
    )
  end

  # Types into a field of a form as a person would, and leaves it with Tab.
  def type_into(label, text)
    input = find_field(label)
    input.native.node.focus
    press [:control, "a"]
    press(*text.chars.map { |sign| (sign == "\n") ? :Enter : sign }) unless text.empty?
    press :Backspace if text.empty?
    press :Tab
  end

  def press(*keys) = page.driver.browser.keyboard.type(*keys)

  # The box around a form's field: its input, and what stands below.
  def box(label) = find("label", exact_text: label).ancestor("[data-field-box]")

  # An empty place on a thread: it shows itself to whoever points at it.
  def open_place(name)
    place = find(:button, name, visible: :all)
    place.hover
    place.click
  end

  # @return [String, nil] accessible name or text of what has the focus
  def focused = evaluate_script("(document.activeElement.getAttribute('aria-label') || document.activeElement.id || " \
    "document.activeElement.textContent)")

  # axe-core's findings on the page as it stands, in words.
  # Pastes as the browser does, into what has the focus, without a clipboard that other programs share.
  def paste(text)
    page.execute_script(<<~JS, text)
      const clipboardData = new DataTransfer();
      clipboardData.setData("text/plain", arguments[0]);
      const pasted = new ClipboardEvent("paste", {clipboardData, bubbles: true, cancelable: true});
      document.activeElement.dispatchEvent(pasted);
    JS
  end

  def accessibility_problems
    page.execute_script(File.read(UpTack::Installation.path("ui", "node_modules", "axe-core", "axe.min.js")))
    page.execute_script("const still = new CSSStyleSheet(); still.replaceSync('* { transition: none !important " \
      "}'); document.adoptedStyleSheets = [still]")
    page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      // Rows of a grid are alike, and there are hundreds of cells: the first ones tell of all.
      const looked = {exclude: [["[role=row]:nth-child(n+4)"]]};
      const shown = (nodes) => nodes.slice(0, 2).map((node) => node.html.slice(0, 160)).join(" | ");
      axe.run(looked, {resultTypes: ["violations"], rules: {region: {enabled: false}}}).then((found) =>
        done(found.violations.map((each) => each.id + ": " + shown(each.nodes))));
    JS
  end

  # What stood on the screen when an example failed: a picture, and in words what was said, what had
  # the focus, and which answers were no good or have not come.
  def dump_failure(example)
    picture = UpTack::Installation.path("tmp", "failed_#{example.metadata[:line_number]}.png")
    page.save_screenshot(picture) # rubocop:disable Lint/Debugger -- to be looked at afterwards
    told = "[role=alert], [role=status], [role=dialog], section.fixed, [data-sonner-toast]"
    said = all(told, wait: 0).map(&:text).reject(&:empty?)
    sent =
      page
        .driver
        .network_traffic
        .reject { |each| each.response&.status.to_i.between?(200, 399) }
        .map { |each| "#{each.request.method} #{each.url} #{each.response&.status || "unanswered"}" }
    filled =
      all("input, select, textarea", wait: 0).filter_map do |each|
        [each[:id] || each["aria-label"], each.value] unless each.value.to_s.empty?
      end
    warn "\n#{example.full_description}\n  at #{page.current_url}, focus on #{focused.inspect}\n  " \
      "said: #{said.inspect}\n  filled: #{filled.first(40).inspect}\n  not answered " \
      "well: #{sent.last(8).inspect}\n  work going on: #{UpTack::Jobs.going}, last sent: #{last_writes.inspect}"
  rescue => error
    warn "no traces of #{example.full_description}: #{error.message}"
  end

  # What was asked for with a write, lately, and what was answered.
  def last_writes =
    page
      .driver
      .network_traffic
      .reject { |each| each.request.method == "GET" }
      .last(4)
      .map { |each| "#{each.request.method} #{URI(each.request.url).path} #{each.response&.status}" }

  # Looked at and closed at once: an Escape that comes after they are gone closes the panel.
  def close_suggestions = execute_script(<<~JS)
    if (document.querySelector(".cm-tooltip-autocomplete")) {
      const escape = new KeyboardEvent("keydown", { key: "Escape", bubbles: true, cancelable: true });
      // The one that is typed into: anywhere else, Escape closes the panel.
      (document.activeElement.closest(".cm-content") || document.querySelector(".cm-content")).dispatchEvent(escape);
    }
  JS

  def write_formula(text)
    find(".cm-content").native.node.focus
    press [:control, "a"]
    press(*text.chars)
    close_suggestions
  end
end

RSpec.configure do |config|
  config.define_derived_metadata(file_path: %r{/spec/browser/}) { |metadata| metadata[:browser] = true }
  config.include Capybara::DSL, :browser
  config.include Capybara::RSpecMatchers, :browser
  config.include BrowserHelp, :browser
  config.before(:each, :browser) { |example| enter_as("Odile Marsh") unless example.metadata[:signed_out] }
  config.after(:each, :browser) do |example|
    dump_failure(example) if example.exception
    page.execute_script("localStorage.clear()") if page.current_url.start_with?("http")
    Capybara.reset_sessions!
    # Only now, so that what failed by another one can be looked at.
    Capybara.use_default_driver
  end
end
