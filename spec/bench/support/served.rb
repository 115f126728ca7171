# frozen_string_literal: true

require_relative "../../support/processes"

# A server of two processes that is killed in the middle of long work, in one part or another, while clerks save through
# both of them.
class Served
  WORKS = %w[import change undo samples].freeze
  # Whom the kill meets: the process that has the job, the other one, that of the schedule, the one that forks them, and
  # the one that does the work.
  VICTIMS = ["job", "other", "schedule", "first", "work"].freeze
  # Seconds after which whatever is left must have been undone.
  PATIENCE = 90

  # @param database [String] that is copied
  # @param file [String] that is imported
  # @param chance [Random]
  def initialize(database, file, chance)
    UpTack::Store::Database.open(database)
    builder = UpTack::Store::Person.where(role: "builder").first
    @token = UpTack::Store::Token.make(builder, name: "kills", role: "builder", days: 2).last
    UpTack::Store::Database.connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
    UpTack::Store::Database.close
    @processes = Processes.new(database)
    @file = file
    @chance = chance
  end

  # @return [String] the database that is served
  def database = File.join(@processes.folder, "up_tack.sqlite3")

  # @return [Array(String, Array<Integer>)] what was done, and records that were acknowledged beside it
  def kill(index)
    work = WORKS[index % WORKS.length]
    victim = VICTIMS[index % VICTIMS.length]
    @going = true
    saved = []
    ids = reading { |file| file.execute("SELECT id FROM pieces").flatten }
    clerks = Array.new(2) { |number| Thread.new { type(number, saved) } }
    begun = begin_work(work, ids)
    sleep @chance.rand * 2
    pid = number_of(victim, begun)
    Process.kill("KILL", pid) if pid
    recover(victim)
    @going = false
    clerks.each(&:join)
    sleep 0.2 until over?(begun)
    ["#{work}, #{victim} killed", saved]
  rescue Errno::ESRCH
    retry # It had ended by then.
  end

  # @return [void]
  def drop = @processes.drop

  private

  def ask(method, path, body = nil, of: @processes.numbers.sample(random: @chance))
    @processes.ask(of, method, path, body, {"HTTP_AUTHORIZATION" => "Bearer #{@token}"})
  end

  def type(number, saved)
    (0..).each do |index|
      break unless @going

      typed = piece(index).merge("note" => "By clerk #{number}")
      answer = ask("POST", "/api/tables/pieces/records", {typed: typed})
      saved << answer.data["id"] if answer.status == 201
      sleep 0.03
    rescue SystemCallError, EOFError, TypeError
      sleep 0.1 # It was killed, or is not there yet.
    end
  end

  # @return [String, nil] number of the job
  def begin_work(work, ids)
    table = "/api/tables/pieces"
    answer =
      case work
      when "import"
        id = ask("POST", "/api/imports?name=pieces.csv", File.read(@file)).data["id"]
        ask("POST", "#{table}/import", {id: id, keep: "passing"})
      when "change"
        asked = {do: "change", ids: ids.last(5_000), typed: {note: "Seen #{rand(1_000_000)}"}, keep: "passing"}
        ask("POST", "#{table}/bulk", asked)
      when "undo" then ask("POST", "/api/history/batches/#{latest_import}/undo", {})
      else ask("POST", "#{table}/samples", {count: 3_000, seed: 7})
      end
    answer.data.is_a?(Hash) ? answer.data["id"].to_s : nil
  rescue SystemCallError, EOFError
    nil
  end

  def latest_import
    reading { |file|
      file.get_first_value("SELECT MAX(id) FROM up_tack_batches WHERE summary LIKE 'Imported%' AND id NOT IN " \
        "(SELECT undoes_id FROM up_tack_batches WHERE undoes_id IS NOT NULL)")
    }
  end

  def number_of(victim, job)
    owner = job.to_s[/\A(\d+)-/, 1]&.to_i
    case victim
    when "job" then owner || @processes.numbers.first
    when "other" then (@processes.numbers - [owner]).first
    when "schedule" then holder("#{database}.schedule")
    when "first" then @processes.master
    else Dir["#{database}.batch-*"].filter_map { |path| File.read(path)[/\d+/]&.to_i }.last
    end
  end

  # @return [Integer, nil] number of the process that has the lock of a file
  def holder(path)
    inode = File.stat(path).ino.to_s
    File.readlines("/proc/locks").find { |line|
      line.split[5].end_with?(":#{inode}")
    }&.then { |line| line.split[4].to_i }
  end

  def recover(victim)
    if victim == "first"
      Process.wait(@processes.master)
      sleep 0.05 while @processes.numbers.any?
      @processes.start
    else
      sleep 0.05 until @processes.numbers.length >= 2
    end
  end

  # Whatever was begun has come to its end, or was undone.
  def over?(job)
    return false if @processes.numbers.include?(job.to_i) && ask("GET", "/api/jobs/#{job}").data["state"] == "running"

    @since ||= Process.clock_gettime(Process::CLOCK_MONOTONIC)
    left = reading { |file| file.get_first_value("SELECT COUNT(*) FROM up_tack_running") }
    late = Process.clock_gettime(Process::CLOCK_MONOTONIC) - @since > PATIENCE
    (left.zero? || late).tap { |over| @since = nil if over }
  end

  def reading
    file = SQLite3::Database.new(database, readonly: true)
    yield file
  ensure
    file&.close
  end
end
