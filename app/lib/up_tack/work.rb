# frozen_string_literal: true

require "socket"

module UpTack
  # Long work in processes of its own: whoever types shares neither Ruby nor a connection with it. One process, which
  # has loaded the program and no database, is asked for each piece of work and forks a process that does it; forking
  # one that has the database open would share what SQLite knows of its locks.
  module Work
    # A piece of work. task:: key of TASKS; arguments:: its keyword arguments
    # person:: [number, role] of whoever asks; path:: the database's file; language:: of what is told
    # tags:: what is said with each line of the log
    # noted:: names of the Store::IdempotentResponse that is noted with what it does, if any
    Order = Struct.new(:task, :arguments, :person, :path, :language, :tags, :noted, keyword_init: true) do
      # @return [Boolean] whether it leaves nothing behind, and so may do it in a copy of the file
      def tried? = TRIED.fetch(task, NEVER).call(arguments)

      # @return [Boolean] whether it may end at any moment and leaves nothing behind
      def harmless? = tried? || HARMLESS.include?(task)

      # @return [Boolean] whether others go first
      def patient? = tried? || PATIENT.include?(task)

      # @return [Boolean] whether two processes may share it
      def divided? = DIVIDED.include?(task)

      # @return [Store::IdempotentResponse, nil]
      def note = (noted && !tried?) ? Store::IdempotentResponse.new(noted) : nil
    end

    # The process was gone before it had answered.
    class Lost < StandardError
      def initialize = super(Core::Messages["app.work.process_ended_before_it_answered"])
    end

    # Seconds between two looks at whether somebody wants it stopped.
    LOOK = 0.1
    # Seconds that the process which is asked takes at most to end, with those that it forked.
    ENDING = Server::ENDING.values.sum + 1
    SCRIPT = Installation.path("bin", "support", "work.rb")
    NEVER = ->(_) { false }

    # What can be done, given the workspace of whoever asks, a Progress and the arguments.
    TASKS = {
      "backup" => ->(workspace, _, why:) do
        UseCases::Maintenance::Backups.new(workspace.clock, person: workspace.person).make(why)
      end,
      "backup when due" => ->(workspace, _) { UseCases::Maintenance::Backups.new(workspace.clock).make_due },
      "batch" => ->(workspace, progress, channel:, **asked) do
        UseCases::Bulk::WriteEach.new(workspace, channel: channel, progress: progress).call(**asked)
      end,
      "bulk" => ->(workspace, progress, **asked) do
        UseCases::Bulk::Change.new(workspace, progress: progress).call(**asked)
      end,
      "calculate ahead" => ->(workspace, progress, **asked) do
        UseCases::Design::CalculateAhead.new(workspace, progress: progress).call(**asked)
      end,
      "check" => ->(workspace, progress) do
        UseCases::Maintenance::IntegrityCheck.new(workspace, progress: progress).call
      end,
      "checkpoint" => ->(_, _) { Store::Checkpoint.call && nil },
      "effect" => ->(workspace, progress, **asked) do
        UseCases::Effects::PreviewRule.new(workspace).call(**asked) { |so_far| progress.so_far(so_far) }
      end,
      "failing" => ->(workspace, _, **asked) { UseCases::Proofs::MakeFailing.new(workspace).call(**asked) },
      "export" => ->(workspace, progress, path:, **asked) do
        Store::Deadline.within do
          File.open(path, "wb") do |file|
            UseCases::Exports::Records.new(workspace, progress: progress).call(io: file, **asked)
          end
        end
        nil
      end,
      "export of all" => ->(workspace, _, path:, kind:) do
        File.open(path, "wb") { |file| UseCases::Exports::Database.new(workspace).write(kind, file) }
        nil
      end,
      "import" => ->(workspace, progress, **asked) do
        UseCases::Imports::ImportUpload.new(workspace, progress: progress).call(**asked)
      end,
      "import of tables" => ->(workspace, progress, **asked) do
        UseCases::Imports::ImportCollection.new(workspace, progress: progress).call(**asked)
      end,
      "look at file" => ->(workspace, progress, **asked) do
        UseCases::Imports::LookAtFile.new(workspace, progress: progress).call(**asked)
      end,
      "look at tables" => ->(workspace, progress, upload:) do
        UseCases::Imports::Collections.new(workspace, progress: progress).call(upload)
      end,
      "move log" => ->(workspace, progress) do
        UseCases::Maintenance::MoveLog.new(workspace.clock, progress: progress).call
      end,
      "numbers" => ->(workspace, progress, **asked) do
        UseCases::Numbers::Give.new(workspace, progress: progress).call(**asked)
      end,
      "samples" => ->(workspace, progress, **asked) do
        UseCases::Proofs::GenerateRecords.new(workspace, progress: progress).call(**asked)
      end,
      "prove restore" => ->(workspace, _) do
        UseCases::Maintenance::ProveRestore.new(workspace.clock, person: workspace.person).call
      end,
      "prove" => ->(_, progress, again:) { UseCases::Proofs::RunAll.new(progress: progress).call(again: again) },
      "restore" => ->(workspace, _, name:) do
        UseCases::Maintenance::Backups.new(workspace.clock, person: workspace.person).restore(name)
      end,
      "roll back" => ->(_, _) { UseCases::Maintenance::UndoLeft.call },
      "space" => ->(workspace, _) { UseCases::Maintenance::Space.new(workspace).call },
      "tidy" => ->(workspace, progress, **asked) do
        UseCases::Tidying::Accept.new(workspace, progress: progress).call(**asked)
      end,
      "undo" => ->(workspace, progress, batch:) do
        UseCases::History::UndoBatch.new(workspace, progress: progress).call(batch)
      end,
      "verify" => ->(_, progress) { UseCases::Maintenance::VerifyLog.call(progress: progress) }
    }.freeze

    # Which of them leave nothing behind, by their arguments.
    TRIED = {
      "batch" => ->(arguments) { arguments[:keep] == "none" },
      "bulk" => ->(arguments) { arguments[:keep] == "none" },
      "check" => ->(_) { true },
      "import" => ->(arguments) { arguments[:keep] == "none" },
      "import of tables" => ->(arguments) { arguments[:keep] == "none" }
    }.freeze

    # Those that answer a question, and can be left off anywhere.
    HARMLESS = ["checkpoint", "effect", "failing", "look at file", "look at tables", "space", "verify"].freeze
    # Those before which others go: they never have the lock for writing, or for an instant.
    PATIENT = [*HARMLESS, "backup", "backup when due", "calculate ahead", "export", "export of all", "move log",
      "prove restore"].freeze

    # Those of which a second process may do a part.
    DIVIDED = ["import", "import of tables"].freeze

    @mutex = Mutex.new

    class << self
      # Has the process ready that is asked for work. Begun by whoever needs it first, otherwise.
      # @return [void]
      def start = @mutex.synchronize { @control ||= spawn }

      # Asks for no more, and waits until nothing goes on: what takes longer than a moment is cut off.
      # @return [void]
      def leave
        @mutex.synchronize do
          next unless @control

          @control.close
          @control = nil
          Process.kill("TERM", @process.pid)
          @process.join(ENDING) || Process.kill("KILL", @process.pid)
        end
      rescue Errno::ESRCH
        nil # It has ended already.
      end

      # Does it in this process, where it takes less time than another one takes to begin.
      # @param task [String] key of TASKS
      # @param arguments [Hash{Symbol=>Object}]
      # @param workspace [Workspace] of whoever asks
      # @param progress [Progress]
      # @return [Object] what the task gives
      def here(task, arguments, workspace, progress) = TASKS.fetch(task).call(workspace, progress, **arguments)

      # Does it elsewhere, and waits for what comes of it.
      # @param task [String] key of TASKS
      # @param arguments [Hash{Symbol=>Object}]
      # @param person [Store::Person] whoever asks
      # @param progress [Progress] is told how far it is, and may ask it to stop
      # @yield [Object] what the task has found so far
      # @return [Object] what the task gives
      # @raise [Lost, Progress::Stopped, StandardError] whatever the task raises
      def call(task, arguments, person:, progress:, &so_far)
        order = Order.new(
          task: task, arguments: arguments, person: [person.id, person.role], path: Store::Database.path,
          language: Core::Messages.language, tags: Log.tags, noted: Store::Database.note&.names
        )
        io = line
        Wire.hand(order, io)
        hear(io, order, progress, &so_far).tap { Store::Generation.follow }
      rescue Lost
        call("roll back", {}, person: person, progress: Progress.none) unless order.patient? || task == "roll back"
        raise
      ensure
        io&.close
      end

      private

      # @return [UNIXSocket] the own end of a line to a new process
      def line
        own, other = UNIXSocket.pair
        begin
          start
          @control.send_io(other)
        rescue SystemCallError
          @mutex.synchronize { @control = spawn }
          @control.send_io(other)
        end
        other.close
        own
      end

      def spawn
        own, other = UNIXSocket.pair
        number =
          Process.spawn(
            RbConfig.ruby, *Installation::COMPILING, SCRIPT, other.fileno.to_s,
            other => other, :pgroup => true, :in => File::NULL
          )
        @process = Process.detach(number)
        other.close
        own
      end

      def hear(io, order, progress, &so_far)
        asked = false
        loop do
          until io.wait_readable(LOOK)
            next if asked || !progress.stopping?

            progress.check if order.tried?
            Wire.hand(:stop, io)
            asked = true
          end
          kind, *told = Wire.receive(io)
          case kind
          when :at then progress.set(*told)
          when :so_far then so_far&.call(told.first)
          when :failed then raise told.first
          else return told.first
          end
        end
      rescue EOFError, Errno::EPIPE, Errno::ECONNRESET
        raise Lost
      end
    end
  end
end
