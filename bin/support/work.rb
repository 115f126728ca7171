# frozen_string_literal: true

# Run by UpTack::Work: forks a process for each piece of long work. Its argument is the number of the socket on which
# it is asked.

require "bundler/setup"
require_relative "../../app/lib/up_tack/app"
require "socket"
require "tmpdir"

File.umask(0o077)
[UpTack::Core, UpTack::App].each { |floor| floor::LOADER.eager_load }
UpTack::Log.start
server = UpTack::Work::Server.new(UNIXSocket.for_fd(Integer(ARGV.fetch(0))))
server.warm_up
server.run
