# frozen_string_literal: true

require "web_helper"

RSpec.describe "Who may do what, over HTTP" do
  let(:cookie) { Array(last_response.headers["Set-Cookie"]).find { |each| each.start_with?("up_tack_session") } }

  def password(name, text = "four kilns in a row") =
    UpTack::UseCases::People::ChangePerson.new.change(person(name).id, {"password" => text})

  def sign_in(name, text = "four kilns in a row") = ask(:post, "/api/session", {name: name, password: text})
  def refused(code) = expect([status, JSON.parse(last_response.body)["code"]]).to eq(code)

  # A request to each operation of the document, with something for each part of its path.
  def each_operation
    parts = {
      "table" => "pieces",
      "field" => "piece",
      "rule" => "r39",
      "id" => "1",
      "batch" => "1",
      "list" => "l102",
      "filter" => "x",
      "job" => "x",
      "revision" => "1",
      "entry" => "1",
      "form" => "m1",
      "other" => "orders",
      "link" => "member",
      "proof" => "p1",
      "name" => "x"
    }
    WebHelp::DOCUMENT["paths"].each do |path, item|
      item
        .except("parameters")
        .each do |verb, operation|
          yield verb, path.gsub(/\{(\w+)\}/) { parts.fetch(Regexp.last_match(1)) }, operation
        end
    end
  end

  ["Odile Marsh", "Bram Tolley", "Hale Orrin", nil].each do |name|
    it "lets #{name || "nobody"} do what the document says, at every route, and nothing else" do
      order = %w[anyone reader clerk builder]
      each_operation do |verb, path, operation|
        name ? sign_in_as(name) : sign_nobody_in
        role = name ? person(name).role : "anyone"
        may = order.index(role) >= order.index(operation.fetch("x-least"))
        # Asked with a body that nothing can come of, so that nothing is changed on the way.
        ask(verb, path, (verb == "get") ? nil : "[")
        told = [operation["operationId"], status]
        next expect(told).to eq([operation["operationId"], name ? 403 : 401]) unless may

        expect([401]).not_to include(status), "#{operation["operationId"]} answered #{status}"
        expect(JSON.parse(last_response.body)["title"]).not_to start_with("This is for") if status == 403
        raise_error if status == 500
        expect(status).to be < 500
      end
    ensure
      FileUtils.rm_rf(File.join(StoreHelp::FOLDER, "backups"))
    end
  end

  it "signs in with a password, in a cookie that no script reads, and out again for every copy of it" do
    password("Bram Tolley")
    sign_nobody_in
    ask(:get, "/api/session")
    refused([401, "signed_out"])
    expect(sign_in(" BRAM ")["person"]).to include("name" => "Bram Tolley", "role" => "clerk")
    expect(cookie).to match(/\Aup_tack_session=.*httponly/i).and match(/samesite=strict/i)
    copy = cookie[/\A[^;]+/]
    ask(:get, "/api/tables")
    expect(status).to eq(200)
    ask(:delete, "/api/session")
    clear_cookies
    set_cookie(copy)
    ask(:get, "/api/tables")
    refused([401, "signed_out"])
  end

  it "takes no cookie that it did not sign" do
    session, token = UpTack::Store::Session.begin(person)
    forged = [
      token,
      session.digest,
      UpTack::Web::Guard::Cookies.seal(token).sub(/.\z/) { |last| (last == "0") ? "1" : "0" },
      "x';--",
      ""
    ]
    forged << ActiveSupport::MessageVerifier.new("another key", digest: "SHA256", serializer: JSON).generate(
      token,
      purpose: :session
    )
    forged.each do |value|
      clear_cookies
      set_cookie("up_tack_session=#{Rack::Utils.escape(value)}")
      ask(:get, "/api/session")
      refused([401, "signed_out"])
    end
  end

  it "tells a wrong name as little as a wrong password, and lets nobody guess for long" do
    password("Bram Tolley")
    sign_nobody_in
    said = ["bram", "nobody"].map { |name| sign_in(name, "wrong wrong wrong")["title"] }
    expect(said.uniq).to eq(["Wrong sign-in name or password."])
    9.times { sign_in("bram", "wrong wrong wrong") }
    refused([429, "too_many"])
    sign_in("bram")
    expect(status).to eq(429)
    # A stranger shuts nobody out elsewhere.
    ask(:post, "/api/session", {name: "bram", password: "four kilns in a row"}, {"REMOTE_ADDR" => "192.0.2.9"})
    expect(status).to eq(200)
    sign_nobody_in
    # Counted by the minute: one that begins meanwhile allows as many once more, and no others.
    ((2 * UpTack::Web::Guard::RateLimits::FROM_ADDRESS) + 1).times do |count|
      sign_in("other#{count}", "x")
      break if status == 429
    end
    expect([status, last_response.headers["Retry-After"].to_i]).to match([429, a_value_between(1, 60)])
  end

  it "signs out at once whoever is made inactive, and everybody else's browser with a new password" do
    password("Bram Tolley")
    sign_in_as("Bram Tolley")
    ask(:get, "/api/tables")
    UpTack::UseCases::People::ChangePerson.new.change(person("Bram Tolley").id, {"active" => false})
    ask(:post, "/api/tables/pieces/records", {typed: good_piece})
    expect([status, JSON.parse(last_response.body)["title"]]).to eq(
      [401, "A builder made your account inactive. Your entries are kept in this browser."]
    )
    expect(sign_in("bram")["title"]).to include("can't sign in")
    other = sign_in_as("Senna Whitlock")
    sign_in_as("Senna Whitlock")
    expect(ask(:put, "/api/session/password", {new: "short"})["mistakes"].first["part"]).to eq("password")
    ask(:put, "/api/session/password", {new: "clay, kiln and glaze"})
    expect([status, UpTack::Store::Session.exists?(other.id)]).to eq([200, false])
    sign_in_as("Senna Whitlock")
    ask(:put, "/api/session/password", {old: "not it", new: "clay, kiln and shelf"})
    expect(JSON.parse(last_response.body)["title"]).to eq("The current password is wrong.")
  end

  it "hears no write from another site's page, nor one without the key of its session" do
    count = pieces.count
    [
      {"HTTP_ORIGIN" => "http://elsewhere.example"},
      {"HTTP_SEC_FETCH_SITE" => "cross-site"},
      {"HTTP_X_WRITE_KEY" => "guessed"},
      {"HTTP_X_WRITE_KEY" => ""}
    ].each do |headers|
      ask(:post, "/api/tables/pieces/records", {typed: good_piece}, headers)
      refused([403, "foreign_page"])
      ask(:delete, "/api/tables/pieces/records/1", nil, headers)
      refused([403, "foreign_page"])
    end
    expect(pieces.count).to eq(count)
  end

  it "offers the demo's people with one click, until they have a password or are inactive" do
    sign_nobody_in
    welcome = ask(:get, "/api/welcome")
    expect([welcome["project"], welcome["demo"].map { |each| each["name"] }]).to eq(
      ["Ember Lane Kiln Share", ["Odile Marsh", "Bram Tolley", "Senna Whitlock", "Hale Orrin"]]
    )
    expect(ask(:post, "/api/session/demo", {person_id: person("Hale Orrin").id})["person"]["role"]).to eq("reader")
    password("Odile Marsh")
    ask(:post, "/api/session/demo", {person_id: person.id})
    refused([403, "not_signed_in"])
    UpTack::Store::Settings["demo"] = "no"
    expect(ask(:get, "/api/welcome")["demo"]).to be_empty
  end

  it "keeps the people list, and one builder at least" do
    made = ask(:post, "/api/people", {name: "Runa Kestrel", role: "clerk", password: "warm glaze shelf"})
    expect([status, made]).to match(
      [201, a_hash_including("sign_in" => "runa", "active" => true, "has_password" => true)]
    )
    [
      [{name: ""}, "name"],
      [{sign_in: "bram"}, "sign_in"],
      [{sign_in: "a b"}, "sign_in"],
      [{email: "none"}, "email"],
      [{role: "owner"}, "role"],
      [{password: "aaaaaaaaaaaa"}, "password"],
      [{active: "yes"}, "active"],
      [{name: 5}, "name"]
    ].each do |parts, part|
      expect(ask(:patch, "/api/people/#{made["id"]}", parts)["mistakes"].map { |each| each["part"] }).to eq([part])
    end
    expect(ask(:patch, "/api/people/#{person.id}", {role: "clerk"})["title"]).to eq(
      "Odile Marsh is the only builder. Make someone else a builder first."
    )
    ask(:patch, "/api/people/#{made["id"]}", {role: "builder"})
    expect(ask(:patch, "/api/people/#{person.id}", {active: false})["active"]).to be(false)
    ask(:get, "/api/people")
    refused([401, "signed_out"])
  end

  it "begins an empty database with its first builder, once" do
    sign_nobody_in
    path = UpTack::Store::Database.path
    UpTack::Store::Database.open("#{path}.empty")
    expect(ask(:get, "/api/welcome")).to include(
      "set_up" => true,
      "time_zones" => a_collection_including("Europe/Dublin")
    )
    begun = {
      code: UpTack::UseCases::People::SetUp.new_code,
      project: "Harbour Glass",
      time_zone: "Europe/Dublin",
      name: "Ines Hart",
      sign_in: "ines",
      password: "blue harbour glass"
    }
    expect(ask(:post, "/api/set-up", begun.merge(code: "abcd-abcd-abcd"))["mistakes"].first["part"]).to eq("code")
    expect(ask(:post, "/api/set-up", begun.merge(time_zone: "Mars/North"))["mistakes"].first["part"]).to eq("time_zone")
    expect(ask(:post, "/api/set-up", begun.merge(password: "short"))["mistakes"].first["part"]).to eq("password")
    expect([UpTack::Store::Person.count, ask(:post, "/api/set-up", begun)["person"]["role"], status]).to eq(
      [0, "builder", 201]
    )
    ask(:post, "/api/set-up", begun)
    refused([403, "not_allowed"])
    expect(sign_in("ines", "blue harbour glass")["project"]["name"]).to eq("Harbour Glass")
  ensure
    UpTack::Store::Database.open(path)
    FileUtils.rm_f(Dir["#{path}.empty*"])
  end

  describe "where the builder closes a field or a table" do
    before do
      ask(:patch, "/api/tables/members/fields/deposit", {access: {clerk: "see", reader: "nothing"}})
      ask(:patch, "/api/tables/orders", {access: {clerk: "edit", reader: "nothing"}})
    end

    it "shows a reader nothing of it, by no way" do
      sign_in_as("Hale Orrin")
      expect(ask(:get, "/api/tables").map { |each| each["key"] }).not_to include("orders")
      %w[
        /api/tables/orders
        /api/tables/orders/records
        /api/history?table=orders
        /api/tables/orders/matches?text=a
      ].each { |path| ask(:get, path) && refused([403, "not_allowed"]) }
      expect(ask(:get, "/api/tables/members")["fields"].map { |each| each["key"] }).not_to include("deposit")
      expect(last_response.body).not_to include("leave a deposit")
      expect(ask(:get, "/api/tables/members/records/1")["values"]).not_to have_key("deposit")
      %w[filter=deposit%20%3E%2010 sort=deposit filter=count(orders)%20%3E%200].each do |query|
        ask(:get, "/api/tables/members/records?#{query}") && refused([422, "invalid"])
      end
      expect(
        ask(:get, "/api/history")["entries"].flat_map do |each|
          [each["table"], *each["changes"].map { |change| change["key"] }]
        end
      ).not_to include("orders", "deposit")
      expect(ask(:get, "/api/history/export.csv").force_encoding("UTF-8")).not_to match(/Orders|Deposit/)
      expect(ask(:get, "/api/names").to_s).not_to match(/"orders"|deposit/)
    end

    it "lets a clerk change and delete only what is open" do
      sign_in_as("Bram Tolley")
      answer = ask(:patch, "/api/tables/members/records/3", {typed: {deposit: "55", note: "Kept."}})
      expect(answer.dig("answer", "messages").map { |each| each["message"] }).to eq(
        ["A clerk can't change Deposit €."]
      )
      expect(ask(:get, "/api/tables/orders")["may"]).to eq("edit" => true, "delete" => false)
      ask(:delete, "/api/tables/orders/records/1")
      refused([403, "not_allowed"])
    end
  end
end
