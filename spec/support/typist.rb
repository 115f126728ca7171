# frozen_string_literal: true

# Somebody at the keyboard: presses keys by a schedule, whatever the page is doing. Each key is sent when
# it is due and no answer is waited for, as hands do not wait.
class Typist
  # Keys that write nothing, with their codes (UI Events, KeyboardEvent.code and the older keyCode).
  NAMED = {
    tab: ["Tab", 9],
    enter: ["Enter", 13],
    backspace: ["Backspace", 8],
    escape: ["Escape", 27],
    left: ["ArrowLeft", 37],
    up: ["ArrowUp", 38],
    right: ["ArrowRight", 39],
    down: ["ArrowDown", 40],
    home: ["Home", 36],
    end: ["End", 35],
    delete: ["Delete", 46],
    f2: ["F2", 113]
  }.freeze
  # Bits of the modifiers (Chrome DevTools Protocol, Input.dispatchKeyEvent).
  MODIFIERS = {control: 2, shift: 8}.freeze
  # Characters that make a word, by which speed is told.
  WORD = 5

  # @param page [Ferrum::Page]
  # @param words [Integer, nil] a minute; nil for no pause at all
  # @param random [Random] hands are not even: pauses vary by a half
  def initialize(page, words:, random: Random.new(1))
    @client = page.client
    @pause = words ? 60.0 / (words * WORD) : 0
    @random = random
    @due = now
  end

  # @return [Numeric] keys pressed so far
  attr_reader :count

  # @param keys [Array<String, Symbol, Array>] texts, named keys, or a key with its modifiers before it
  def press(*keys)
    keys.each { |key| key.is_a?(String) ? key.each_char { |sign| stroke(sign) } : stroke(key) }
  end

  # Ends when the page has taken all that was pressed.
  def rest = @client.command("Runtime.evaluate", expression: "1")

  private

  def stroke(key)
    wait
    *modifiers, key = key
    bits = modifiers.sum { |modifier| MODIFIERS.fetch(modifier) }
    down = NAMED.key?(key) ? named(key) : written(key)
    send_event(type: down[:text] ? "keyDown" : "rawKeyDown", modifiers: bits, **down)
    send_event(type: "keyUp", modifiers: bits, **down.except(:text))
    @count = @count.to_i + 1
  end

  def send_event(**event) = @client.command("Input.dispatchKeyEvent", async: true, **event)

  def named(key)
    name, code = NAMED.fetch(key)
    {key: name, code: name, windowsVirtualKeyCode: code, text: ("\r" if key == :enter)}.compact
  end

  def written(sign)
    return named(:enter) if sign == "\n"

    # Codes of signs stand for other keys, so only letters and digits have one here.
    if sign.match?(/[a-z0-9 ]/i)
      {key: sign, text: sign, windowsVirtualKeyCode: sign.upcase.ord}
    else
      {key: sign, text: sign}
    end
  end

  # Until the next key is due; one that is late is pressed at once, and those after it keep their time.
  def wait
    return if @pause.zero?

    @due = [@due, now - 1].max + (@pause * (0.5 + @random.rand))
    left = @due - now
    IO.select(nil, nil, nil, left) if left.positive?
  end

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
end
