# frozen_string_literal: true

# Opens the database, fills it with the demo if it is new, and serves everything
# from one Puma. Called by bin/start, which has set up the rest.

require_relative "room"
require "fileutils"
require "socket"

File.umask(0o077)
STARTED = Process.clock_gettime(Process::CLOCK_MONOTONIC)

def fail_with(message)
  warn "Up Tack: #{message}"
  exit 1
end

def port_from(text)
  return text.to_i if text.match?(/\A\d{1,5}\z/) && text.to_i.between?(1, 65_535)

  fail_with("PORT must be a number from 1 to 65535, not “#{text}”.")
end

def check_port(host, port)
  TCPServer.new(host, port).close
rescue Errno::EADDRINUSE
  fail_with("Port #{port} is in use. Stop what runs there, or choose another port: " \
    "PORT=#{(port < 65_535) ? port + 1 : 4567} bin/start")
rescue Errno::EACCES
  fail_with("This account may not use port #{port}. Choose one above 1023: PORT=4567 bin/start")
rescue SocketError, Errno::EADDRNOTAVAIL
  fail_with("This machine has no address “#{host}”. HOST is usually 127.0.0.1.")
end

LOOPBACK = %w[127.0.0.1 localhost ::1].freeze

# One server at a time: what a process remembers of a design or a restore is not known to another one. The lock is
# released with the process, however it ends.
def lock_folder(folder)
  lock = File.open(File.join(folder, "up_tack.lock"), File::RDWR | File::CREAT, 0o600)
  unless lock.flock(File::LOCK_EX | File::LOCK_NB)
    fail_with("Process #{lock.read.strip} already serves #{folder}. Use that one, or stop it first.")
  end
  lock.truncate(0)
  lock.write(Process.pid.to_s)
  lock.flush
  lock
end

# @return [Array<String>] names under which it may be called besides those of this machine
def check_hosts(host, text)
  hosts = text.split(",").map(&:strip).reject(&:empty?)
  return hosts if LOOPBACK.include?(host) || hosts.any?

  fail_with("HOST=#{host} gives other machines access. Set the names under which they reach this one, separated by " \
    "commas: UP_TACK_HOSTS=tack.example,192.0.2.7")
end

def check_proxies(text)
  UpTack::Web::Guard::Proxies.named(text)
rescue IPAddr::Error
  fail_with("UP_TACK_PROXIES must be addresses or networks, separated by commas, such as " \
    "127.0.0.1,10.0.0.0/8, not “#{text}”.")
end

# What it means, said to whoever starts it.
def tell_of_hosts(host, hosts)
  return if LOOPBACK.include?(host)

  puts "· Other machines can reach this as #{hosts.join(", ")}, and under no other name."
  puts "  Passwords travel unencrypted unless a proxy with HTTPS is in front of it (set UP_TACK_PROXIES)."
  puts "  From other machines, the demo's people can't sign in with one click."
end

# The folder is for this account alone: it holds everything, and the key of the log.
def check_folder(folder)
  FileUtils.mkdir_p(folder, mode: 0o700)
  File.chmod(0o700, folder)
  Dir[File.join(folder, "*"), File.join(folder, "*", "*")].each do |path|
    File.chmod(File.directory?(path) ? 0o700 : 0o600, path) unless File.symlink?(path)
  end
  probe = File.join(folder, ".up_tack_probe")
  File.write(probe, "")
  File.delete(probe)
rescue SystemCallError
  fail_with("The folder #{folder} is not writable. Set UP_TACK_DATA to another folder.")
end

def start_again_with_demo(path, sure:)
  return unless File.exist?(path)

  unless sure
    unless $stdin.tty?
      fail_with("--fresh deletes all records in #{path}. To do this without being asked, use --fresh --yes.")
    end
    print "Delete everything in #{path} and start again with the demo? [y/N] "
    exit 1 unless $stdin.gets.to_s.strip.downcase.start_with?("y")
  end
  ["", "-wal", "-shm"].each { |ending| FileUtils.rm_f("#{path}#{ending}") }
end

unknown = ARGV - %w[--fresh --yes --empty]
fail_with("Unknown option #{unknown.first}. The options are --fresh, --empty and --yes.") if unknown.any?

host = ENV.fetch("HOST", "127.0.0.1")
port = port_from(ENV.fetch("PORT", "4567"))
given = ENV["UP_TACK_DATA"].to_s
folder =
  if given.empty?
    File.expand_path("../../data", __dir__)
  else
    File.expand_path(given, ENV.fetch("UP_TACK_CALLER_DIR", Dir.pwd))
  end
path = File.join(folder, "up_tack.sqlite3")

hosts = check_hosts(host, ENV["UP_TACK_HOSTS"].to_s)
check_folder(folder)
check_port(host, port)
LOCK = lock_folder(folder)
start_again_with_demo(path, sure: ARGV.include?("--yes")) if ARGV.include?("--fresh")

require_relative "../../web/lib/up_tack/web"
check_proxies(ENV["UP_TACK_PROXIES"])
tell_of_hosts(host, hosts)
require "puma"
require "puma/configuration"
require "puma/launcher"

begin
  UpTack::Store::Database.open(path)
  UpTack::Services::Rollback.left(patient: true).each { |words| puts "· Unfinished, and undone: #{words}" }
  begun = UpTack::Store::Revision.any?
  # Kept, so that a second start before anybody has set it up does not bring the demo after all.
  UpTack::Store::Settings["empty"] = "yes" if ARGV.include?("--empty") && !begun
  if !begun && UpTack::Store::Settings["empty"] == "yes"
    puts "· The project is empty. Open it in a browser to name it and its first builder. The page asks for this code:"
    puts "    #{UpTack::UseCases::People::SetUp.new_code}"
  elsif !begun
    puts "· Installing the demo: Ember Lane Kiln Share"
    UpTack::UseCases::Design::InstallDemo.new.call
  end
  UpTack::Store::CompiledDesign.current if UpTack::Store::Revision.any?
rescue UpTack::Store::LogKey::Unfit => e
  fail_with("UP_TACK_KEY or #{UpTack::Store::LogKey.file(path)} can't be used: #{e.message}")
rescue UpTack::Store::SystemTables::TooNew => e
  fail_with("#{path}: #{e.message}")
rescue SQLite3::NotADatabaseException, ActiveRecord::StatementInvalid, SQLite3::CantOpenException => e
  fail_with("#{path} can't be opened as a database of Up Tack (#{e.message.lines.first.strip}).")
end
[UpTack::Core, UpTack::App, UpTack::Web].each { |floor| floor::LOADER.eager_load }
UpTack::Store::Database.close

configuration = Puma::Configuration.new do |config|
  config.bind "tcp://#{host.include?(":") ? "[#{host}]" : host}:#{port}"
  # More than can be busy at a time: some wait for their turn, and those who save must not.
  config.threads 2, 32
  # No file that is imported is larger.
  config.http_content_length_limit UpTack::UseCases::Imports::Uploads::LARGEST
  config.environment "production"
  config.app UpTack::Web::Application
  config.quiet
end
UpTack::Log.start
UpTack::Work.start
UpTack::Schedule.start
def read_names
  person = UpTack::Store::Person.order(:id).first or return
  UpTack::UseCases::Records::ReadNames.new(UpTack::Workspace.new(person: person)).call
rescue UpTack::Store::NotFound
  nil # There is no project yet.
ensure
  ActiveRecord::Base.connection_handler.clear_active_connections!
end

launcher = Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.new(StringIO.new, $stderr))
# Said only once it listens and hears signals.
launcher.events.after_booted do
  seconds = Process.clock_gettime(Process::CLOCK_MONOTONIC) - STARTED
  puts "Up Tack runs at http://#{host}:#{port} (ready in #{seconds.round(1)} s). Ctrl C stops it."
  $stdout.flush
  Thread.new { read_names }
end
launcher.run
