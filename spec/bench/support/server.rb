# frozen_string_literal: true

require "socket"

# A server of its own, as bin/start runs it.
module Server
  SCRIPT = File.expand_path("../../../bin/support/serve.rb", __dir__)

  module_function

  # @param folder [String] of its database
  # @param port [Integer]
  # @yield [Integer] number of its process, once it listens
  def run(folder, port)
    child = Process.spawn({"UP_TACK_DATA" => folder, "PORT" => port.to_s}, RbConfig.ruby, "-rbundler/setup", SCRIPT,
      out: File::NULL)
    200.times do
      TCPSocket.new("127.0.0.1", port).close || break
    rescue SystemCallError
      sleep(0.2)
    end
    yield child
  ensure
    Process.kill("TERM", child)
    Process.wait(child)
  end

  # @return [Integer] MB of a process and all that it has started, each page shared among those that have it
  def memory(process)
    own = File.read("/proc/#{process}/smaps_rollup")[/^Pss:\s+(\d+)/, 1].to_i / 1024
    children = Dir["/proc/#{process}/task/*/children"].flat_map { |path| File.read(path).split }
    own + children.uniq.sum { |child| memory(child) }
  rescue SystemCallError
    0
  end
end
