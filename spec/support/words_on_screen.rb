# frozen_string_literal: true

require "json"

# What people read, from wherever it is written, and the words that were given up for one of two names.
module WordsOnScreen
  GIVEN_UP = {
    /\bmend(?:s|ed|ing)?\b/i => "fix",
    /\b(?:take|takes|taken|took|taking)(?: \w+){0,3} (?:off|away|out)\b/i => "delete or remove",
    /\b(?:take|takes|taken|taking|put|puts|putting|bring|brings|brought)(?: \w+){0,3} back\b/i => "undo or restore",
    /\bput(?:s|ting)? aside\b/i => "ignore or close",
    /\b(?:bring|brings|brought|bringing)(?: \w+){0,2} in\b/i => "import",
    /\b(?:take|takes|taken)(?: \w+){0,2} over\b/i => "import, accept or carry over",
    /\b(?:un)?pick(?:s|ed|ing)?\b/i => "choose or select",
    /\b(?:work(?:s|ed|ing)? out|work(?:s|ed|ing) it out|reckon\w*)\b/i => "calculate",
    /\bholds\b|\b(?:not|must|all|any|can't) hold\b/i => "is true, is intact or contains",
    /\b(?:old records?|let be)\b/i => "existing records",
    /\bpass(?:es|ed)? over\b/i => "skipped or ignored",
    /\b(?:comes?|came) to blank\b/i => "is blank",
    /\b(?:made (?:on|by|for)|made[- ]up|make (?:a|the|it|them|new|this)|is made of)\b/i => "create",
    /\b(?:begins?|began|begun|beginning)\b/i => "start",
    /\bmust be filled\b/i => "required",
    /\bways? in\b/i => "form, grid, import or API",
    /\b(?:day and (?:hour|time)|(?<!a )(?<!the )\bmoments?)\b/i => "date and time",
    /\bNo\. ?[\d%]/ => "#",
    /\b(?:written by a rule|no rule writes|what writes)\b/i => "set by",
    /\b(?:it|rule|which) acts?\b/i => "runs",
    /\b(?:unseen|not seen|all seen|\d seen)\b/i => "covered",
    /\b(?:ready-made|reading format|head line|divided by (?:commas|semicolons|tabs))\b/i =>
      "preset, display format, header row, separated by",
    /\b(?:meanwhile|anew|all the same)\b/i => "in the meantime, again, anyway",
    /\b(?:at|by) the edges?\b/i => "edge cases"
  }.freeze

  module_function

  # @return [Array<Array(String, String)>] words of a text that were given up, each with what to say
  def given_up(text)
    words = text.gsub(/%\{\w+(?:, \w+)?\}|`[^`]*`/, "…")
    GIVEN_UP.filter_map { |pattern, instead| (word = words[pattern]) && [word, instead] }
  end

  # @return [Hash{String=>Array<Array(String, String)>}] texts with their places, by where they are written
  def sources(root)
    {
      "the interface" => catalogue(Dir["#{root}/ui/messages/en/*.yml"].sort, "interface"),
      "the messages" => catalogue(Dir["#{root}/{core,app,web}/messages/en/*.yml"].sort, "up_tack"),
      "the documents" => documents(root),
      "the API's document" => descriptions("#{root}/web/openapi.yaml"),
      "what rules say" => wordings(root),
      "what kinds, steps, types and functions say of themselves" => declared,
      "the demo" => demo(JSON.parse(File.read("#{root}/demo/kiln_share.json")))
    }
  end

  def catalogue(files, root)
    UpTack::Core::Messages.flattened(files, root).flat_map do |key, text|
      (text.is_a?(Hash) ? text.values : [text]).map { |each| [key, each] }
    end
  end

  # Lines, without what they quote from code.
  def documents(root)
    Dir["#{root}/*.md", "#{root}/docs/**/*.md"].sort.flat_map do |file|
      File.readlines(file, chomp: true).each_with_index.map do |line, index|
        ["#{file.delete_prefix("#{root}/")}:#{index + 1}", line.gsub(/`[^`]*`/, "")]
      end
    end
  end

  def descriptions(file)
    found = []
    walk = ->(part, place) do
      case part
      when Hash
        part.each do |key, value|
          found << [place.join("."), value] if %w[description summary].include?(key) && value.is_a?(String)
          walk.call(value, [*place, key])
        end
      when Array then part.each_with_index { |value, index| walk.call(value, [*place, index]) }
      end
    end
    walk.call(YAML.load_file(file), [])
    found
  end

  # Parts of sentences, which stand where they are joined.
  def wordings(root)
    Dir["#{root}/{core,app,web}/lib/**/*.rb"].sort.flat_map do |file|
      File.read(file).scan(/Wording\[\s*"((?:[^"\\]|\\.)*)"/).map { |(text)| [file.delete_prefix("#{root}/"), text] }
    end
  end

  def declared
    core = UpTack::Core
    kinds =
      core::Rules.all.values.flat_map do |kind|
        [kind.label, kind.about, *kind.parts.map(&:label)].compact.map { |text| ["kind #{kind.kind}", text] }
      end
    functions = core::Expression::Functions.all.values.map { |each| ["function #{each.name}", each.help] }
    steps = core::Tidying::Steps.all.values.map { |each| ["step #{each.key}", each.label] }
    stages = core::Stages::ALL.map { |each| ["stage #{each.key}", each.aim] }
    kinds + functions + steps + stages
  end

  # Labels, notes and messages of the demo, and the sentences of its rules.
  def demo(file)
    texts = []
    walk = ->(part, place) do
      case part
      when Hash then part.each { |key, value| walk.call(value, [*place, key]) }
      when Array then part.each { |value| walk.call(value, place) }
      when String then texts << [place.join("."), part] if %w[message note name label hint title].include?(place.last)
      end
    end
    walk.call(file, [])
    project = UpTack::Core::Design::ProjectFile.read(JSON.generate(file)).project
    sentences =
      project.tables.flat_map { |table| table.rules.map { |rule| ["rule #{rule.id}", rule.sentence(table)] } }
    texts + sentences
  end
end
