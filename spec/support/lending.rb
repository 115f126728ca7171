# frozen_string_literal: true

# A lending shelf: a design with rules of many kinds over functions of fields, compound conditions, linked
# records and ranges, for what must hold of designs other than the demo's.
module Lending
  module_function

  # @return [Hash] a plain design
  def attributes = {"name" => "Lending shelf", "tables" => [loans, people]}

  def loans
    {
      "id" => "t1",
      "key" => "loans",
      "label" => "Loans",
      "fields" => numbered(1, loan_fields),
      "rules" => numbered(100, loan_rules, "r")
    }
  end

  def people
    {
      "id" => "t2",
      "key" => "people",
      "label" => "People",
      "fields" => numbered(50, person_fields),
      "rules" => numbered(200, person_rules, "r")
    }
  end

  def numbered(from, all, letter = "f") =
    all.each_with_index.map { |each, index| {"id" => "#{letter}#{from + index}"}.merge(each) }

  def field(key, type, **more) =
    {"key" => key, "label" => key.tr("_", " ").capitalize, "type" => type}.merge(more.transform_keys(&:to_s))

  def rule(kind, field, **more) = {"kind" => kind, "field" => field}.merge(more.transform_keys(&:to_s))

  def loan_fields
    [
      field("code", "text"),
      field("kind", "choice", choices: %w[Wheel Kiln Tool]),
      field("who", "link", target: "people"),
      field("start", "date"),
      field("due", "date"),
      field("fee", "number", decimals: 2),
      field("hours", "number", decimals: 1),
      field("total", "number", decimals: 2),
      field("note", "text"),
      field("state", "choice", choices: %w[Open Back Lost]),
      field("urgent", "yes_no"),
      field("back_on", "date"),
      field("edits", "number", decimals: 0),
      field("rank", "text"),
      field("person_fee", "number", decimals: 2),
      field("account", "long_text"),
      field("season", "text"),
      field("lost_by", "text")
    ]
  end

  def loan_rules = loan_values + loan_fills + loan_checks + loan_log

  def loan_values
    [
      rule("default", "start", formula: "today()"),
      rule("default", "state", value: "Open"),
      rule("mask", "code", mask: '2UPPER "-" 3DIGIT'),
      rule("tidy", "note", steps: [{"do" => "trim"}, {"do" => "capitals"}]),
      rule(
        "calculation",
        "total",
        formula: "if urgent then round(fee * hours * 1.25, 2) else fee * hours",
        keeping: "always"
      ),
      rule("calculation", "person_fee", formula: "who.rate * hours", keeping: "once")
    ]
  end

  def loan_fills
    hours = [["> 30", "Kiln", "A"], ["10..30", "", "B"], ["< 10", "Tool;Wheel", "C"]]
    months = [["1..3", "winter"], ["4..6", "spring"], ["7..9", "summer"]]
    moved = [{"field" => "due", "to" => "start + 5"}]
    [
      rule("fill", "due", event: "changed", watch: %w[start kind], when: 'kind <> "Tool"', sets: moved),
      rule("decision", "rank", inputs: %w[hours kind], outputs: %w[rank], rows: hours),
      rule("decision", "season", inputs: ["month(start)"], outputs: %w[season], rows: months, otherwise: "clear"),
      rule("state", "back_on", state: "enabled", when: 'state = "Back"', otherwise: "clear")
    ]
  end

  def loan_checks
    [
      rule("check", "note", formula: "len(note) <= 12", message: "A note has 12 characters at most."),
      rule(
        "check",
        "start",
        formula: "year(start) = 2026 and (month(start) < 12 or urgent)",
        message: "Lent within the year."
      ),
      rule(
        "check",
        "hours",
        formula: "round(hours, 0) <= 40 and hours >= 0.5",
        message: "From half an hour to a week."
      ),
      rule(
        "check",
        "due",
        formula: 'due >= start and (kind <> "Kiln" or due <= start + 7)',
        message: "A kiln is back in a week."
      ),
      rule("required", "who", when: "fee > 10 and not urgent", message: "Say who."),
      rule("required", "due", when: 'kind = "Kiln"'),
      rule("unique", "code", with: ["kind"], when: 'state <> "Lost"'),
      rule("limits", "fee", low: "0", high: "500"),
      rule("lock", "fee", when: 'state = "Back"', locked: ["hours"], except_role: "builder")
    ]
  end

  def loan_log
    [
      rule("stamp", "lost_by", event: "reached", when: 'state = "Lost"', which: "first"),
      rule("tally", "edits", watch: %w[fee hours]),
      rule("line", "account", event: "changed", watch: %w[state fee], formula: 'state & " " & fee')
    ]
  end

  def person_fields
    [
      field("name", "text"), field("rate", "number", decimals: 2), field("open_loans", "number", decimals: 0),
      field("dearest", "number", decimals: 2), field("number", "text"), field("usual_hours", "number", decimals: 2)
    ]
  end

  def person_rules
    [
      rule("required", "name"),
      rule("calculation", "open_loans", formula: 'count(loans where state = "Open" and fee > 5)', keeping: "always"),
      rule("calculation", "dearest", formula: 'max(loans.fee where state <> "Lost")', keeping: "always"),
      rule("calculation", "usual_hours", formula: "average(loans.hours)", keeping: "always"),
      rule("number", "number", formula: '"P" & counter(4)'),
      rule("check", "open_loans", formula: "open_loans <= 1", severity: "warn", message: "Has something already.")
    ]
  end
end
