# frozen_string_literal: true

module UpTack
  module Store
    # What the processes that serve one database tell one another, and what may be lost with them: which long work
    # goes on, how often a password was wrong, who runs the proofs. It lies in a small file of its own beside the
    # database, so that nobody waits for the disk or for those who save. Moments are those of the machine's monotonic
    # clock, which all processes share and nobody sets back.
    #
    # Where the file can't be written (the disk is full), nothing is told; whoever asks goes on without.
    module Shared
      ENDING = ".shared"
      TABLE = <<~SQL
        CREATE TABLE IF NOT EXISTS shared (name TEXT PRIMARY KEY, value TEXT, ends REAL, process INTEGER) WITHOUT ROWID
      SQL
      # Seconds between two looks at whether another process has ended what it does alone.
      PAUSE = 0.01
      # Seconds for which something is done alone at most: the number of a process that is gone may be another one's.
      LONGEST = 3_600
      # Milliseconds.
      BUSY = 5_000

      @mutex = Monitor.new

      class << self
        # @param name [String]
        # @return [Object, nil] as JSON has it; nil once it has come to its end, or its process has
        def [](name)
          row = row(name)
          row && JSON.parse(row[1])
        end

        # @param value [Object] as JSON has it
        # @param seconds [Numeric, nil] for which it is told
        # @param own [Boolean] whether it is only true while this process lives
        # @return [void]
        def write(name, value, seconds: nil, own: false)
          ask("INSERT OR REPLACE INTO shared VALUES (?, ?, ?, ?)", name, JSON.generate(value),
            seconds && (now + seconds), own ? Process.pid : nil)
        end

        # One after the other, whatever process asks.
        # @yield [Object, nil] what is told now; gives what is to be told
        # @return [Object] what the block gives
        def change(name, seconds: nil, own: false)
          exclusively { yield(self[name]).tap { |value| write(name, value, seconds: seconds, own: own) } }
        end

        # Several changes, between which no other process changes anything.
        # @yield
        def exclusively(&work)
          @mutex.synchronize do
            file = open
            (file.nil? || file.transaction_active?) ? yield : within(file, &work)
          end
        end

        # @return [void]
        def delete(name) = ask("DELETE FROM shared WHERE name = ?", name)

        # @param beginning [String]
        # @return [Hash{String=>Object}] what is told under names that begin so
        def all(beginning)
          ask("SELECT name, value, ends, process FROM shared WHERE name >= ?1 AND substr(name, 1, ?2) = ?1 " \
            "ORDER BY name", beginning, beginning.length)
            .select { |row| alive?(row) }
            .to_h { |row| [row[0], JSON.parse(row[1])] }
        end

        # Does something that no other process or thread does at the same time under that name.
        # @yield
        def alone(name)
          mine = SecureRandom.hex(8)
          sleep PAUSE until claim(name, mine)
          yield
        ensure
          ask("DELETE FROM shared WHERE name = ? AND value = ?", name, JSON.generate(mine))
        end

        # Forgets what is past, and what was told by processes of an earlier start.
        # @return [void]
        def sweep
          gone = ask("SELECT name, value, ends, process FROM shared").reject { |row| alive?(row) }
          gone.each { |row| delete(row[0]) }
        end

        # Forgets everything, where this process is the first that serves the database.
        # @return [void]
        def clear = ask("DELETE FROM shared")

        # Before processes are forked, which must not share a connection.
        # @return [void]
        def close
          @mutex.synchronize do
            @file&.close if @place&.last == Process.pid
            @file = @place = nil
          end
        end

        private

        # @return [Boolean] whether it is this caller's now
        def claim(name, mine)
          exclusively do
            next false if row(name)

            write(name, mine, own: true, seconds: LONGEST)
            true
          end
        end

        def row(name)
          found = ask("SELECT name, value, ends, process FROM shared WHERE name = ?", name).first
          found if found && alive?(found)
        end

        def alive?(row)
          _, _, ends, process = row
          (ends.nil? || ends > now) && (process.nil? || PrivateCopy.alive?(process))
        end

        def ask(sql, *values)
          @mutex.synchronize { open&.execute(sql, values) || [] }
        rescue SQLite3::Exception => e
          lost(e)
          []
        end

        def within(file, &work)
          begin
            file.transaction(:immediate)
          rescue SQLite3::Exception => e
            lost(e)
            return yield
          end
          begin
            work.call
          ensure
            settle(file)
          end
        end

        def settle(file)
          file.commit if file.transaction_active?
        rescue SQLite3::Exception => e
          lost(e)
          file.rollback if file.transaction_active?
        end

        def lost(error)
          Log["Shared"].warn("What processes tell one another could not be written", error)
        end

        # A forked process has a connection of its own.
        def open
          place = ["#{Database.path}#{ENDING}", Process.pid]
          return @file if @place == place

          close
          @file = SQLite3::Database.new(place.first)
          File.chmod(0o600, place.first)
          @file.busy_handler_timeout = BUSY
          @file.execute("PRAGMA journal_mode = WAL")
          @file.execute("PRAGMA synchronous = OFF")
          @file.execute(TABLE)
          @place = place
          @file
        rescue SQLite3::Exception, SystemCallError => e
          lost(e)
          @file = @place = nil
        end

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end
  end
end
