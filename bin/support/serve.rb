# frozen_string_literal: true

# Opens the database, fills it with the demo if it is new, and serves everything.
# Called by bin/start, which has set up the rest.

require_relative "room"
STARTED = Process.clock_gettime(Process::CLOCK_MONOTONIC)
File.umask(0o077)

require_relative "serve_folder"
require_relative "../../app/lib/up_tack/app"

def fail_with(message) = ServeFolder.fail_with(message)

# What it means that others reach it, said to whoever starts it.
def tell_of_hosts(settings)
  return unless settings.open?

  puts "· Other machines can reach this as #{settings.hosts.join(", ")}, and under no other name."
  puts "  Passwords travel unencrypted unless a proxy with HTTPS is in front of it (set UP_TACK_PROXIES)."
  puts "  From other machines, the demo's people can't sign in with one click."
end

def open_database(path)
  copy = UpTack::Store::Database.open(path)
  puts "· The database was of an older version and has been upgraded. A copy of it as it was is in #{copy}." if copy
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
rescue UpTack::Store::SystemTables::TooNew, UpTack::Store::Backups::Unsound => e
  fail_with("#{path}: #{e.message}")
rescue SQLite3::FullException
  fail_with("The disk of #{path} is full. Make room on it, and start again.")
rescue SQLite3::NotADatabaseException, ActiveRecord::StatementInvalid, SQLite3::CantOpenException => e
  fail_with("#{path} can't be opened as a database of Up Tack (#{e.message.lines.first.strip}).")
end

unknown = ARGV - %w[--fresh --yes --empty]
fail_with("Unknown option #{unknown.first}. The options are --fresh, --empty and --yes.") if unknown.any?

settings = UpTack::Environment.new
fail_with(settings.problems.join("\n         ")) if settings.problems.any?
path = File.join(settings.folder, "up_tack.sqlite3")
ServeFolder.check(settings.folder)
ServeFolder.check_port(settings.host, settings.port)
LOCK = ServeFolder.lock(settings.folder)
ServeFolder.start_again_with_demo(path, sure: ARGV.include?("--yes")) if ARGV.include?("--fresh")

require_relative "../../web/lib/up_tack/web"
require_relative "serve_processes"
tell_of_hosts(settings)
open_database(path)
[UpTack::Core, UpTack::App, UpTack::Web].each { |floor| floor::LOADER.eager_load }
UpTack::Log.start
serving =
  ServeProcesses.new(settings) do
    seconds = Process.clock_gettime(Process::CLOCK_MONOTONIC) - STARTED
    processes = settings.processes
    puts "Up Tack runs at http://#{settings.host}:#{settings.port}#{settings.path} " \
      "(ready in #{seconds.round(1)} s#{", #{processes} processes" if processes.positive?}). Ctrl C stops it."
    $stdout.flush
  end
UpTack::Store::Database.close
serving.run
