# frozen_string_literal: true

require "fileutils"
require "json"
require "net/http"
require "open3"
require "socket"
require "tmpdir"

# bin/start as a person runs it, on a port and in a folder of its own. What it
# sets up is there already when the specs run.
RSpec.describe "bin/start" do
  root = File.expand_path("..", __dir__)

  around do |example|
    Dir.mktmpdir("up_tack_start") do |folder|
      @folder = folder
      example.run
    end
  end

  define_method(:start) do |*options, **environment|
    variables = {"UP_TACK_DATA" => File.join(@folder, "data"), "BUNDLE_WITHOUT" => nil, "RUBYOPT" => nil}.merge(
      environment.transform_keys(&:to_s)
    )
    Bundler.with_unbundled_env do
      Open3.capture3(variables, File.join(root, "bin", "start"), *options, stdin_data: "")
    end
  end

  define_method(:running) do |port, *options, **environment, &block|
    variables = {
      "UP_TACK_DATA" => File.join(@folder, "data"),
      "PORT" => port.to_s,
      **environment.transform_keys(&:to_s)
    }
    Bundler.with_unbundled_env do
      Open3.popen2e(variables, File.join(root, "bin", "start"), *options) do |_, output, thread|
        lines = []
        while (line = output.gets)
          lines << line
          break if line.include?("Up Tack runs at")
        end
        block.call(lines)
      ensure
        Process.kill(:TERM, thread.pid)
        thread.value
      end
    end
  end

  def free_port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

  it "serves the demo, keeps it over a second start, and skips what is done" do
    port = free_port
    running(port) do |lines|
      expect(lines.join).to include("Installing the demo").and include("http://127.0.0.1:#{port}")
      expect(Net::HTTP.get(URI("http://127.0.0.1:#{port}/api/welcome"))).to include("Ember Lane Kiln Share")
      expect(Net::HTTP.get(URI("http://127.0.0.1:#{port}/t/pieces/rules"))).to include("<div id=\"root\">")
    end
    running(port) { |lines| expect(lines.join).not_to match(/Installing|Building/) }
  end

  it "serves a folder once: a second server is told which process has it, a later one is not" do
    running(free_port) do
      _, error, status = start(PORT: free_port.to_s)
      expect(status.exitstatus).to eq(1)
      expect(error).to match(/\AUp Tack: Process \d+ already serves .*\. Use that one, or stop it first\.$/)
    end
    running(free_port) { |lines| expect(lines.join).to include("Up Tack runs at") }
  end

  it "lets other machines in under the names alone that are given, and keeps its folder to itself" do
    port = free_port
    answer = lambda do |host, path = "/api/welcome"|
      request = Net::HTTP::Get.new(path, "Host" => host)
      Net::HTTP.start("127.0.0.1", port) { |http| http.request(request) }
    end
    running(port, HOST: "0.0.0.0", UP_TACK_HOSTS: "tack.example") do |lines|
      expect(lines.join).to include("Other machines can reach this as tack.example, and under no other name")
      expect(%w[tack.example elsewhere.example].map { |host| answer.call(host).code }).to eq(%w[200 403])
      expect(JSON.parse(answer.call("tack.example").body)["demo"]).to eq([])
      expect(JSON.parse(answer.call("localhost").body)["demo"].length).to eq(4)
      # The first backup may be there already, or not yet.
      kept = Dir[File.join(@folder, "data"), File.join(@folder, "data", "**", "*")]
      let_in = kept.reject { |path| File.stat(path).mode & 0o777 == (File.directory?(path) ? 0o700 : 0o600) }
      expect(kept.length).to be > 3
      expect(let_in).to eq([])
    end
  end

  it "shows the code on the terminal with which an empty one is set up" do
    port = free_port
    lines = nil
    2.times { running(port, "--empty") { |said| lines = said } }
    running(port, "--empty") do |said|
      expect(said.join).not_to include(lines.join[/[2-9a-z]{4}-[2-9a-z]{4}-[2-9a-z]{4}/])
      set_up =
        lambda do |code|
          body = {
            code: code,
            project: "Harbour Glass",
            time_zone: "Europe/Dublin",
            name: "Ines Hart",
            sign_in: "ines",
            password: "blue lamps on a pier"
          }
          Net::HTTP.post(
            URI("http://127.0.0.1:#{port}/api/set-up"),
            JSON.generate(body),
            "Content-Type" => "application/json"
          ).code
        end
      expect([set_up.call("aaaa-aaaa-aaaa"), set_up.call(said.join[/[2-9a-z]{4}-[2-9a-z]{4}-[2-9a-z]{4}/])]).to eq(
        %w[422 201]
      )
    end
  end

  it "says in one line why it can't start" do
    taken = TCPServer.new("127.0.0.1", 0)
    blocked = File.join(@folder, "file")
    File.write(blocked, "")
    broken = File.join(@folder, "broken")
    FileUtils.mkdir_p(broken)
    File.write(File.join(broken, "up_tack.sqlite3"), "this is no database at all, whatever its name says")
    {
      {PORT: taken.addr[1].to_s} => /\AUp Tack: Port \d+ is in use\. Stop what runs there, or choose another port/,
      {PORT: "http"} => /\AUp Tack: PORT must be a number from 1 to 65535/,
      {HOST: "0.0.0.0", PORT: free_port.to_s} =>
        /\AUp Tack: HOST=0.0.0.0 gives other machines access\. Set the names .* UP_TACK_HOSTS/,
      {UP_TACK_PROXIES: "nowhere", PORT: free_port.to_s} => /\AUp Tack: UP_TACK_PROXIES must be addresses/,
      {UP_TACK_KEY: "short", PORT: free_port.to_s} =>
        /\AUp Tack: UP_TACK_KEY must have at least 32 characters/,
      {HOST: "203.0.113.9", UP_TACK_HOSTS: "tack.example", PORT: free_port.to_s} =>
        /\AUp Tack: This machine has no address/,
      {UP_TACK_DATA: blocked, PORT: free_port.to_s} => /\AUp Tack: The folder .* is not writable/,
      {UP_TACK_DATA: broken, PORT: free_port.to_s} => /\AUp Tack: .* can't be opened as a database of Up Tack/
    }.each do |environment, message|
      _, error, status = start(**environment)
      expect(status.exitstatus).to eq(1)
      expect(error).to match(message).and satisfy { |text| text.lines.length == 1 }
    end
    _, error, status = start("--wrong")
    expect([status.exitstatus, error]).to eq(
      [1, "Up Tack: Unknown option --wrong. The options are --fresh, --empty and --yes.\n"]
    )
  ensure
    taken&.close
  end

  it "puts the demo back only when that is sure" do
    path = File.join(@folder, "data", "up_tack.sqlite3")
    port = free_port
    running(port) { File.write("#{path}.mark", "") }
    before = File.stat(path).ino
    _, error, status = start("--fresh", PORT: port.to_s)
    expect([status.exitstatus, error]).to match([1, /use --fresh --yes/])
    expect(File.stat(path).ino).to eq(before)
  end
end
