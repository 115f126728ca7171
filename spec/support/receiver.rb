# frozen_string_literal: true

require "stringio"

# The program that a webhook leads to, in this process: keeps what it takes, and answers as it is told.
class Receiver
  attr_reader :port, :lines

  def initialize(secret: nil, fail: 0)
    @out = StringIO.new
    ports = Queue.new
    command = UpTack::Commands::Receive.new(out: @out, err: StringIO.new)
    @thread = Thread.new { command.call(port: 0, secret: secret, fail: fail) { |port| ports << port } }
    @port = ports.pop
  end

  def address = "http://127.0.0.1:#{port}/changes?of=kiln"
  def said = @out.string.lines.drop(1).map { |line| JSON.parse(line) }
  def messages = said.map { |line| line["message"] }
  def stop = @thread.kill
end
