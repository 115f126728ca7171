# frozen_string_literal: true

require "core_helper"
require_relative "support/words_on_screen"

# One word for one thing: what was given up must not come back, in whichever file it is written.
RSpec.describe "The words on screen" do
  WordsOnScreen.sources(File.expand_path("..", __dir__)).each do |source, texts|
    it "are those that the glossary knows, in #{source}" do
      found =
        texts.flat_map do |place, text|
          WordsOnScreen.given_up(text).map do |word, instead|
            "#{place}: “#{word}” in “#{text[0, 120]}”; say #{instead}"
          end
        end
      expect(found).to be_empty, found.join("\n")
    end
  end

  it "would be noticed: each word that was given up is found in a sentence with it" do
    {
      "7 to mend" => "fix", "Take this rule off" => "delete or remove", "Take it all back" => "undo or restore",
      "2 put aside" => "ignore or close", "Bring records in" => "import", "Pick a day" => "choose or select",
      "It is worked out" => "calculate", "The log holds." => "is true, is intact or contains",
      "let old records be" => "existing records", "3 cells passed over" => "skipped or ignored",
      "1 comes to blank" => "is blank", "Made on" => "create", "Begin with" => "start", "must be filled" => "required",
      "on every way in" => "form, grid, import or API", "Day and hour" => "date and time", "Record No. 7" => "#"
    }.each { |text, instead| expect(WordsOnScreen.given_up(text).map(&:last)).to include(instead), text }
    expect(WordsOnScreen.given_up("Try again in a moment. The clocks go back. 3 records selected.")).to eq([])
  end
end
