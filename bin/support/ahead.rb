# frozen_string_literal: true

# Run by UseCases::Imports::WorkerClient: reads a file that is imported and takes its rows through
# some of their rules, while the process that began it writes them.

require "bundler/setup"
require_relative "../../app/lib/up_tack/app"

begin
  # Whoever types goes first.
  Process.setpriority(Process::PRIO_PROCESS, 0, 10)
  $stdin.binmode
  $stdout.binmode
  UpTack::UseCases::Imports::WorkerProcess.run($stdin, $stdout)
rescue EOFError, Errno::EPIPE, SignalException
  exit!(1) # Whoever asked is gone, or wants no more of it.
rescue => e
  warn "Up Tack: a file is imported without help, since #{e.message.lines.first.to_s.strip}"
  exit!(1)
end
