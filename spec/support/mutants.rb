# frozen_string_literal: true

# Breaks a rule in every way that a slip of the hand might: left out, a limit moved by the
# least, a sign turned, a text, a row or a field changed. Proofs that show a rule notice each.
module Mutants
  # words:: what was done; rule:: plain, nil where the rule is left out
  Mutant = Struct.new(:words, :rule)

  SIGNS = {"<=" => "<", ">=" => ">", "<>" => "=", "=" => "<>", "<" => "<=", ">" => ">="}.freeze

  module_function

  # @param rule [UpTack::Core::Rules::Rule]
  # @return [Array<Mutant>]
  def all(rule)
    plain = rule.to_plain
    # What is only suggested does nothing when a record is saved, left out or not.
    left_out = (plain["mode"] == "suggest") ? [] : [Mutant.new("left out", nil)]
    left_out + by_kind(plain).map { |words, parts| Mutant.new(words, plain.merge(parts).compact) }
  end

  def by_kind(plain)
    case plain["kind"]
    when "default"
      if plain["formula"]
        [["another day or person", {"formula" => other_formula(plain["formula"])}]]
      else
        [["another value", {"value" => other_value(plain["value"])}]]
      end
    when "mask"
      [
        ["a place more", {"mask" => "#{plain["mask"]} DIGIT"}],
        ["half typed is treated otherwise", {"half" => (plain["half"] == "clear") ? "refuse" : "clear"}]
      ]
    when "tidy"
      if plain["mode"] == "suggest"
        [["done at once", {"mode" => "save"}]]
      else
        plain["steps"].each_index.map do |index|
          ["without step #{index + 1}", {"steps" => without(plain["steps"], index)}]
        end
      end
    when "limits"
      %w[low high]
        .select { |part| plain[part] }
        .flat_map { |part| [-1, 1].map { |by| ["#{part} moved by #{by}", {part => "(#{plain[part]}) + #{by}"}] } }
    when "length"
      [
        ["one character more", {"most" => plain["most"] + 1}],
        ["one character less", {"most" => plain["most"] - 1}]
      ]
    when "one_of"
      plain["values"].each_index.map do |index|
        ["without value #{index + 1}", {"values" => without(plain["values"], index)}]
      end
    when "fits"
      [["another mask", {"mask" => "2#{plain["mask"]}"}]]
    when "decision"
      rows(plain)
    when "fill"
      plain["sets"].each_index.map do |index|
        [
          "sets #{index + 1} to nothing",
          {"sets" => replaced(plain["sets"], index, plain["sets"][index].merge("to" => "blank"))}
        ]
      end + signs(plain, "when")
    when "check"
      signs(plain, "formula")
    when "required", "unique"
      plain["when"] ? [["the other way round", {"when" => "not (#{plain["when"]})"}]] : []
    when "lock"
      [
        ["the other way round", {"when" => "not (#{plain["when"]})"}],
        ["for everybody", {"except_role" => nil}],
        *plain["locked"].to_a.each_index.map do |index|
          ["without field #{index + 1}", {"locked" => without(plain["locked"], index)}]
        end
      ]
    when "state"
      [["the other way round", {"when" => "not (#{plain["when"]})"}]]
    when "calculation"
      [["something else", {"formula" => other_formula(plain["formula"])}], *signs(plain, "formula")]
    when "number"
      [
        ["starts later", {"start" => plain["start"].to_i + 1}],
        ["steps of two", {"step" => 2}],
        ["another text", {"formula" => "\"X\" & #{plain["formula"]}"}]
      ]
    when "stamp"
      [plain["which"]].compact.map { |which| ["the other time", {"which" => (which == "last") ? "first" : "last"}] }
    when "tally"
      plain["watch"].to_a.each_index.map do |index|
        ["without field #{index + 1}", {"watch" => without(plain["watch"], index)}]
      end
    when "line"
      [["another text", {"formula" => "#{plain["formula"]} & \"!\""}]]
    else
      []
    end
  end

  # Each sign of a formula turned, one at a time.
  def signs(plain, part)
    text = plain[part] or return []
    text.to_enum(:scan, /<=|>=|<>|=|<|>/).map { Regexp.last_match.begin(0) }.map do |at|
      sign = text[at..][/\A(<=|>=|<>|=|<|>)/]
      ["#{sign} at #{at} turned", {part => text[0...at] + SIGNS.fetch(sign) + text[(at + sign.length)..]}]
    end
  end

  # Each output of each row, and each row left out.
  def rows(plain)
    inputs = plain["inputs"].length
    plain["rows"].each_with_index.flat_map do |row, index|
      cells =
        (inputs...row.length).map do |column|
          [
            "row #{index + 1}, cell #{column + 1} blank",
            {"rows" => replaced(plain["rows"], index, replaced(row, column, ""))}
          ]
        end
      [["without row #{index + 1}", {"rows" => without(plain["rows"], index)}], *cells]
    end
  end

  def other_formula(text)
    case text
    when "today()", /\Areceived/, / - collect_by\z/ then "(#{text}) + 1"
    when "user.name" then "user.role"
    when /&/, /title is blank/, /tag is blank/ then "(#{text}) & \"!\""
    else "(#{text}) + 1"
    end
  end

  def other_value(value)
    case value
    when true, false then !value
    when /\A[\d.]+\z/ then (value.to_i + 1).to_s
    else {"Bisque" => "Glaze", "Drying" => "Bisque fired", "Open" => "Issued", "Loading" => "Firing"}.fetch(value)
    end
  end

  def without(list, index) = list.each_with_index.reject { |_, at| at == index }.map(&:first)
  def replaced(list, index, value) = list.each_with_index.map { |each, at| (at == index) ? value : each }
end
