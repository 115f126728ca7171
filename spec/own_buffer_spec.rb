# frozen_string_literal: true

require "store_helper"
require "puma"
require "puma/server"
require "net/http"
require_relative "../web/lib/up_tack/web"
require_relative "support/processes"

# Answers on a connection that stays, one of which begins before the thread of the one before has let go of it.
RSpec.describe "The next answer on a connection", :no_database do
  # A body that is sent once others had their turn.
  later = Struct.new(:before, :text) do
    def each
      before.call
      yield text
    end
  end

  define_method(:answers) do
    answered, stays, begun, emptied = 0, Queue.new, Queue.new, Queue.new
    allow_any_instance_of(Puma::Reactor).to receive(:add).and_wrap_original do |add, one|
      add.call(one).tap { (answered == 1) && (stays << nil) && begun.pop }
    end
    allow_any_instance_of(Puma::IOBuffer).to receive(:reset).and_wrap_original do |reset|
      reset.call.tap { emptied << Thread.current }
    end
    late = lambda do
      emptied.clear
      begun << nil
      Processes.until(10) { emptied.pop != Thread.current }
    end
    app = ->(_) { [200, {}, ((answered += 1) == 1) ? ["one"] : later.new(late, "two")] }
    server = Puma::Server.new(app, nil, {min_threads: 2, max_threads: 2, log_writer: Puma::LogWriter.null})
    port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
    server.run
    Net::HTTP.start("127.0.0.1", port) do |http|
      one = http.get("/").body
      stays.pop
      [one, http.get("/").body]
    end
  ensure
    server&.stop(true)
  end

  it "is whole" do
    stub_const("Puma::Client", Class.new(Puma::Client) { prepend UpTack::Web::OwnBuffer })
    expect(answers).to eq(%w[one two])
  end

  # Once it is, the module can go.
  it "is not without a buffer for each thread" do
    expect { answers }.to raise_error(Net::HTTPBadResponse)
  end
end
