# frozen_string_literal: true

require "browser_helper"
require "support/foreign_walk"

# Every screen in the made-up language: no word is hard-wired, and no label is cut off.
RSpec.describe "The made-up language" do
  include ForeignWalk

  around do |example|
    UpTack::Core::Messages.language = UpTack::Core::MadeUpLanguage::TAG
    example.run
  ensure
    UpTack::Core::Messages.language = "en"
  end

  kinds = UpTack::Core::Rules.all.keys
  views = %w[rules forms forms/3 records bench history history?of=design history?of=everything map tidy import]
  pages = ["/", "/people", "/backups", "/outbox", "/api", "/language", "/sheet", "/import", "/guide", "/nowhere"]

  it "is all that stands on every screen" do
    disguise
    known = vocabulary
    found = {}
    look = lambda do |path|
      visit path
      page.has_no_css?("[role=status]", text: "Łóóá")
      page.driver.wait_for_network_idle
      hard_wired(known).each { |text| (found[text] ||= []) << path }
    end
    rules = workspace.project.tables.flat_map { |table| table.rules.map { |rule| [table.key, rule] } }
    kinds.each do |kind|
      table, rule = rules.find { |_, each| each.kind == kind }
      look.call("/t/#{table}/rules?rule=#{rule.id}") if rule
    end
    views.each { |view| look.call("/t/pieces/#{view}") }
    look.call("/t/pieces/rules?field=maker")
    look.call("/t/pieces/rules?field=received")
    look.call("/t/pieces/rules?field=firing")
    look.call("/t/pieces/rules?settings=yes")
    look.call("/t/pieces/forms/design/#{workspace.table("pieces").forms.first.id}")
    look.call("/t/orders/forms/12")
    pages.each { |path| look.call(path) }
    report = found.map { |text, paths| "#{text.inspect}  (#{paths.first}#{" and #{paths.length - 1} more" if paths.length > 1})" }
    expect(report).to be_empty, report.join("\n")
  end
end
