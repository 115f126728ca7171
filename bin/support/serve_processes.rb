# frozen_string_literal: true

require "puma"
require "puma/configuration"
require "puma/launcher"
require "tmpdir"

# The processes that answer: one for each core, forked from one that has loaded everything and opened no database. What
# they remember is kept in step by the database itself and by what they tell one another (Store::Shared).
class ServeProcesses
  # Threads of each: more than can be busy at a time, since some wait for their turn, and those who save must not.
  THREADS = [2, 32].freeze
  # Seconds, after somebody asked it to end, for requests, and then for long work, to come to their end.
  REQUESTS = 11
  JOBS = 4
  # Characters of a folder for temporary files in which a socket can lie.
  LONGEST = 60
  # Whoever has not ended by then is ended.
  ALL = 16

  # @param settings [UpTack::Environment]
  # @yield once it listens and hears signals
  def initialize(settings, &ready)
    @settings = settings
    @ready = ready
    # The path of a socket has at most 107 characters.
    @neighbours = Dir.mktmpdir("up_tack_processes", (Dir.tmpdir.length > LONGEST) ? "/tmp" : nil)
  end

  # Serves until somebody asks it to end.
  # @return [void]
  def run
    UpTack::Web::Neighbours.folder = @neighbours if cluster?
    UpTack::Web::Metrics.start(cluster? ? Dir.mktmpdir("metrics", @neighbours) : nil)
    UpTack::Store::Shared.clear
    UpTack::Store::Shared.close
    UpTack::Work.start
    Puma::Client.prepend(UpTack::Web::OwnBuffer)
    launcher = Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.new(StringIO.new, $stderr))
    launcher.events.after_booted(&@ready)
    launcher.events.after_booted { begin_process } unless cluster?
    # It is told by a signal's handler, in which nobody may wait for a lock.
    launcher.events.after_stopped { Thread.new { ended }.join }
    GC.start
    launcher.run
  ensure
    FileUtils.rm_rf(@neighbours)
  end

  # In a process that answers, before it does.
  def begin_process
    SemanticLogger.reopen if cluster?
    UpTack::Schedule.start
    UpTack::Web::Neighbours.listen(UpTack::Web::Application) if cluster?
    Thread.new { read_names }
  end

  # In the same, once all requests have come to their end.
  def end_process
    UpTack::Jobs.stop_all(JOBS)
    UpTack::UseCases::Proofs::Mistakes.stop
    UpTack::Web::Neighbours.leave
  end

  private

  # The process that is asked for work ends once nobody can ask it any more, and is waited for.
  def ended
    end_process unless cluster?
    UpTack::Work.leave
  end

  def cluster? = @settings.processes.positive?

  def configuration
    settings = @settings
    serving = self
    application = UpTack::Web::Application
    application = Rack::URLMap.new(settings.path => application) unless settings.path.empty?
    Puma::Configuration.new do |config|
      config.bind "tcp://#{settings.host.include?(":") ? "[#{settings.host}]" : settings.host}:#{settings.port}"
      config.threads(*THREADS)
      config.workers settings.processes
      if settings.processes.positive?
        config.preload_app!
        config.before_worker_boot { serving.begin_process }
        config.before_worker_shutdown { serving.end_process }
        config.worker_shutdown_timeout ALL
      end
      config.raise_exception_on_sigterm false
      config.force_shutdown_after REQUESTS
      # Who is in the queue by then is answered, too.
      config.drain_on_shutdown
      # No file that is imported is larger.
      config.http_content_length_limit UpTack::UseCases::Imports::Uploads::LARGEST
      config.environment "production"
      config.app application
      config.quiet
    end
  end

  # So that the first who types a name need not wait for it.
  def read_names
    person = UpTack::Store::Person.order(:id).first or return
    UpTack::UseCases::Records::ReadNames.new(UpTack::Workspace.new(person: person)).call
  rescue UpTack::Store::NotFound
    nil # There is no project yet.
  ensure
    ActiveRecord::Base.connection_handler.clear_active_connections!
  end
end
