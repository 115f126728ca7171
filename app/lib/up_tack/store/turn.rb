# frozen_string_literal: true

module UpTack
  module Store
    # Whose turn it is to write, between processes: SQLite lets one in at a time, and knows no queue. Whoever saves says
    # so by a shared lock on a file; long work, which writes in portions, waits before each until nobody does. Who
    # needs all others out closes a gate before them, and has the file's lock once those have ended who are in.
    module Turn
      # Seconds for which long work waits at most: those who save without end would keep it from ever ending.
      PATIENCE = 0.25
      PAUSE = 0.001
      ENDINGS = [".turn", ".gate"].freeze

      @mutex = Mutex.new
      @waiting = 0
      @files = {}

      class << self
        # @yield writes, or waits until it may
        def wanted
          pass_gate
          begin
            @mutex.synchronize { file(".turn")&.flock(File::LOCK_SH) if (@waiting += 1) == 1 }
            yield
          ensure
            @mutex.synchronize { file(".turn")&.flock(File::LOCK_UN) if (@waiting -= 1).zero? }
          end
        end

        # Lets those go first who save.
        # @return [void]
        def give_way
          turn = file(".turn")
          until_when = now + PATIENCE
          sleep PAUSE until turn.nil? || turn.flock(File::LOCK_EX | File::LOCK_NB) == 0 || now > until_when
        ensure
          turn&.flock(File::LOCK_UN)
        end

        # While nobody else writes, in whatever process, and whoever wants to waits. Not for use within a transaction.
        # @yield
        def alone
          path = Database.path
          locks = ENDINGS.reverse.map { |ending| made("#{path}#{ending}") }
          locks.each { |lock| lock&.flock(File::LOCK_EX) }
          yield
        ensure
          locks&.each { |lock| lock&.close }
        end

        private

        # Open to everybody, but for the moments in which somebody needs all others out.
        def pass_gate
          gate = made("#{Database.path}.gate", once: true) or return
          gate.flock(File::LOCK_SH)
          gate.close
        end

        # @return [File, nil] of the database that is open; nil where none can be made
        def file(ending)
          place = [Database.path, Process.pid]
          @files, @place = {}, place unless @place == place
          @files.fetch(ending) { @files[ending] = made("#{place.first}#{ending}") }
        end

        def made(path, once: false)
          return if once && !File.exist?(path)

          File.open(path, File::RDWR | File::CREAT, 0o600)
        rescue SystemCallError
          nil
        end

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end
  end
end
