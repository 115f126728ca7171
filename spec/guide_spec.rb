# frozen_string_literal: true

require "core_helper"
require_relative "support/words_on_screen"

# The guide says what is on screen, in the words that are on screen.
RSpec.describe "The guide" do
  root = File.expand_path("..", __dir__)
  pages = Dir["#{root}/docs/guide/*.md"].sort.to_h { |file| [File.basename(file), File.read(file)] }
  sources = WordsOnScreen.sources(root).except("the demo", "the documents", "the API's document", "what rules say")
  labels = sources.values.flatten(1).map(&:last)
  shown = labels + UpTack::Core::Stages::ALL.map(&:label) + UpTack::Core::Values.all.values.map(&:label)
  # A gap, or a number, may stand for anything; what is nothing but gaps would match all.
  wordy = shown.uniq.select { |text| text.gsub(/%\{[^}]*\}/, "").match?(/\p{L}{3}/) }
  known = wordy.map { |text| /\A#{Regexp.escape(text).gsub(/%\\\{\w+(?:,\\ \w+)?\\\}/, ".+")}\.?\z/ }

  it "has links that lead to pages, and an index with every page" do
    pages.each do |name, text|
      linked = text.scan(/\]\((?!https?:)([^)#]+)/).flatten
      missing = linked.reject { |path| File.exist?(File.expand_path(path, "#{root}/docs/guide")) }
      expect([name, missing]).to eq([name, []])
    end
    expect(pages.keys - ["README.md"] - pages["README.md"].scan(/\(([\w-]+\.md)\)/).flatten).to eq([])
  end

  it "has a picture on every page, and a page for every kind of rule and every question mark" do
    bare = pages.reject { |name, text| name == "README.md" || text.match?(/!\[.{10,}\]\(pictures\//) }
    expect(bare.keys).to eq([])
    mark = /(?:<HelpLink page|guide)="([^"]+)"/
    asked = Dir["#{root}/ui/src/**/*.tsx"].flat_map { |file| File.read(file).scan(mark) }
    wanted = asked.flatten + UpTack::Core::Rules.all.values.map(&:guide)
    expect(wanted.length).to be > 30
    expect(wanted.uniq - pages.keys.map { |name| File.basename(name, ".md") }).to eq([])
  end

  it "names buttons, fields and choices as they are on screen" do
    wrong =
      pages.flat_map do |name, text|
        named = text.gsub(/`[^`]*`|\*\*[^*]+\*\*/, "").tr("\n", " ").scan(/(?<!\*)\*([^*]+)\*(?!\*)/).flatten
        named.map { |label| label.squeeze(" ") }.reject { |label| known.any? { |pattern| label.match?(pattern) } }
          .map { |label| "#{name}: #{label}" }
      end
    expect(wrong).to be_empty, wrong.join("\n")
    expect(known.any? { |pattern| "Bring it in".match?(pattern) }).to be(false)
  end
end
