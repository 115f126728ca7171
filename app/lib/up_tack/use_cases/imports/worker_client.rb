# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Another process that reads a large file and takes its rows through those rules that
      # see nothing of what is written meanwhile, while this one does the rest and writes.
      # It only reads the database; whatever becomes of it, this process can go on alone.
      class WorkerClient
        SCRIPT = Installation.path("bin", "support", "ahead.rb")
        # Rows from which on it is worth a process.
        MANY = 5_000
        # Bytes that may lie between the two, where the system lets itself be asked for them
        # (Linux: F_SETPIPE_SZ).
        ROOM = [1_031, 1 << 20].freeze

        # It needs less than the one that writes, and both together should stay small.
        MEMORY = {
          "RUBY_GC_HEAP_INIT_SLOTS" => "300000",
          "RUBY_GC_HEAP_FREE_SLOTS" => "150000",
          "RUBY_GC_MALLOC_LIMIT" => "16777216",
          "RUBY_GC_MALLOC_LIMIT_MAX" => "16777216",
          "RUBY_GC_OLDMALLOC_LIMIT" => "16777216"
        }.freeze

        # @param workspace [Workspace]
        # @param source [#each_row]
        # @param table [Core::Design::Table]
        # @param settings [Settings]
        # @param rows [Integer] how many there are, about
        # @return [WorkerClient, nil] nil where it is not worth it, or can't be
        def self.begin(workspace, source:, table:, settings:, rows: MANY)
          return if rows < MANY || workspace.clock.pretend? || !workspace.partition(table.key).any?

          person = workspace.person
          new(
            {
              path: Store::Database.path,
              revision: workspace.revision_id,
              person: [person.id, person.role],
              source: source,
              table: table.key,
              settings: settings
            }
          )
        rescue SystemCallError, TypeError
          nil
        end

        # @param job [Hash] for the Worker
        def initialize(job)
          if (beside = Beside.take)
            @from, @to, @pid = beside.from, beside.to, beside.pid
          else
            @from = @to = IO.popen([MEMORY, RbConfig.ruby, *Installation::COMPILING, SCRIPT], "r+b")
            @pid = @from.pid
          end
          make_room
          Wire.hand(job, @to)
          @done = false
        end

        # @param seconds [Numeric, nil] to wait for that; nil waits until it can or is gone
        # @return [Boolean] whether it can begin
        def ready?(seconds = 0) = !IO.select([@from], nil, nil, seconds).nil?

        # @return [Integer] number of the process
        attr_reader :pid

        # @return [Boolean] whether it got to the end of the file
        def done? = @done

        # @param from [Integer] rows that were given out before
        # @yield [Integer, Array<Array>] number of the log's latest entry, and rows as the Worker tells them
        # @return [void]
        def each_portion(from)
          return unless heard == :ready

          tell(from)
          while (portion = heard)
            return @done = true if portion == :end

            yield(*portion)
          end
        end

        # Lets it go, wherever it is.
        def close
          Process.kill(:TERM, pid)
          [@from, @to].uniq.each(&:close)
        rescue SystemCallError, IOError
          nil
        end

        private

        # @return [Object, nil] nil when it is gone
        def heard
          Wire.receive(@from)
        rescue EOFError, SystemCallError
          nil
        end

        def tell(message)
          Wire.hand(message, @to)
        rescue SystemCallError
          nil
        end

        def make_room
          @from.fcntl(*ROOM)
        rescue SystemCallError, NotImplementedError
          nil
        end
      end
    end
  end
end
