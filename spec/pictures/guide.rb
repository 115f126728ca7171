# frozen_string_literal: true

require_relative "camera"

# A picture for each page of the guide.
class GuidePages < Camera
  PANEL = "aside[aria-label]"
  # Pages about a kind of rule, and the rule of the demo that shows it.
  RULES = {
    "default" => %w[pieces default received],
    "fill" => %w[pieces fill kiln],
    "decision-table" => %w[pieces decision peak],
    "allowed-choices" => %w[pieces narrow clay],
    "calculated-field" => %w[pieces calculation loss],
    "auto-number" => %w[pieces number tag],
    "existing-records" => ["pieces", "check", "peak", "not above the clay’s limit"],
    "state-and-lock" => %w[orders lock member],
    "stamp" => %w[pieces stamp collected_on],
    "tally" => %w[pieces tally edits],
    "log-line" => %w[pieces line account]
  }.freeze

  def run
    start
    open_demo
    RULES.each { |page, rule| of_rule(page, *rule) }
    board
    entering
    records
    proofs
    project
    UpTack::Store::Database.close
  end

  private

  def guide(page, path, **more, &block) = picture("guide/pictures/#{page}.webp", path, **more, &block)

  def of_rule(page, table, kind, field, *name)
    rules = workspace.table(table).rules
    found = rules.find { |each| each.kind == kind && each.field == field && [nil, each.name].include?(name.first) }
    raise "no #{kind} on #{field} of #{table}" unless found

    guide(page, "/t/#{table}/rules?rule=#{found.id}", crop: PANEL) do
      self.page.has_css?(PANEL)
      self.page.has_text?("Effect on existing records")
    end
  end

  # An empty project, in which little is done yet.
  def start
    StoreHelp.open_empty("Glaze kitchen")
    change(:AddTable, label: "Glazes")
    guide("first-steps", "/", height: 560) { page.has_text?("First steps") }
    UpTack::Store::Database.close
  end

  def board
    guide("board", "/t/pieces/rules") do
      page.has_css?("[data-rule] [aria-label=broken]")
      click_button "Legend"
    end
    guide("fields", "/t/pieces/rules?field=received", crop: PANEL) { page.has_text?("Display format") }
    guide("permissions", "/t/orders/rules?settings=yes", crop: PANEL) { page.has_text?("Permissions") }
    guide("mask", "/t/pieces/rules?field=received_by&stage=mask", crop: PANEL) { write_mask }
    guide("clean-up", "/t/members/tidy", height: 560) { page.has_css?("ins") }
    guide("successors", "/t/pieces/forms/3?form=all") do
      page.has_field?("Verdict")
      find_field("Verdict").native.node.focus
      press :F8
      page.has_css?("[role=dialog]")
    end
  end

  def entering
    guide("clerks", "/t/pieces/forms?form=all", as: "Bram Tolley") do
      page.has_field?("Received by", with: "Bram Tolley")
      type_maker
    end
    guide("validations", "/t/pieces/forms?form=all") do
      page.has_field?("Received by", with: "Odile Marsh")
      {"Piece" => "Mug", "Clay weight g" => "640", "Wet weight g" => "700"}.each { |label, text| type_into label, text }
      press [:control, "s"]
      page.has_text?("Not saved")
    end
    guide("warnings", "/t/pieces/forms?form=all") do
      page.has_field?("Received by", with: "Odile Marsh")
      {"Clay weight g" => "5100", "Wet weight g" => "5155"}.each { |label, text| type_into label, text }
      page.has_text?("More than 5 kg of clay")
      find("[data-field-box]", text: "More than 5 kg of clay", match: :first).scroll_to(:center)
    end
    guide("links-and-lines", "/t/orders/forms/12") { page.has_field?("Line 3, What", with: "Bisque firing, one shelf") }
    guide("forms", "/t/pieces/forms/design/#{workspace.table("pieces").forms.first.id}") { pick_place }
  end

  def records
    guide("records", "/t/pieces/records?sort=-received,piece") do
      page.has_css?("[role=row][data-index='9']")
      select_three
    end
    guide("export", "/t/pieces/records") do
      page.has_css?("[role=row][data-index='9']")
      click_button "Export"
    end
    guide("import", "/t/pieces/import") { preview_import }
    guide("move-in", "/import") { look_at_tables }
    guide("history", "/t/pieces/history") { page.has_text?("Mon 23 Nov 2026") }
  end

  def proofs
    guide("proofs", "/t/pieces/bench") do
      page.has_field?("Piece")
      {"Piece" => "Mug", "Clay weight g" => "640", "Wet weight g" => "700"}.each { |label, text| type_into label, text }
      page.has_text?("Wet weight")
    end
    guide("broken-proof", "/t/pieces/bench") { choose_broken_proof }
  end

  # Somebody else writes while a clerk saves.
  def waiting
    gate = Queue.new
    guide("waiting", "/t/pieces/forms/3?form=all", as: "Bram Tolley", height: 640, idle: false) do
      page.has_field?("Piece")
      UpTack::Jobs.start(words: "An import of 12,000 pieces by Odile Marsh is being written") do |progress|
        progress.begin("Pieces", "Import", 12_000)
        progress.advance(4_800)
        UpTack::Store::Database.write { gate.pop }
      end
      type_into("Maker note", "Thin rim")
      page.driver.browser.keyboard.type([:control, "s"])
      page.has_text?("40 % done")
    end
    gate << true
  end

  def project
    guide("backup", "/backups", height: 640) do
      click_button "Back up now"
      page.has_button?("Restore")
    end
    guide("space", "/space", height: 640) { page.has_text?("Change log") }
    waiting
    Capybara.reset_sessions!
    guide("running", "/", as: nil, height: 640) { page.has_text?("Try the demo as") }
  end
end
