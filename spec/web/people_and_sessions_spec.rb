# frozen_string_literal: true

require "web_helper"

RSpec.describe "People, sessions and tokens, over HTTP" do
  let(:store) { UpTack::Store }
  let(:good) { "four kilns in a row" }

  def password(name, text = good) =
    UpTack::UseCases::People::ChangePerson.new.change(person(name).id, {"password" => text})

  def sign_in(name, text = good, from: "127.0.0.1", **more) =
    ask(:post, "/api/session", {name: name, password: text}, {"REMOTE_ADDR" => from, **more})

  def code = JSON.parse(last_response.body)["code"]

  # As a browser does after signing in with a password.
  def signed_in(name)
    sign_nobody_in
    @write_key = sign_in(name)["write_key"]
  end

  def events(kind) = store::Event.flush || store::Event.where(kind: kind).to_a

  def confirm(text = good)
    ask(:post, "/api/session/confirm", {password: text})
    status
  end

  def done(...)
    ask(...)
    status
  end

  it "asks for the password again before roles, tokens and restores, and counts wrong ones" do
    password("Odile Marsh")
    signed_in("odile")
    backup = ask(:post, "/api/backups", {})["name"]
    dear = [
      [:post, "/api/tokens", {name: "Script", role: "reader", days: 1}],
      [:patch, "/api/people/2", {role: "reader"}],
      [:post, "/api/people", {name: "New Name"}],
      [:post, "/api/demo/end", {}],
      [:post, "/api/people/4/anonymise", {}],
      [:post, "/api/backups/#{backup}/restore", {}]
    ]
    dear.each { |verb, path, body| expect([path, done(verb, path, body), code]).to eq([path, 403, "confirm"]) }
    expect([confirm("wrong wrong wrong"), code]).to eq([403, "wrong_password"])
    expect([confirm, done(:post, "/api/tokens", {name: "Script", role: "builder", days: 1})]).to eq([204, 201])
    token = JSON.parse(last_response.body)["token"]
    store::Session.update_all(confirmed_at: Time.now.utc - 400)
    expect([done(*dear.first), code]).to eq([403, "confirm"])
    sign_nobody_in
    dear.each do |verb, path, body|
      expect([path, done(verb, path, body, {"HTTP_AUTHORIZATION" => "Bearer #{token}"}), code]).to eq(
        [path, 403, "not_allowed"]
      )
    end
    @write_key = sign_in("odile")["write_key"]
    8.times { confirm("wrong wrong wrong") }
    expect([done(:put, "/api/session/password", {old: "wrong", new: "clay, kiln and glaze"}), confirm]).to eq(
      [429, 429]
    )
  ensure
    FileUtils.rm_rf(File.join(StoreHelp::FOLDER, "backups"))
  end

  it "ends a person's tokens with another password and when they are made inactive; builders see and revoke all" do
    made =
      %w[Bram\ Tolley Bram\ Tolley Senna\ Whitlock].map do |name|
        store::Token.make(person(name), name: "Script", role: "clerk", days: 9)
      end
    works = -> { made.map { |_, text| !store::Token.authenticate(text).nil? } }
    expect(ask(:get, "/api/tokens").map { |each| each["person"]["name"] }.tally).to eq(
      "Bram Tolley" => 2,
      "Senna Whitlock" => 1
    )
    ask(:delete, "/api/tokens/#{made.first.first.id}")
    expect([status, works.call]).to eq([204, [false, true, true]])
    password("Bram Tolley")
    UpTack::UseCases::People::ChangePerson.new.change(person("Senna Whitlock").id, {"active" => false})
    UpTack::UseCases::People::ChangePerson.new.change(
      store::Person.find_by(name: "Senna Whitlock").id,
      {"active" => true}
    )
    expect([works.call, events("token_ended").map { |each| each.facts["why"] }]).to eq(
      [[false, false, false], ["revoked", "another password", "no longer active"]]
    )
    sign_in_as("Hale Orrin")
    expect(ask(:get, "/api/tokens")).to eq([])
    sign_in_as("Bram Tolley")
    mine = store::Token.make(person("Odile Marsh"), name: "Script", role: "clerk", days: 9).first
    expect([done(:delete, "/api/tokens/#{mine.id}")]).to eq([404])
  end

  it "lists sessions, ends them, and lets none live longer than a week unused or a month in all" do
    password("Bram Tolley")
    sign_in("bram", good, "HTTP_USER_AGENT" => "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0")
    other = store::Session.last
    @write_key = sign_in("bram")["write_key"]
    expect(ask(:get, "/api/sessions").map { |each| each.values_at("device", "current") }).to contain_exactly(
      ["a browser", true],
      ["Firefox on Linux", false]
    )
    ask(:delete, "/api/sessions")
    expect(store::Session.exists?(other.id)).to be(false)
    session = store::Session.last
    [{seen_at: Time.now.utc - (8 * 86_400)}, {made_at: Time.now.utc - (31 * 86_400)}].each do |past|
      session.update_columns(past)
      expect([done(:get, "/api/session"), code]).to eq([401, "signed_out"])
      session.update_columns(seen_at: Time.now.utc, made_at: Time.now.utc)
    end
    sign_in_as("Hale Orrin")
    expect([done(:delete, "/api/sessions/#{session.id}")]).to eq([404])
    sign_in_as("Odile Marsh")
    expect([done(:delete, "/api/sessions/#{session.id}"), store::Session.exists?(session.id)]).to eq([204, false])
  end

  it "slows down strangers under a name, from everywhere, and never a browser that knows it" do
    password("Bram Tolley")
    sign_nobody_in
    sign_in("bram", from: "192.0.2.1")
    known = rack_mock_session.cookie_jar.dup
    sign_nobody_in
    guess = ->(from) { sign_in("bram", "wrong wrong wrong", from: from) && status }
    expect(Array.new(9) { guess.call("192.0.2.2") }).to eq(([403] * 8) + [429])
    expect([sign_in("bram", from: "192.0.2.2") && status, sign_in("bram", from: "192.0.2.3") && status]).to eq(
      [429, 200]
    )
    sign_nobody_in
    (10..60).each { |last| guess.call("192.0.2.#{last}") }
    expect([guess.call("192.0.2.99"), last_response.headers["Retry-After"]]).to eq([429, "15"])
    rack_mock_session.cookie_jar = known
    expect(sign_in("bram", from: "192.0.2.98") && status).to eq(200)
    expect(events("locked_out").map(&:facts)).to eq([{"from" => "192.0.2.2", "known" => true}])
  end

  it "believes what tells of addresses from the proxies alone that are named" do
    seen = nil
    inner = ->(env) do
      [200, {}, [seen = Rack::Request.new(env).then { |request| [request.ip, request.scheme, request.host] }]]
    end
    told = {
      "HTTP_X_FORWARDED_FOR" => "203.0.113.5",
      "HTTP_X_FORWARDED_PROTO" => "https",
      "HTTP_X_FORWARDED_HOST" => "tack.example",
      "HTTP_HOST" => "localhost"
    }
    ask_as = ->(known, address) do
      UpTack::Web::Guard::Proxies.new(inner, UpTack::Environment.new({"UP_TACK_PROXIES" => known}).proxies).call(
        Rack::MockRequest.env_for("/", told.merge("REMOTE_ADDR" => address))
      ) && seen
    end
    expect(ask_as.call("", "127.0.0.1")).to eq(%w[127.0.0.1 http localhost])
    expect(ask_as.call("10.0.0.0/8", "192.168.0.7")).to eq(%w[192.168.0.7 http localhost])
    expect(ask_as.call("10.0.0.0/8", "10.0.0.7")).to eq(%w[203.0.113.5 https tack.example])
  ensure
    UpTack::Web::Guard::Proxies.new(nil)
  end

  it "takes no password that is guessed first, nor one that is a name" do
    UpTack::UseCases::People::ChangePerson.new.change(2, {"sign_in" => "bramtolley"})
    refused = %w[password123 qwertyuiop 1234567890 iloveyou12 bramtolley Bram-Tolley!1 letmein2026 aaaaabbbbbcc]
    expect(refused.select { |text| done(:patch, "/api/people/2", {password: text}) != 422 }).to eq([])
    expect(
      ["clay, kiln and glaze", "warm glaze shelf", "Xk2#vv90qLm!"].map do |text|
        done(:patch, "/api/people/2", {password: text})
      end
    ).to eq([200] * 3)
  end

  it "keeps a security log that builders read, sealed with the rest" do
    password("Bram Tolley")
    sign_nobody_in
    sign_in("bram", "wrong wrong wrong")
    sign_in("nobody", "wrong wrong wrong")
    @write_key = sign_in("bram")["write_key"]
    3.times { ask(:get, "/api/backups") }
    ask(:delete, "/api/session")
    sign_in_as("Odile Marsh")
    ask(:post, "/api/tokens", {name: "Till", role: "reader", days: 1})
    log = ask(:get, "/api/security").map { |each| [each["person"], each["words"]] }
    expect(log.first(7)).to contain_exactly(
      ["", "the password of Bram Tolley was set"],
      ["Bram Tolley", "could not sign in from 127.0.0.1: wrong password"],
      ["", "somebody tried an unknown name from 127.0.0.1"],
      ["Bram Tolley", "signed in in a browser"],
      [
        "Bram Tolley",
        "asked for what their role does not allow: backups, newest first, and their schedule"
      ],
      ["Bram Tolley", "signed out"],
      ["Odile Marsh", "created the token “Till”"]
    )
    expect(store::LogCheck.run.sound).to be(true)
    expect { store::Database.connection.execute("DELETE FROM up_tack_events WHERE id = 9") }.to raise_error(
      ActiveRecord::StatementInvalid,
      /security log/
    )
    sign_in_as("Bram Tolley")
    expect(done(:get, "/api/security")).to eq(403)
  end

  it "hands out exports of the log that it can be held against later", :tampers do
    files =
      %w[csv json].map do |kind|
        File
          .join(StoreHelp::FOLDER, "log.#{kind}")
          .tap { |path| ask(:get, "/api/history/export.#{kind}") && File.binwrite(path, last_response.body) }
      end
    ask(:post, "/api/tables/pieces/records", {typed: good_piece})
    expect(files.map { |path| store::LogCheck.run(against: path).sound }).to eq([true, true])
    # Somebody with the key cuts the log off and signs the new end.
    connection = store::Database.connection
    triggers = connection.select_rows("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'")
    triggers.each { |name, _| connection.execute("DROP TRIGGER #{name}") }
    connection.execute("DELETE FROM up_tack_entries WHERE id > 339")
    connection.execute("UPDATE sqlite_sequence SET seq = 339 WHERE name = 'up_tack_entries'")
    connection.execute("DELETE FROM pieces WHERE id > 28")
    triggers.each { |_, sql| connection.execute(sql) }
    store::Head.write
    expect(
      files.map { |path| store::LogCheck.run(against: path).faults.grep(/is in the file but missing here/).any? }
    ).to eq([true, true])
  ensure
    FileUtils.rm_f(files)
  end

  it "takes a person's name out for good, with the log still sound" do
    name = "Senna Whitlock"
    ask(:post, "/api/tables/pieces/records", {typed: good_piece})
    id = person(name).id
    sign_in_as(name)
    ask(:post, "/api/tables/pieces/records", {typed: good_piece})
    sign_in_as("Odile Marsh")
    ask(:patch, "/api/people/#{id}", {name: "Senna Whitlock-Reyes"})
    told = -> do
      ask(:get, "/api/history?table=pieces&person=#{id}").to_s +
        ask(:get, "/api/tables/pieces/records?sort=tag").to_s + ask(:get, "/api/people").to_s +
        ask(:get, "/api/history/export.csv").to_s.force_encoding("UTF-8")
    end
    expect(told.call).to include(name)
    expect(ask(:post, "/api/people/#{id}/anonymise", {})["title"]).to include("inactive first")
    ask(:patch, "/api/people/#{id}", {active: false})
    expect(ask(:post, "/api/people/#{id}/anonymise", {})).to include(
      "name" => "Person #{id}",
      "anonymous" => true,
      "active" => false
    )
    expect(told.call.scan(/.{120}#{name}.{60}/)).to eq([])
    expect([told.call.include?("Person #{id}"), store::LogCheck.run.faults]).to eq([true, []])
    # Nothing of it is left in the file but what the builder wrote into proofs.
    kept =
      File.binread(store::Database.path).gsub(UpTack::Store::Revision.first.design.b, "").scan(/.{60}#{name}.{20}/n)
    expect(kept.reject { |text| text.match?(/"person":|"is":|"received_by":/) }).to eq([])
    expect(
      [done(:post, "/api/people/#{id}/anonymise", {}), done(:post, "/api/people/#{person.id}/anonymise", {})]
    ).to eq([404, 422])
  end

  it "ends the demo: nobody comes in without a password any more, and one click never works from elsewhere" do
    sign_nobody_in
    from = ->(**env) { done(:post, "/api/session/demo", {person_id: 1}, env.transform_keys(&:to_s)) }
    expect(
      [
        from.call(REMOTE_ADDR: "192.0.2.4"),
        from.call(HTTP_X_FORWARDED_FOR: "127.0.0.1"),
        from.call(REMOTE_ADDR: "127.0.0.1")
      ]
    ).to eq([403, 403, 200])
    expect(ask(:get, "/api/welcome", nil, {"REMOTE_ADDR" => "192.0.2.4"})["demo"]).to eq([])
    sign_in_as("Odile Marsh")
    added = ask(:post, "/api/people", {name: "Runa Kestrel", role: "clerk"})["id"]
    expect(
      [
        done(:post, "/api/session/demo", {person_id: added}),
        ask(:get, "/api/welcome")["demo"].map { |each| each["id"] }
      ]
    ).to eq([403, [1, 2, 3, 4]])
    expect(ask(:post, "/api/demo/end", {})["title"]).to include("Set your own password first")
    @write_key = ask(:put, "/api/session/password", {new: good})["write_key"]
    confirm
    expect(ask(:post, "/api/demo/end", {})["ended"].map { |each| each["name"] }).to eq(
      ["Bram Tolley", "Senna Whitlock", "Hale Orrin"]
    )
    expect(
      [ask(:get, "/api/welcome")["demo"], ask(:get, "/api/session")["demo"], from.call(REMOTE_ADDR: "127.0.0.1")]
    ).to eq([[], false, 403])
  end
end
