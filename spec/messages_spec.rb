# frozen_string_literal: true

require "core_helper"
require_relative "support/messages_in_code"

# The catalogue of what people are told, and the code that asks for it, held against each other.
RSpec.describe "The catalogue of messages" do
  root = File.expand_path("..", __dir__)
  code = MessagesInCode.new(root)
  catalogue = MessagesInCode.catalogue(root)
  gaps = ->(text) { [text].flatten.flat_map { |each| each.scan(/%\{(\w+)\}/).flatten }.uniq }
  texts = ->(entry) { entry.is_a?(Hash) ? entry.values : entry }

  it "has every message that the code asks for, with a value for each gap" do
    wrong =
      code.uses.flat_map do |use|
        next "#{use.place} names no key" if use.keys.empty?

        use.keys.filter_map do |key|
          entry = catalogue[key] or next "#{use.place}: there is no message #{key}"
          missing = gaps.call(texts.call(entry)) - use.values
          missing |= ["count"] if entry.is_a?(Hash) && !use.values.include?("count")
          "#{use.place}: #{key} lacks #{missing.join(", ")}" if missing.any?
        end
      end
    expect(wrong).to be_empty, wrong.join("\n")
  end

  it "has no message that nothing asks for, and one form for one, one for others" do
    expect(catalogue.keys - code.uses.flat_map(&:keys)).to eq([])
    expect(catalogue.select { |_, entry| entry.is_a?(Hash) && entry.keys.sort != %w[one other] }).to eq({})
    named = catalogue.values.flat_map { |entry| gaps.call(texts.call(entry)) }
    expect(named & I18n::RESERVED_KEYS.map(&:to_s)).to eq([])
  end

  it "holds every whole sentence: none is written where it is told" do
    expect(code.sentences).to be_empty, code.sentences.join("\n")
  end

  it "can be read in a made-up language, gaps and keys as they are, one and others apart" do
    messages = UpTack::Core::Messages
    messages.language = UpTack::Core::MadeUpLanguage::TAG
    expect(messages["rules.required.must_be_filled", field: "Name", while_words: ""]).to eq("Name ííš řééɋúúíířééď.")
    expect([1, 2].map { |count| messages["common.rows", count: count] }).to eq(["1 řóóŵ", "2 řóóŵš"])
    # The interface does the same: ui/test/words.test.ts has this very sample.
    expect(UpTack::Core::MadeUpLanguage.text("%{field} must be at least %{limit}, Not Quite 7.")).to eq(
      "%{field} ɱúúšť ƀéé ááť łééáášť %{limit}, Ñóóť Ɋúúííťéé 7."
    )
    expect(messages["common.there_are_roles", roles: "clerk"]).to end_with(": clerk.")
  ensure
    messages.language = "en"
  end

  it "counts: one is told in the singular, any other number in the plural" do
    told = ->(count) { UpTack::Core::Messages["common.rows", count: count] }
    expect([0, 1, 2].map(&told)).to eq(["0 rows", "1 row", "2 rows"])
    expect { UpTack::Core::Messages["common.nothing"] }.to raise_error(I18n::MissingTranslationData)
    expect { UpTack::Core::Messages["common.is_no_link"] }.to raise_error(I18n::MissingInterpolationArgument)
  end
end

# The compiler holds the interface's code to its catalogue; only what nothing asks for escapes it.
RSpec.describe "The interface's catalogue of messages" do
  root = File.expand_path("..", __dir__)
  catalogue = UpTack::Core::Messages.flattened(Dir["#{root}/ui/messages/en/*.yml"].sort, "interface")

  it "has no message that nothing asks for" do
    code = Dir["#{root}/ui/src/**/*.{ts,tsx}"].grep_v(/generated/).map { |file| File.read(file) }.join
    whole = code.scan(/["`]([a-zA-Z]+(?:\.\w+)*)["`]/).flatten
    begun = code.scan(/`([a-zA-Z]+(?:\.\w+)*\.)\$\{/).flatten + code.scan(/group\("([\w.]+)"\)/).map { |(of)| "#{of}." }
    expect(catalogue.keys.reject { |key| whole.include?(key) || key.start_with?(*begun) }).to eq([])
  end

  it "has a form for one wherever it counts" do
    counting = catalogue.select { |_, text| text.is_a?(Hash) || text.include?("%{count") }
    expect(counting.reject { |_, text| text.is_a?(Hash) && text.key?("other") }.keys).to eq([])
  end
end
