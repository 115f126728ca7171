# frozen_string_literal: true

module UpTack
  # A second process for a piece of work that may be divided in two: forked before the first has opened the database,
  # so that nothing of the program has to be loaded again. It does the one job that it is handed, or ends with the
  # first.
  class Beside
    class << self
      # @return [Beside, nil] the one of this process, which is nobody else's from then on
      def take = @ready.tap { @ready = nil }

      # Has one ready from now on.
      # @yield [IO, IO] in the second process, to hear the job and to answer
      # @return [void]
      def prepare(&work) = @ready = new(&work)

      # Lets go the one that nobody took.
      # @return [void]
      def leave = take&.close
    end

    # pid:: number of the process; from, to:: what it says, and is told
    attr_reader :pid, :from, :to

    # Pipes, since they can be given more room than sockets have.
    def initialize(&work)
      input, @to = IO.pipe(binmode: true)
      @from, output = IO.pipe(binmode: true)
      @pid = fork do
        [@from, @to].each(&:close)
        run(input, output, &work)
      end
      [input, output].each(&:close)
      Process.detach(@pid)
    end

    # @return [void]
    def close = [@from, @to].each(&:close)

    private

    def run(input, output)
      # Whoever types goes first.
      Process.setpriority(Process::PRIO_PROCESS, 0, NICE)
      yield input, output
    rescue EOFError, SystemCallError, SignalException
      nil # Whoever asked is gone, or wants no more of it.
    rescue => e
      warn "Up Tack: work goes on without help, since #{e.message.lines.first.to_s.strip}"
    ensure
      exit!
    end

    NICE = 10
    private_constant :NICE
  end
end
