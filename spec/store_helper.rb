# frozen_string_literal: true

require "semantic_logger"
require "tmpdir"
require "core_helper"
require_relative "../app/lib/up_tack/app"

# With UP_TACK_LOG_LEVEL=error it shows what went wrong inside.
UpTack::Log.start if ENV["UP_TACK_LOG_LEVEL"]

# Short ways to the store for specs: every example gets a database of its own,
# copied from one that was filled with the demo once.
module StoreHelp
  FOLDER = Dir.mktmpdir("up_tack_spec")
  at_exit { FileUtils.rm_rf(FOLDER) }

  def self.demo
    @demo ||= File.join(FOLDER, "demo.sqlite3").tap do |path|
      UpTack::Store::Database.open(path)
      UpTack::UseCases::Design::InstallDemo.new.call
      UpTack::Store::Database.connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
      UpTack::Store::Database.close
    end
  end

  # @return [String] what the program logs meanwhile
  def logged
    io = StringIO.new
    appender = SemanticLogger.add_appender(io: io)
    yield
    SemanticLogger.flush
    io.string
  ensure
    SemanticLogger.remove_appender(appender)
  end

  def self.open_copy
    @copies = @copies.to_i + 1
    path = File.join(FOLDER, "copy_#{@copies}.sqlite3")
    FileUtils.cp(demo, path)
    UpTack::Store::Database.open(path)
    path
  end

  # A project without tables, as one begins who has no demo.
  def self.open_empty(name)
    @copies = @copies.to_i + 1
    path = File.join(FOLDER, "empty_#{@copies}.sqlite3")
    UpTack::Store::Database.open(path)
    UpTack::Services::StartProject.new.call(
      design: {"name" => name, "conventions" => {"time_zone" => "Europe/Dublin"}, "tables" => []},
      people: [{"name" => "Odile Marsh", "role" => "builder", "active" => true}]
    )
    path
  end

  def self.close(path)
    UpTack::Proving.stop
    UpTack::UseCases::Proofs::Mistakes.stop
    UpTack::Store::Event.flush
    UpTack::Store::Database.close
    FileUtils.rm_f(Dir["#{path}*"])
    FileUtils.rm_rf(%w[backups imports log].map { |name| File.join(FOLDER, name) })
  end

  def person(name = "Odile Marsh") = UpTack::Store::Person.find_by!(name: name)

  def workspace(name = "Odile Marsh", at: nil) =
    UpTack::Workspace.new(person: person(name), clock: at && UpTack::Clock.stopped("Europe/Dublin", at))

  def pieces = UpTack::Store::RecordTable.new(workspace.table("pieces"))

  def change(kind, **parts) =
    UpTack::UseCases::Design::ChangeDesign.new(workspace).call(Core::Design::Changes.const_get(kind).new(**parts))

  def unpin(table, kind, field) =
    change(
      :UnpinRule,
      table: table,
      rule: workspace.table(table).rules.find { |rule| rule.kind == kind && rule.field == field }.id
    )

  def unmask(field) = unpin("pieces", "mask", field)
  def design = UpTack::UseCases::Design::ChangeDesign.new(workspace)

  def columns(table) =
    UpTack::Store::Database.connection.columns(table).to_h { |column| [column.name, column.sql_type.downcase] }

  def save_piece(typed, id: nil, version: nil, by: "Odile Marsh", at: nil) =
    UpTack::UseCases::Records::SaveRecord.new(workspace(by, at: at)).call(
      table: "pieces",
      typed: typed,
      id: id,
      version: version
    )

  def entries(**question) =
    UpTack::UseCases::History::Entries.new(UpTack::UseCases::History::Question.new(**question)).page

  # A rule of the demo by what it is, so that no spec knows its number.
  def demo_rule(kind, field, formula = nil, of: "pieces")
    workspace.table(of).rules.find do |rule|
      rule.kind == kind && rule.field == field && (formula.nil? || rule.attributes["formula"].to_s.match?(formula))
    end
  end

  def good_piece = {"piece" => "Mug", "maker" => 2, "clay_weight" => "640", "wet_weight" => "695"}
end

RSpec.configure do |config|
  config.define_derived_metadata(file_path: %r{/spec/(app|web|browser)/}) do |metadata|
    metadata[:store] = true unless metadata[:no_database]
  end
  config.include StoreHelp, :store
  config.around(:each, :store) do |example|
    path = StoreHelp.open_copy
    example.run
    # Whatever a spec does without tampering leaves a log that holds, and records as it tells.
    verified =
      example.metadata[:file_path].include?("/spec/app/") && !example.metadata[:tampers] && example.exception.nil? &&
      UpTack::Store::Database.path == path
    verdict = verified && UpTack::Store::LogCheck.run
    StoreHelp.close(path)
    raise "After this the log does not hold: #{verdict.faults.join(" ")}" if verdict && !verdict.sound
  end
end
