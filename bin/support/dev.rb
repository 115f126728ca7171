# frozen_string_literal: true

# The server of bin/dev: the application with its Ruby loaded anew when a file of it has changed, and `debugger` at
# hand anywhere in the code.

ENV["UP_TACK_RELOAD"] = "yes"
ENV["UP_TACK_LOG_LEVEL"] ||= "info"
require "fileutils"
require "puma"
require "puma/configuration"
require "puma/launcher"
require_relative "../../web/lib/up_tack/web"
require "debug/prelude"

# Holds every answer to the OpenAPI document, too, and says in the log where it is another one.
class HoldingAnswers
  def initialize(app)
    @app = app
  end

  def call(env)
    status, headers, body = @app.call(env)
    return [status, headers, body] unless headers["content-type"].to_s.include?("json")

    text = body.to_enum.to_a.join
    answer = Rack::Response[status, headers, [text]]
    failure = failure(Rack::Request.new(env), answer)
    UpTack::Log["Development"].error("This answer is not as web/openapi.yaml says: #{failure}") if failure
    [status, headers, [text]]
  end

  private

  # A schema that names itself, as that of a formula's blocks, is beyond this version of the library; the request
  # specs hold those answers, too.
  def failure(request, answer)
    found = UpTack::Web::Guard::Contract.document.validate_response(request, answer, raise_error: false).error
    found && (found.errors.to_a.map(&:message).first(3).join("; ").presence || found.type)
  rescue SystemStackError
    nil
  end
end

# Hands each request to the application as its files are now.
class Reloading
  FLOORS = [UpTack::Web, UpTack::App, UpTack::Core].freeze
  FILES = %w[core app web].flat_map do |floor|
    ["{lib,messages}/**/*", "openapi.yaml"].map { |files| File.join(UpTack::Installation::ROOT, floor, files) }
  end

  # @param path [String] of the database
  def initialize(path)
    @path = path
    @mutex = Mutex.new
    @seen = latest
    open_database
  end

  def call(env)
    @mutex.synchronize { reload if latest != @seen }
    UpTack::Web::Application.call(env)
  end

  private

  # Requests that still run keep the classes that they began with.
  def reload
    @seen = latest
    UpTack::Store::Database.close
    FLOORS.each { |floor| floor::LOADER.reload }
    I18n.reload!
    open_database
    UpTack::Log["Development"].info("Ruby loaded anew")
  end

  def open_database
    UpTack::Store::Database.open(@path)
    UpTack::UseCases::Design::InstallDemo.new.call unless UpTack::Store::Revision.any?
  end

  def latest = FILES.flat_map { |pattern| Dir[pattern] }.map { |file| File.mtime(file) }.max
end

folder = File.expand_path(ENV.fetch("UP_TACK_DATA", "tmp/dev"), ENV.fetch("UP_TACK_CALLER_DIR", Dir.pwd))
FileUtils.mkdir_p(folder, mode: 0o700)
path = File.join(folder, "up_tack.sqlite3")
UpTack::Log.start

if ARGV.first == "console"
  require "irb"
  Reloading.new(path)
  puts "The database is #{path}; `workspace` is that of its first builder."
  def workspace = UpTack::Workspace.new(person: UpTack::Store::Person.order(:id).first)
  ARGV.clear
  IRB.start
else
  port = Integer(ENV.fetch("PORT", "4567"))
  configuration = Puma::Configuration.new do |config|
    config.bind "tcp://127.0.0.1:#{port}"
    config.threads 1, 8
    config.environment "development"
    config.app HoldingAnswers.new(Reloading.new(path))
    config.quiet
  end
  Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.new(StringIO.new, $stderr)).run
end
