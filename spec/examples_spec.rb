# frozen_string_literal: true

require "browser_helper"
require "net/http"
require "open3"
require "support/processes"

# The examples of docs/examples, started for real as far as a machine without containers can.
RSpec.describe "The examples for whoever runs it", :no_database do
  root = UpTack::Installation::ROOT
  example_of = ->(name) { File.read(File.join(root, "docs", "examples", name)) }

  around { |example| Dir.mktmpdir("up_tack_examples") { |folder| (@folder = folder) && example.run } }

  def free_port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

  # Runs a command until the block is over, which begins once the command says that it is ready.
  def during(environment, *command, folder: UpTack::Installation::ROOT)
    reader, writer = IO.pipe
    child = Process.spawn(environment, *command, chdir: folder, out: writer, err: writer, unsetenv_others: true)
    writer.close
    said = +""
    reader.each_line do |line|
      said << line
      break if line.include?("Up Tack runs at")
    end
    yield said
  ensure
    begun = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    Process.kill("TERM", child)
    Process.wait(child)
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - begun).to be < 20
  end

  def answer(port, path, host) = Net::HTTP.start("127.0.0.1", port) { |http| http.get(path, {"host" => host}) }

  bare = ENV.slice("PATH", "HOME", "LANG").merge("PUMA_LOG" => nil).compact

  it "have a unit for systemd that it takes, whose command runs with its settings" do
    unit = example_of["up-tack.service"].gsub("/opt/up_tack", root).sub("User=uptack", "User=root")
    path = File.join(@folder, "up-tack.service")
    File.write(path, unit)
    said, status = Open3.capture2e("systemd-analyze", "verify", path)
    expect([status.success?, said]).to eq([true, ""])
    port = free_port
    settings = unit.scan(/^Environment=(\w+)=(.*)$/).to_h.merge("UP_TACK_DATA" => @folder, "PORT" => port.to_s)
    during(bare.merge(settings), unit[/^ExecStart=(.*)$/, 1]) do |output|
      expect(output).to include("Up Tack runs at")
      expect(answer(port, "/tack/health", "tack.example").code).to eq("200")
      expect(answer(port, "/tack/health", "elsewhere.example").code).to eq("403")
    end
  end

  it "have an image in which everything is that its command needs" do
    stage = example_of["Containerfile"].split(/^FROM .*\n/).last
    stage.scan(/^COPY (?!--from)(.*)$/).each do |(line)|
      *sources, _ = line.split
      sources.each { |source| FileUtils.cp_r(File.join(root, source), @folder) }
    end
    # What its other steps make.
    FileUtils.mkdir_p([File.join(@folder, "ui"), File.join(@folder, "data")])
    FileUtils.ln_s(File.join(root, "ui", "dist"), File.join(@folder, "ui", "dist"))
    FileUtils.ln_s(File.join(root, "vendor"), File.join(@folder, "vendor"))
    settings = stage.scan(/^ENV (.*)$/).flatten.flat_map(&:split).to_h { |each| each.split("=", 2) }
      .transform_values { |value| value.gsub("/up_tack", @folder).sub("/data", File.join(@folder, "data")) }
    port = free_port
    command = JSON.parse(stage[/^CMD (.*)$/, 1])
    own = bare.merge(settings, "PORT" => port.to_s, "UP_TACK_HOSTS" => "localhost")
    during(own, *command, folder: @folder) do |output|
      expect(output).to include("Up Tack runs at")
      expect(answer(port, "/ready", "localhost").code).to eq("200")
      expect(answer(port, "/", "localhost").body).to include("root")
    end
  end

  # A certificate that nobody vouches for.
  def certificate(folder)
    key = OpenSSL::PKey::RSA.new(2048)
    made = OpenSSL::X509::Certificate.new
    made.subject = made.issuer = OpenSSL::X509::Name.parse("/CN=tack.example")
    made.not_before = Time.now - 60
    made.not_after = Time.now + 3_600
    made.public_key = key.public_key
    made.serial = 1
    made.sign(key, OpenSSL::Digest.new("SHA256"))
    File.write(File.join(folder, "tack.pem"), made.to_pem)
    File.write(File.join(folder, "tack.key"), key.to_pem)
  end

  def with_nginx(server, port)
    certificate(@folder)
    site = server.sub("443", port.to_s).gsub("/etc/ssl/", "#{@folder}/")
    File.write(File.join(@folder, "nginx.conf"), <<~CONF)
      daemon off; pid #{@folder}/nginx.pid; error_log stderr;
      events { worker_connections 64; }
      http {
        access_log off;
        client_body_temp_path #{@folder}/body; proxy_temp_path #{@folder}/proxy; fastcgi_temp_path #{@folder}/f;
        uwsgi_temp_path #{@folder}/u; scgi_temp_path #{@folder}/s;
        #{site}
      }
    CONF
    child = Process.spawn("/usr/sbin/nginx", "-c", File.join(@folder, "nginx.conf"), "-p", @folder,
      err: "#{@folder}/nginx.log")
    Processes.until { reached?(port) }
    yield
  ensure
    Process.kill("TERM", child)
    Process.wait(child)
  end

  def reached?(port)
    TCPSocket.new("127.0.0.1", port).close
    true
  rescue SystemCallError
    false
  end

  it "have HTTPS with nginx under a path, through which somebody signs in and saves" do
    port, outside = free_port, free_port
    settings = {
      "UP_TACK_DATA" => @folder, "PORT" => port.to_s, "UP_TACK_PATH" => "/tack", "UP_TACK_PROXIES" => "127.0.0.1",
      "UP_TACK_HOSTS" => "tack.example"
    }
    during(bare.merge(settings), RbConfig.ruby, "-rbundler/setup", "bin/support/serve.rb") do
      UpTack::Store::Database.open(File.join(@folder, "up_tack.sqlite3"))
      UpTack::UseCases::People::ChangePerson.new.change(
        1, {"sign_in" => "odile", "password" => "kiln shelf seven"}
      )
      UpTack::Store::Database.close
      with_nginx(example_of["nginx.conf"].gsub("127.0.0.1:4567", "127.0.0.1:#{port}"), outside) do
        signed_in_and_saved("https://tack.example:#{outside}/tack/")
      end
    end
  end

  def signed_in_and_saved(address)
    options = FLAGS.merge("ignore-certificate-errors" => nil, "host-resolver-rules" => "MAP tack.example 127.0.0.1")
    Capybara.register_driver(:behind_nginx) do |app|
      Capybara::Cuprite::Driver.new(app, browser_path: "/usr/bin/chromium-headless-shell", browser_options: options,
        process_timeout: 30, timeout: 20, js_errors: true)
    end
    session = Capybara::Session.new(:behind_nginx)
    session.visit(address)
    session.fill_in("Sign-in name", with: "odile")
    session.fill_in("Password", with: "kiln shelf seven")
    session.click_button("Sign in")
    expect(session).to have_text("Pieces")
    session.visit("#{address}t/titles/forms")
    session.fill_in("Text", with: "Behind a proxy")
    session.click_button("Save", match: :first)
    session.visit("#{address}t/titles/records")
    expect(session).to have_text("Behind a proxy")
    expect(session.evaluate_script("location.pathname")).to eq("/tack/t/titles/records")
    expect(session.evaluate_script("document.cookie")).to eq("")
  ensure
    session&.quit
  end
end
