# frozen_string_literal: true

module UpTack
  module Store
    # Whose turn it is to write, between processes: SQLite lets one in at a time, and knows no queue. Whoever saves says
    # so by a shared lock on a file; long work, which writes in portions, waits before each until nobody does.
    module Turn
      # Seconds for which long work waits at most: those who save without end would keep it from ever ending.
      PATIENCE = 0.25
      PAUSE = 0.001

      @mutex = Mutex.new
      @waiting = 0

      class << self
        # @yield writes, or waits until it may
        def wanted
          @mutex.synchronize { file&.flock(File::LOCK_SH) if (@waiting += 1) == 1 }
          yield
        ensure
          @mutex.synchronize { file&.flock(File::LOCK_UN) if (@waiting -= 1).zero? }
        end

        # Lets those go first who save.
        # @return [void]
        def give_way
          until_when = now + PATIENCE
          sleep PAUSE until file.nil? || file.flock(File::LOCK_EX | File::LOCK_NB) == 0 || now > until_when
        ensure
          file&.flock(File::LOCK_UN)
        end

        private

        # @return [File, nil] of the database that is open; nil where none can be made
        def file
          path = "#{Database.path}.turn"
          return @file if @path == path && @pid == Process.pid

          @path, @pid = path, Process.pid
          @file = File.open(path, File::RDWR | File::CREAT, 0o600)
        rescue SystemCallError
          @file = nil
        end

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end
  end
end
