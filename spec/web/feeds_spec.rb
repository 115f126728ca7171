# frozen_string_literal: true

require "web_helper"

# What other programs subscribe to, read by a small reader written apart, after the RFCs alone.
RSpec.describe "Calendars and contacts" do
  # @return [Array<Array(String, String)>] names with their parameters, and values, of unfolded lines (RFC 5545, 3.1)
  def lines(text)
    expect(text.lines).to all(end_with("\r\n").and(satisfy { |line| line.bytesize <= 77 && line.valid_encoding? }))
    text.gsub("\r\n ", "").split("\r\n").map { |line| line.split(":", 2) }
  end

  # @return [Array<Hash{String=>String}>] what stands between BEGIN and END of a component
  def components(text, name)
    found = []
    lines(text).each do |key, value|
      found << {} if [key, value] == ["BEGIN", name]
      found.last[key] ||= value.gsub(/\\([\\,;nN])/) { ($1.downcase == "n") ? "\n" : $1 } if found.any?
    end
    found
  end

  def feed(path) = ask(:get, path).dup.force_encoding("UTF-8")

  def token(role)
    sign_in_as("Odile Marsh")
    ask(:post, "/api/tokens", {name: "For a telephone", role: role, days: 3}).fetch("token").tap { sign_nobody_in }
  end

  let(:records) { ask(:get, "/api/tables/pieces/records?limit=500")["records"] }
  let(:members) { ask(:get, "/api/tables/members/records?limit=500")["records"] }

  before { sign_in_as("Odile Marsh") }

  it "has a day for each record that has one, under the record's name" do
    dated = records.reject { |record| record["values"]["collect_by"].nil? }
    text = feed("/api/tables/pieces/calendar.ics?field=collect_by")
    expect(last_response.media_type).to eq("text/calendar")
    events = components(text, "VEVENT")
    expect(events.map { |event| event.slice("SUMMARY", "DTSTART;VALUE=DATE") }).to match_array(
      dated.map do |record|
        day = record["values"]["collect_by"].delete("-")
        {"SUMMARY" => "#{record["title"]}: Collect by", "DTSTART;VALUE=DATE" => day}
      end
    )
    expect(events.map { |event| event["UID"] }.uniq.length).to eq(dated.length)
    expect(feed("/api/tables/pieces/calendar.ics?field=collect_by")).to eq(text)
    expect(components(feed("/api/tables/pieces/calendar.ics?field=collect_by&filter=fragile"), "VEVENT").length)
      .to eq(dated.count { |record| record["values"]["fragile"] })
  end

  it "has the people of a table with what they are reached by, however odd their names are" do
    odd = "Ünal; \"Öz\", the\\third #{"é" * 60}"
    id = ask(:get, "/api/tables/members/records?limit=1")["records"].first["id"]
    UpTack::Store::Database.connection.execute(
      "UPDATE members SET name = #{UpTack::Store::Database.connection.quote(odd)}, note = 'a\nb' WHERE id = #{id}"
    )
    cards = components(feed("/api/tables/members/contacts.vcf"), "VCARD")
    people = members.map { |each| [each["title"], each["values"]["email"], each["texts"]["phone"][/.+/]] }
    expect(cards.map { |card| card.values_at("FN", "EMAIL", "TEL") }).to match_array(people)
    expect(cards.find { |card| card["FN"].start_with?("Ünal") }["NOTE"]).to eq("a\nb")
    expect([ask(:get, "/api/tables/clays/contacts.vcf")["code"], status]).to eq(["invalid", 422])
    ask(:get, "/api/tables/pieces/calendar.ics?field=piece")
    expect(status).to eq(422)
    expect(%w[members clays].map { |table| ask(:get, "/api/tables/#{table}")["feeds"] }).to match(
      [{"calendars" => ["joined"], "contacts" => true}, {"calendars" => be_an(Array), "contacts" => false}]
    )
  end

  it "is read by an address with a reader's token, which opens nothing else" do
    text = token("reader")
    expect(feed("/api/tables/pieces/calendar.ics?field=collect_by&token=#{text}")).to start_with("BEGIN:VCALENDAR")
    answers = {
      "/api/tables/pieces/calendar.ics?field=collect_by&token=#{token("clerk")}" => 403,
      "/api/tables/pieces/calendar.ics?field=collect_by&token=uptack_none" => 401,
      "/api/tables/pieces/calendar.ics?field=collect_by" => 401,
      "/api/tables/pieces/records?token=#{text}" => 400
    }
    expect(answers.to_h { |path, _| [path, [ask(:get, path), status].last] }).to eq(answers)
  end

  it "tells nobody of what is hidden from them" do
    change(:ChangeField, table: "members", field: "email", parts: {"access" => {"reader" => "nothing"}})
    cards = feed("/api/tables/members/contacts.vcf?token=#{token("reader")}")
    expect(cards).to include("TEL:").and(satisfy { |each| !each.include?("EMAIL") })
    change(:ChangeField, table: "pieces", field: "collect_by", parts: {"access" => {"reader" => "nothing"}})
    ask(:get, "/api/tables/pieces/calendar.ics?field=collect_by&token=#{token("reader")}")
    expect(status).to eq(422)
  end
end
