# frozen_string_literal: true

require "json"
require "socket"
require "timeout"
require "tmpdir"

# A server of several processes in a folder of its own, as bin/start runs it, each of which can be asked by itself.
class Processes
  SCRIPT = UpTack::Installation.path("bin", "support", "serve.rb")

  # Looks now and then at what only another process can bring about.
  # @yield whether it is so
  # @raise [Timeout::Error]
  def self.until(seconds = 60)
    Timeout.timeout(seconds) { IO.select(nil, nil, nil, 0.05) until yield }
  end

  # What one of them answered. data:: from JSON, nil where it was none
  Answer = Struct.new(:status, :headers, :data)

  # Somebody signed in, who may ask any of them.
  class Visitor
    # @param processes [Processes]
    # @param person [Integer] number of one of the demo's people
    def initialize(processes, person)
      @processes = processes
      answer = ask("POST", "/api/session/demo", {person_id: person})
      @cookie = answer.headers["set-cookie"].then { |set| Array(set).flat_map { |each| each.split("\n") } }
        .map { |each| each.split(";").first }.join("; ")
      @key = answer.data["write_key"]
    end

    # @param of [Integer, nil] number of the process; nil for any
    # @return [Answer]
    def ask(method, path, body = nil, of: nil, headers: {})
      own = {"HTTP_COOKIE" => @cookie, "HTTP_X_WRITE_KEY" => @key}.compact
      @processes.ask(of || @processes.numbers.sample, method, path, body, own.merge(headers))
    end

    # @return [TCPSocket] on which whichever process has it answers what was asked at the port
    def asked(path)
      line = TCPSocket.new("127.0.0.1", @processes.port)
      line.write("GET #{path} HTTP/1.1\r\nhost: localhost\r\ncookie: #{@cookie}\r\nconnection: close\r\n\r\n")
      line
    end
  end

  attr_reader :folder, :port, :master

  # @param database [String] that is copied
  def initialize(database, processes: 2)
    @folder = Dir.mktmpdir("up_tack_served")
    FileUtils.cp(database, File.join(@folder, "up_tack.sqlite3"))
    FileUtils.cp(UpTack::Store::LogKey.file(database), @folder)
    @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    @processes = processes
    start
  end

  # @return [void]
  def start(**environment)
    reader, writer = IO.pipe
    variables = {
      "UP_TACK_DATA" => @folder, "PORT" => @port.to_s, "WEB_CONCURRENCY" => @processes.to_s, "TMPDIR" => @folder
    }
    @master = Process.spawn(variables.merge(environment.transform_keys(&:to_s)), RbConfig.ruby, "-rbundler/setup",
      SCRIPT, out: writer, err: File.join(@folder, "errors.log"))
    writer.close
    @said = reader.each_line.take_while { |line| !line.include?("Up Tack runs at") }
  end

  # @return [String] what it said before it was ready
  def said = @said.join

  # @return [Array<Integer>] numbers of the processes that answer
  def numbers
    Dir[File.join(@folder, "up_tack_processes*", "*")]
      .filter_map { |path| File.basename(path)[/\A\d+\z/]&.to_i }
      .select { |number| UpTack::Store::PrivateCopy.alive?(number) }
  end

  # @return [Array<Integer>] numbers of all that were started in its folder and have not ended, whoever started them
  def left
    Dir["/proc/[0-9]*/environ"].filter_map do |path|
      path[/\d+/].to_i if File.binread(path).include?("UP_TACK_DATA=#{@folder}\0")
    rescue SystemCallError
      nil # It has ended, or is somebody else's.
    end
  end

  # @return [Integer] seconds that it took to end
  def stop(signal = "TERM")
    begun = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    Process.kill(signal, @master)
    Process.wait(@master)
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - begun
  rescue Errno::ESRCH, Errno::ECHILD
    0
  end

  # @return [void]
  def drop
    stop
    FileUtils.rm_rf(@folder)
  end

  # @return [Integer, nil] number of the process that does what is done by the clock: it has the lock of a file
  def keeper
    path = File.join(@folder, "up_tack.sqlite3.schedule")
    inode = File.exist?(path) && File.stat(path).ino
    File.readlines("/proc/locks").map(&:split).find { |line|
      line[5].end_with?(":#{inode}")
    }&.then { |line| line[4].to_i }
  end

  # @return [Answer]
  def ask(process, method, path, body = nil, headers = {})
    place, question = path.split("?", 2)
    parts = {
      "REQUEST_METHOD" => method, "PATH_INFO" => place, "QUERY_STRING" => question.to_s, "SCRIPT_NAME" => "",
      "HTTP_HOST" => "localhost", "SERVER_NAME" => "localhost", "SERVER_PORT" => @port.to_s,
      "REMOTE_ADDR" => "127.0.0.1", "rack.url_scheme" => "http", "CONTENT_TYPE" => "application/json"
    }
    UNIXSocket.open(Dir[File.join(@folder, "up_tack_processes*", process.to_s)].first) do |line|
      UpTack::Wire.hand([parts.merge(headers), body.is_a?(String) ? body : body.to_json], line)
      status, fields, text = UpTack::Wire.receive(line)
      json = fields["content-type"].to_s.include?("json")
      Answer.new(status, fields, json ? JSON.parse(text.first) : text.first)
    end
  end
end
