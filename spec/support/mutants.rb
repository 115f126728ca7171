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
    attributes = rule.attributes
    # What is only suggested does nothing when a record is saved, left out or not.
    left_out = (attributes["mode"] == "suggest") ? [] : [Mutant.new("left out", nil)]
    left_out + by_kind(attributes).map { |words, parts| Mutant.new(words, attributes.merge(parts).compact) }
  end

  def by_kind(attributes)
    case attributes["kind"]
    when "default"
      if attributes["formula"]
        [["another day or person", {"formula" => other_formula(attributes["formula"])}]]
      else
        [["another value", {"value" => other_value(attributes["value"])}]]
      end
    when "mask"
      [
        ["one more character", {"mask" => "#{attributes["mask"]} DIGIT"}],
        ["half typed is treated otherwise", {"half" => (attributes["half"] == "clear") ? "refuse" : "clear"}]
      ]
    when "tidy"
      if attributes["mode"] == "suggest"
        [["done at once", {"mode" => "save"}]]
      else
        attributes["steps"].each_index.map do |index|
          ["without step #{index + 1}", {"steps" => without(attributes["steps"], index)}]
        end
      end
    when "limits"
      %w[low high]
        .select { |part| attributes[part] }
        .flat_map { |part| [-1, 1].map { |by| ["#{part} moved by #{by}", {part => "(#{attributes[part]}) + #{by}"}] } }
    when "length"
      [
        ["one character more", {"most" => attributes["most"] + 1}],
        ["one character less", {"most" => attributes["most"] - 1}]
      ]
    when "one_of"
      attributes["values"].each_index.map do |index|
        ["without value #{index + 1}", {"values" => without(attributes["values"], index)}]
      end
    when "fits"
      [["another mask", {"mask" => "2#{attributes["mask"]}"}]]
    when "decision"
      rows(attributes)
    when "fill"
      attributes["sets"].each_index.map do |index|
        [
          "sets #{index + 1} to nothing",
          {"sets" => replaced(attributes["sets"], index, attributes["sets"][index].merge("to" => "blank"))}
        ]
      end + signs(attributes, "when")
    when "check"
      signs(attributes, "formula")
    when "required", "unique"
      attributes["when"] ? [["the other way round", {"when" => "not (#{attributes["when"]})"}]] : []
    when "lock"
      [
        ["the other way round", {"when" => "not (#{attributes["when"]})"}],
        ["for everybody", {"except_role" => nil}],
        *attributes["locked"].to_a.each_index.map do |index|
          ["without field #{index + 1}", {"locked" => without(attributes["locked"], index)}]
        end
      ]
    when "state"
      [["the other way round", {"when" => "not (#{attributes["when"]})"}]]
    when "calculation"
      [["something else", {"formula" => other_formula(attributes["formula"])}], *signs(attributes, "formula")]
    when "number"
      [
        ["starts later", {"start" => attributes["start"].to_i + 1}],
        ["steps of two", {"step" => 2}],
        ["another text", {"formula" => "\"X\" & #{attributes["formula"]}"}]
      ]
    when "stamp"
      [attributes["which"]].compact.map do |which|
        ["the other time", {"which" => (which == "last") ? "first" : "last"}]
      end
    when "tally"
      attributes["watch"].to_a.each_index.map do |index|
        ["without field #{index + 1}", {"watch" => without(attributes["watch"], index)}]
      end
    when "line"
      [["another text", {"formula" => "#{attributes["formula"]} & \"!\""}]]
    else
      []
    end
  end

  # Each sign of a formula turned, one at a time.
  def signs(attributes, part)
    text = attributes[part] or return []
    text.to_enum(:scan, /<=|>=|<>|=|<|>/).map { Regexp.last_match.begin(0) }.map do |at|
      sign = text[at..][/\A(<=|>=|<>|=|<|>)/]
      ["#{sign} at #{at} turned", {part => text[0...at] + SIGNS.fetch(sign) + text[(at + sign.length)..]}]
    end
  end

  # Each output of each row, and each row left out.
  def rows(attributes)
    inputs = attributes["inputs"].length
    attributes["rows"].each_with_index.flat_map do |row, index|
      cells =
        (inputs...row.length).map do |column|
          [
            "row #{index + 1}, cell #{column + 1} blank",
            {"rows" => replaced(attributes["rows"], index, replaced(row, column, ""))}
          ]
        end
      [["without row #{index + 1}", {"rows" => without(attributes["rows"], index)}], *cells]
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
