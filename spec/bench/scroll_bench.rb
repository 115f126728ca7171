# frozen_string_literal: true

# How long the grid shows rows without their records while somebody scrolls through a
# million of them, in a browser: with the wheel, by keys, by jumps and dragging the bar.

require "browser_helper"
require_relative "support/studio"
require_relative "support/million"

COUNT = Integer(ENV.fetch("RECORDS", "1000000"))

# Frame by frame: `work` scrolls, and the longest time is told in which a row in sight lacked its record.
MEASURE = <<~JS
  window.blank = () => {
    const grid = document.querySelector("[role=grid]");
    const sight = grid.getBoundingClientRect();
    const rows = [...grid.querySelectorAll("[role=row][data-index]")].filter((row) => {
      const box = row.getBoundingClientRect();
      return box.bottom > sight.top + 40 && box.top < sight.bottom - 40;
    });
    return rows.length < 10 || rows.some((row) => row.querySelector("a") === null);
  };
  window.measure = (work, frames) => new Promise((done) => {
    const grid = document.querySelector("[role=grid]");
    const began = performance.now();
    let [longest, since, frame, last, slowest] = [0, null, 0, began, 0];
    const tick = () => {
      const now = performance.now();
      slowest = Math.max(slowest, now - last);
      last = now;
      since = blank() ? (since ?? now) : null;
      if (since !== null) longest = Math.max(longest, now - since);
      if (frame < frames) work(grid, frame);
      frame += 1;
      if (frame < frames || (since !== null && now - began < 30000)) requestAnimationFrame(tick);
      else done([longest, slowest]);
    };
    requestAnimationFrame(tick);
  });
JS

# How far each way of scrolling goes in a frame.
WAYS = {
  "by the wheel" => "grid.scrollTop += 100",
  "by the wheel, fast" => "grid.scrollTop += 600",
  "by page down" => "if (frame % 4 === 0) grid.scrollTop += 640",
  "by jumps" => "if (frame % 60 === 0) grid.scrollTop = (frame * 31685519) % (grid.scrollHeight - 1000)",
  "dragging the bar" => "grid.scrollTop += grid.scrollHeight / 800"
}.freeze

# Scrolls, and tells what it saw.
class Scroller
  include Capybara::DSL
  include BrowserHelp

  def person(name) = UpTack::Store::Person.find_by!(name: name)

  def run
    visit "/"
    enter_as("Odile Marsh")
    ["", "?sort=piece"].each { |view| measure(view) }
  end

  def measure(view)
    visit "/t/pieces/records#{view}"
    page.has_css?("[role=row][data-index] a") || abort("no rows")
    execute_script(MEASURE)
    WAYS.each do |name, work|
      longest, slowest = evaluate_async_script("measure((grid, frame) => { #{work} }, 120).then(arguments[0])")
      puts format(
        "%-20s %-12s longest blank %4.0f ms (asked: 100), slowest frame %4.0f ms",
        name,
        view.empty? ? "by number" : "sorted",
        longest,
        slowest
      )
    end
  end
end

Dir.mktmpdir do |folder|
  open_studio(folder, "scroll.sqlite3")
  fill_pieces(COUNT)
  Scroller.new.run
end
