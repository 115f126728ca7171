# frozen_string_literal: true

require "fileutils"
require "socket"

# The folder and the port with which the server starts, and what keeps it from starting.
module ServeFolder
  module_function

  def fail_with(message)
    warn "Up Tack: #{message}"
    exit 1
  end

  def check_port(host, port)
    TCPServer.new(host, port).close
  rescue Errno::EADDRINUSE
    fail_with("Port #{port} is in use. Stop what runs there, or choose another port: " \
      "PORT=#{(port < 65_535) ? port + 1 : 4567} bin/start")
  rescue Errno::EACCES
    fail_with("This account may not use port #{port}. Choose one above 1023: PORT=4567 bin/start")
  rescue SocketError, Errno::EADDRNOTAVAIL
    fail_with("This machine has no address “#{host}”. HOST is usually 127.0.0.1.")
  end

  # One server at a time, whose processes know of one another. The lock is released with the last of them, however
  # they end.
  # @return [File]
  def lock(folder)
    lock = File.open(File.join(folder, "up_tack.lock"), File::RDWR | File::CREAT, 0o600)
    unless lock.flock(File::LOCK_EX | File::LOCK_NB)
      fail_with("Process #{lock.read.strip} already serves #{folder}. Use that one, or stop it first.")
    end
    lock.truncate(0)
    lock.write(Process.pid.to_s)
    lock.flush
    lock
  end

  # The folder is for this account alone: it holds everything, and the key of the log.
  def check(folder)
    FileUtils.mkdir_p(folder, mode: 0o700)
    File.chmod(0o700, folder)
    Dir[File.join(folder, "*"), File.join(folder, "*", "*")].each do |path|
      File.chmod(File.directory?(path) ? 0o700 : 0o600, path) unless File.symlink?(path)
    end
    probe = File.join(folder, ".up_tack_probe")
    File.write(probe, "")
    File.delete(probe)
  rescue Errno::ENOSPC
    fail_with("The disk of #{folder} is full. Make room on it, and start again.")
  rescue SystemCallError
    fail_with("The folder #{folder} is not writable. Set UP_TACK_DATA to another folder.")
  end

  def start_again_with_demo(path, sure:)
    return unless File.exist?(path)

    unless sure
      unless $stdin.tty?
        fail_with("--fresh deletes all records in #{path}. To do this without being asked, use --fresh --yes.")
      end
      print "Delete everything in #{path} and start again with the demo? [y/N] "
      exit 1 unless $stdin.gets.to_s.strip.downcase.start_with?("y")
    end
    ["", "-wal", "-shm"].each { |ending| FileUtils.rm_f("#{path}#{ending}") }
  end
end
